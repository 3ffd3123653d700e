import { z } from 'zod';
import { idSchema, instrumentSchema, nameSchema, text, within } from '../inputs';
import { LIMITS } from '../limits';

export const testInput = z.strictObject({
  productId: idSchema,
  condition: z.enum(['dry', 'soaked']),
  gaugeLengthM: within(LIMITS.gaugeLengthM, 'The length between the grips'),
  expectedN: within(LIMITS.forceN, 'The expected force'),
  sampleLabel: text(120).default(''),
});

export const pullInput = z.strictObject({
  peakN: within(LIMITS.forceN, 'The peak force'),
  breakPlace: z.enum(['middle', 'grip', 'knot']),
  instrument: instrumentSchema,
});

/** A pull that belongs to another line of the boat. */
export const moveInput = z.strictObject({
  productId: idSchema,
  /** What that line was expected to break at, where it has no test yet. */
  expectedN: within(LIMITS.forceN, 'The expected force'),
  reason: text(200, 'Say why it is moved.'),
});

/** A pull as it should have been noted. */
export const correctPullInput = z.strictObject({
  peakN: within(LIMITS.forceN, 'The peak force'),
  breakPlace: z.enum(['middle', 'grip', 'knot']),
  reason: text(200, 'Say why it is corrected.'),
});

export type CorrectPullInput = z.output<typeof correctPullInput>;

export const sessionInput = z.strictObject({
  name: nameSchema,
  condition: z.enum(['dry', 'soaked']),
  gaugeLengthM: within(LIMITS.gaugeLengthM, 'The length between the grips'),
  pullsEach: z.int('Pulls are a whole number.').min(1, 'At least one pull each.').max(100, 'At most 100 pulls each.'),
  lines: z
    .array(
      z.strictObject({
        productId: idSchema,
        sampleLabel: text(120).default(''),
        expectedN: within(LIMITS.forceN, 'The expected force'),
      }),
    )
    .min(1, 'Choose at least one line.')
    .max(30, 'At most 30 lines.'),
});

export const meantPlaceInput = z.strictObject({ placeId: idSchema.nullable() });

export type MoveInput = z.output<typeof moveInput>;
export type SessionInput = z.output<typeof sessionInput>;
export type TestInput = z.output<typeof testInput>;
export type PullInput = z.output<typeof pullInput>;
