import { z } from 'zod';
import { idSchema, instrumentSchema, LIMITS, within } from '../limits';

export const testInput = z.strictObject({
  productId: idSchema,
  condition: z.enum(['dry', 'soaked']),
  gaugeLengthM: within(LIMITS.gaugeLengthM, 'The length between the grips'),
  expectedN: within(LIMITS.forceN, 'The expected force'),
  sampleLabel: z.string().trim().max(120, 'At most 120 letters.').default(''),
});

export const pullInput = z.strictObject({
  peakN: within(LIMITS.forceN, 'The peak force'),
  breakPlace: z.enum(['middle', 'grip', 'knot']),
  instrument: instrumentSchema,
});

export type TestInput = z.output<typeof testInput>;
export type PullInput = z.output<typeof pullInput>;
