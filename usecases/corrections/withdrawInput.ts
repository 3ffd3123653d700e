import { z } from 'zod';
import { idSchema, text } from '../inputs';

export const withdrawInput = z.strictObject({
  kind: z.enum([
    'winding',
    'level',
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
  reason: text(200, 'Say why it is taken back.'),
});

export type WithdrawInput = z.output<typeof withdrawInput>;
