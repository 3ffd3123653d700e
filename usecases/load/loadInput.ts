import { z } from 'zod';
import { LAID_BY } from '../../core/load/tension';
import { LENGTH_IS } from '../../core/record/load';
import { idSchema, instrumentSchema, noteSchema, readingSchema, versionSchema, within } from '../inputs';
import { LIMITS } from '../limits';

export const beginInput = z.strictObject({
  /** Version of the rig whose plan was seen. */
  version: versionSchema,
  levelBelowRimM: within(LIMITS.levelBelowRimM, 'The level below the rim'),
});

export const windingInput = z.strictObject({
  segmentId: idSchema,
  reading: readingSchema.nullable(),
  /** How often the counter passed zero on the way; null: as often as was planned. */
  laps: z.int('Laps are counted whole.').min(0).max(50, 'That is more than any spool holds.').nullable().default(null),
  /** Whose word the length is, where the counter stands elsewhere than it should. */
  lengthIs: z.enum(LENGTH_IS).default('plan'),
  /** True length by a winding machine's meter, where one was used. */
  meteredLengthM: within(LIMITS.segmentLengthM, "The meter's length").nullable().default(null),
  /** Spool turns that were counted, where they were. */
  turnsCounted: within({ min: 0.5, max: 100_000 }, 'The number of turns').nullable().default(null),
  instrument: instrumentSchema,
  note: noteSchema,
  /** The note of the same end that the person saw, and corrects; null where none was seen. */
  corrects: idSchema.nullable().default(null),
});

export const levelInput = z.strictObject({
  segmentId: idSchema,
  levelBelowRimM: within(LIMITS.levelBelowRimM, 'The level below the rim'),
  instrument: instrumentSchema,
});

/** How a load was laid on, as far as it was noted. */
export const tensionFields = {
  laidBy: z.enum(LAID_BY).nullable().default(null),
  tensionN: within(LIMITS.windingTensionN, 'The tension').nullable().default(null),
};

export const finishInput = z.strictObject({
  version: versionSchema,
  levelBelowRimM: within(LIMITS.levelBelowRimM, 'The level below the rim').nullable(),
  /** From which spool on the shelf each segment came; segments that are not named came from elsewhere. */
  supplies: z
    .array(z.strictObject({ segmentId: idSchema, supplySpoolId: idSchema }))
    .max(40)
    .default([]),
  laid: z
    .strictObject({
      ...tensionFields,
      shims: z.int('Shims are counted whole.').min(0).max(10).nullable().default(null),
    })
    .default({ laidBy: null, tensionN: null, shims: null }),
});

/** A change of a typed length that a person agrees to. */
export const agreeInput = z.strictObject({
  segmentId: idSchema,
  /** What the person saw that it was, and agreed that it becomes. */
  fromM: within(LIMITS.segmentLengthM, 'The length that it was'),
  lengthM: within(LIMITS.segmentLengthM, 'The length that it becomes'),
});

export type AgreeInput = z.output<typeof agreeInput>;

/** How many ends of segments the person saw noted: what was noted since is not called off unseen. */
export const cancelInput = z.strictObject({ noted: z.int().min(0).max(40) });

export type CancelInput = z.output<typeof cancelInput>;

export const colourInput = z.strictObject({
  segmentId: idSchema,
  coloursOn: z.int('Colours are counted whole.').min(1).max(20),
  reading: readingSchema,
  instrument: instrumentSchema,
});

export const replacementInput = z.strictObject({
  segmentId: idSchema,
  productId: idSchema,
  lengthM: within(LIMITS.segmentLengthM, 'The length of the new line'),
  supplySpoolId: idSchema.nullable(),
  note: noteSchema,
});

/** The outermost wound segment, pulled off and wound on the other way round. */
export const turnInput = z.strictObject({ segmentId: idSchema });

/** Line that went at the hook's end, through whatever segments it takes. */
export const lossInput = z.strictObject({
  lengthM: within(LIMITS.segmentLengthM, 'The length'),
  reason: z.enum(['lost', 'stripped', 'kept']),
  note: noteSchema,
});

export type TurnInput = z.output<typeof turnInput>;
export type LossInput = z.output<typeof lossInput>;

export const lineChangeInput = z.strictObject({
  segmentId: idSchema,
  changeM: within({ min: -LIMITS.segmentLengthM.max, max: LIMITS.segmentLengthM.max }, 'The length').refine(
    (value) => value !== 0,
    'The length must not be zero.',
  ),
  reason: z.enum(['stripped', 'lost', 'added']),
  note: noteSchema,
});

export type BeginInput = z.output<typeof beginInput>;
export type WindingInput = z.output<typeof windingInput>;
export type LevelInput = z.output<typeof levelInput>;
export type FinishInput = z.output<typeof finishInput>;
export type ColourInput = z.output<typeof colourInput>;
export type ReplacementInput = z.output<typeof replacementInput>;
export type LineChangeInput = z.output<typeof lineChangeInput>;
