import { z } from 'zod';
import { MATERIALS } from '../../core/load/defaults';
import { DRAG_KINDS, REEL_KINDS } from '../../core/rig/record';
import { LIMITS, nameSchema, noteSchema, within } from '../limits';

const counterInput = z.strictObject({
  unitM: within({ min: 0.01, max: 10 }, 'The length of one count'),
  digits: z.int('Digits are a whole number.').min(2, 'At least 2 digits.').max(6, 'At most 6 digits.'),
  lengthPerTurnM: within(LIMITS.lengthPerTurnM, 'The length per turn'),
  /** Where the length per turn comes from. */
  source: z.enum(['default', 'maker', 'measured']),
  display: z.enum(['rounds', 'truncates', 'unknown']),
});

/** A reel as a person states it, SI. */
export const reelInput = z
  .strictObject({
    name: nameSchema,
    kind: z.enum(REEL_KINDS),
    arborDiameterM: within(LIMITS.arborDiameterM, 'The arbor diameter'),
    widthM: within(LIMITS.widthM, 'The width between the flanges'),
    fullDiameterM: within(LIMITS.fullDiameterM, 'The full diameter'),
    counter: counterInput.nullable(),
    windHand: z.enum(['left', 'right']),
    dragKind: z.enum(DRAG_KINDS),
    dragLimitN: within(LIMITS.forceN, "The maker's drag limit").nullable(),
  })
  .refine((reel) => reel.fullDiameterM > reel.arborDiameterM, {
    path: ['fullDiameterM'],
    message: 'The full diameter must be above the arbor diameter.',
  });

/** A line as a person states it, SI. */
export const lineInput = z.strictObject({
  name: nameSchema,
  material: z.enum(MATERIALS),
  diameterM: within(LIMITS.lineDiameterM, 'The line diameter'),
  diameterSource: z.enum(['label', 'measured']),
  labelStrengthN: within(LIMITS.forceN, 'The strength on the label').nullable(),
});

export const rigInput = z.strictObject({
  name: nameSchema,
  note: noteSchema,
  reelId: z.uuid('Choose a reel.'),
});

export type ReelFormInput = z.output<typeof reelInput>;
export type LineFormInput = z.output<typeof lineInput>;
export type RigFormInput = z.output<typeof rigInput>;

/** A changed row carries the version that was read, so that a concurrent edit is noticed. */
export const versionField = { version: z.int().min(1) };
