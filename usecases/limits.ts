import { z } from 'zod';

/**
 * Limits that catch a wrong unit or a slipped digit at every boundary: form, request and file. Wide
 * enough for any reel that is fished with; the database's own checks repeat them. All SI.
 */
export const LIMITS = {
  arborDiameterM: { min: 0.003, max: 0.4 },
  widthM: { min: 0.002, max: 0.4 },
  fullDiameterM: { min: 0.005, max: 0.6 },
  lineDiameterM: { min: 0.00003, max: 0.006 },
  segmentLengthM: { min: 0.05, max: 5000 },
  supplyLengthM: { min: 1, max: 20_000 },
  walkLengthM: { min: 1, max: 2000 },
  lengthPerTurnM: { min: 0.005, max: 2 },
  forceN: { min: 0.05, max: 5000 },
  gaugeLengthM: { min: 0.02, max: 50 },
  levelBelowRimM: { min: -0.02, max: 0.2 },
} as const;

/** A number within limits, with the same sentence for everything outside them. */
export function within(limits: { readonly min: number; readonly max: number }, what: string) {
  return z
    .number({ error: `${what} must be a number.` })
    .min(limits.min, `${what} is less than anything that can be meant here.`)
    .max(limits.max, `${what} is more than anything that can be meant here.`);
}

export const nameSchema = z
  .string({ error: 'A name is needed.' })
  .trim()
  .min(1, 'A name is needed.')
  .max(80, 'At most 80 letters.');
export const idSchema = z.uuid('That is not an identifier of this product.');
export const noteSchema = z.string().trim().max(500, 'At most 500 letters.').default('');
export const instrumentSchema = z.string().trim().min(1).max(80).default('read by eye');
export const readingSchema = z
  .int('A counter reading is a whole number.')
  .min(0, 'A counter reading is not negative.')
  .max(999_999, 'That is more than a counter has digits for.');

/** True for text that can be an identifier here; anything else is simply not found. */
export function isUuid(text: string): boolean {
  return idSchema.safeParse(text).success;
}
