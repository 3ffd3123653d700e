import { z } from 'zod';
import { idSchema, instrumentSchema, LIMITS, noteSchema, readingSchema, within } from '../limits';

export const beginInput = z.strictObject({
  /** Version of the rig whose plan was seen. */
  version: z.int().min(1),
  levelBelowRimM: within(LIMITS.levelBelowRimM, 'The level below the rim'),
});

export const windingInput = z.strictObject({
  segmentId: idSchema,
  reading: readingSchema.nullable(),
  /** The line ended elsewhere than it was known to: its length follows from the counts. */
  lengthByCounter: z.boolean().default(false),
  instrument: instrumentSchema,
  note: noteSchema,
});

export const levelInput = z.strictObject({
  segmentId: idSchema,
  levelBelowRimM: within(LIMITS.levelBelowRimM, 'The level below the rim'),
  instrument: instrumentSchema,
});

export const finishInput = z.strictObject({
  version: z.int().min(1),
  levelBelowRimM: within(LIMITS.levelBelowRimM, 'The level below the rim').nullable(),
});

export const lineChangeInput = z.strictObject({
  segmentId: idSchema,
  changeM: z
    .number({ error: 'The length must be a number.' })
    .refine((value) => value !== 0, 'The length must not be zero.'),
  reason: z.enum(['stripped', 'lost', 'added']),
  note: noteSchema,
});

export type BeginInput = z.output<typeof beginInput>;
export type WindingInput = z.output<typeof windingInput>;
export type LevelInput = z.output<typeof levelInput>;
export type FinishInput = z.output<typeof finishInput>;
export type LineChangeInput = z.output<typeof lineChangeInput>;
