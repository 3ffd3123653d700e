import { z } from 'zod';
import { idSchema } from '../limits';

export const withdrawInput = z.strictObject({
  kind: z.enum([
    'winding',
    'trial',
    'strengthPull',
    'dragPull',
    'colour',
    'reverseFill',
    'tie',
    'joinPull',
    'lineMark',
    'leverPoint',
    'planerLook',
  ]),
  id: idSchema,
  rigId: idSchema,
  reason: z.string().trim().min(1, 'Say why it is taken back.').max(200, 'At most 200 letters.'),
});

export type WithdrawInput = z.output<typeof withdrawInput>;
