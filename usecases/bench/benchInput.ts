import { z } from 'zod';
import { TOWING_WATERS } from '../../core/drag/planer/planerLooks';
import { idSchema, text, within } from '../inputs';
import { LIMITS } from '../limits';

/** A pull with the scale through the bent rod. */
export const dragPullBenchInput = z.strictObject({
  act: z.literal('pull-drag'),
  rodAngleRad: within({ min: 0, max: Math.PI }, 'The bend of the rod'),
  /** Where a lever stands; left out: at strike, where it was set. */
  leverPosition: within({ min: 0, max: 1 }, "The lever's place").optional(),
});

/** What the hands on the virtual bench can do. */
export const benchInput = z.discriminatedUnion('act', [
  z.strictObject({ act: z.literal('wind'), segmentId: idSchema }),
  /** Looks at the counter on the way, when so many colours of a segment are on. */
  z.strictObject({ act: z.literal('wind-to-colour'), segmentId: idSchema, coloursOn: z.int().min(1).max(20) }),
  z.strictObject({ act: z.literal('measure-level') }),
  z.strictObject({ act: z.literal('walk'), lengthM: within(LIMITS.walkLengthM, 'The length walked') }),
  dragPullBenchInput,
  /** Tows a planer and looks at the spool. */
  z.strictObject({
    act: z.literal('tow-planer'),
    planer: text(60, 'Say which planer.'),
    speedMS: within({ min: 0.2, max: 15 }, 'The speed through the water'),
    leverPosition: within({ min: 0.01, max: 1 }, "The lever's place"),
    water: z.enum(TOWING_WATERS),
  }),
  /** Draws a join up by hand, with a scale between. */
  z.strictObject({ act: z.literal('seat-join'), joinId: idSchema, aimN: within(LIMITS.forceN, 'The pull') }),
  /** Pulls a tied join to the break on the force gauge. */
  z.strictObject({ act: z.literal('break-join'), joinId: idSchema }),
  /** Holds the braid taut for a plait, with a scale between. */
  z.strictObject({ act: z.literal('hold-braid'), aimN: within(LIMITS.forceN, 'The tension') }),
  z.strictObject({ act: z.literal('turn-drag'), clicks: z.int().min(-60).max(60) }),
]);

export const breakInput = z.strictObject({ productId: idSchema });

export const streamInput = z.strictObject({
  productId: idSchema,
  gaugeLengthM: within(LIMITS.gaugeLengthM, 'The length between the grips'),
});

export type DragPullBenchInput = z.output<typeof dragPullBenchInput>;
export type StreamInput = z.output<typeof streamInput>;
export type BenchInput = z.output<typeof benchInput>;
