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
    'waterMark',
  ]),
  id: idSchema,
  rigId: idSchema,
  reason: text(200, 'Say why it is taken back.'),
});

export type WithdrawInput = z.output<typeof withdrawInput>;

/** Somebody says that a figure which was asked about is right. */
export const answerInput = z.strictObject({ kind: z.enum(['trial', 'strengthPull']), id: idSchema, rigId: idSchema });

export type AnswerInput = z.output<typeof answerInput>;
