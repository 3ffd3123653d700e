import { z } from 'zod';
import { COUNTER_DRIVES } from '../../core/counter/counter';
import { CONSTRUCTIONS, CONSTRUCTIONS_OF } from '../../core/joins/ends';
import { MATERIALS } from '../../core/materials/materials';
import { DRAG_KINDS, REEL_KINDS } from '../../core/record/record';
import { idSchema, nameSchema, noteSchema, text, versionSchema, within } from '../inputs';
import { tensionFields } from '../load/loadInput';
import { LIMITS } from '../limits';

const counterInput = z.strictObject({
  drive: z.enum(COUNTER_DRIVES).default('spool'),
  unitM: within({ min: 0.01, max: 10 }, 'The length of one count'),
  digits: z.int('Digits are a whole number.').min(2, 'At least 2 digits.').max(6, 'At most 6 digits.'),
  /** Of the spool; of a roller, what it shows for each metre (m). */
  /** Null while it is not known: it is then taken from the size of the spool, and said to be. */
  lengthPerTurnM: within(LIMITS.lengthPerTurnM, 'The length per turn').nullable(),
  /** Where the length per turn comes from. */
  source: z.enum(['default', 'maker', 'measured']),
  display: z.enum(['rounds', 'truncates', 'unknown']),
});

/** One of the maker's capacities: so much of a line so thick. */
const ratingInput = z.strictObject({
  label: text(80),
  lineDiameterM: within(LIMITS.lineDiameterM, "The thickness of the rating's line"),
  lengthM: within(LIMITS.segmentLengthM, "The rating's length"),
});

/** A reel as a person states it, SI. */
export const reelInput = z
  .strictObject({
    name: nameSchema,
    kind: z.enum(REEL_KINDS),
    /** Null for what was not measured: the ratings then say what the spool holds. */
    arborDiameterM: within(LIMITS.arborDiameterM, 'The arbor diameter').nullable(),
    widthM: within(LIMITS.widthM, 'The width between the flanges').nullable(),
    fullDiameterM: within(LIMITS.fullDiameterM, 'The full diameter').nullable(),
    ratings: z.array(ratingInput).max(12, 'At most 12 ratings.').default([]),
    counter: counterInput.nullable(),
    windHand: z.enum(['left', 'right']),
    gearRatio: within(LIMITS.gearRatio, 'Spool turns for each turn of the handle').nullable().default(null),
    dragKind: z.enum(DRAG_KINDS),
    dragLimitN: within(LIMITS.forceN, "The maker's drag limit").nullable(),
  })
  .refine((reel) => !(reel.arborDiameterM && reel.fullDiameterM && reel.fullDiameterM <= reel.arborDiameterM), {
    path: ['fullDiameterM'],
    message: 'The full diameter must be above the arbor diameter.',
  })
  .refine((reel) => reel.ratings.length > 0 || (reel.arborDiameterM && reel.widthM && reel.fullDiameterM), {
    path: ['fullDiameterM'],
    message: "Measure arbor, width and full diameter, or give at least one of the maker's capacities.",
  });

/** A line as a person states it, SI. */
export const lineInput = z
  .strictObject({
    name: nameSchema,
    material: z.enum(MATERIALS),
    /** Null: nobody has said how it is made. */
    construction: z.enum(CONSTRUCTIONS).nullable().default(null),
    massKgPerM: within(LIMITS.massKgPerM, 'The weight of a metre').nullable().default(null),
    diameterM: within(LIMITS.lineDiameterM, 'The line diameter'),
    diameterSource: z.enum(['label', 'measured', 'default']),
    labelStrengthN: within(LIMITS.forceN, 'The strength on the label').nullable(),
    /** What the maker calls all sizes of it together. */
    family: text(80).default(''),
    /** Null: the usual length of a colour, or it has none. */
    colourLengthM: within(LIMITS.colourLengthM, 'The length of a colour').nullable().default(null),
    colours: z.array(text(30, 'A colour needs a name.')).max(40, 'At most 40 colours.').default([]),
  })
  .refine(
    ({ material, construction }) => construction === null || (CONSTRUCTIONS_OF[material] ?? []).includes(construction),
    {
      path: ['construction'],
      message: 'A line of that material is not made so.',
    },
  );

export const supplyInput = z
  .strictObject({
    lineProductId: idSchema,
    label: nameSchema,
    boughtLengthM: within(LIMITS.supplyLengthM, 'The length on the spool'),
    remainingLengthM: within({ min: 0, max: LIMITS.supplyLengthM.max }, 'What is left'),
  })
  .refine((spool) => spool.remainingLengthM <= spool.boughtLengthM, {
    path: ['remainingLengthM'],
    message: 'There cannot be more left than was bought.',
  });

export const resetInput = z.strictObject({
  reason: text(200, 'Say why it is forgotten.'),
});

export const reverseFillInput = z.strictObject({
  levelBelowRimM: within(LIMITS.levelBelowRimM, 'The level below the rim'),
  evenTension: z.boolean(),
  ...tensionFields,
  note: noteSchema,
  segments: z
    .array(z.strictObject({ productId: idSchema, lengthM: within(LIMITS.segmentLengthM, 'The length') }))
    .min(1, 'Say what was wound.')
    .max(12, 'At most 12 lines.'),
});

const thick = within(LIMITS.lineDiameterM, 'The thickness that comes of it');

/** A line as it was measured: its thickness by a row of touching wraps or a caliper at several places, or its weight. */
export const measuredLineInput = z.strictObject({
  version: versionSchema,
  read: z.discriminatedUnion('way', [
    z
      .strictObject({
        way: z.literal('wraps'),
        wraps: z
          .int('Wraps are a whole number.')
          .min(5, 'Fewer than 5 wraps say nothing.')
          .max(400, 'At most 400 wraps.'),
        rowWidthM: within({ min: 0.0005, max: 0.2 }, 'The width over all wraps'),
      })
      .refine(({ wraps, rowWidthM }) => thick.safeParse(rowWidthM / wraps).success, {
        path: ['rowWidthM'],
        message: 'No line is so thin or so thick: is the width over all wraps, and are they counted?',
      }),
    z.strictObject({
      way: z.literal('caliper'),
      readingsM: z.array(thick).min(2, 'Read it at two places at least.').max(40, 'At most 40 readings.'),
    }),
    z.strictObject({ way: z.literal('weighed'), massKgPerM: within(LIMITS.massKgPerM, 'The weight of a metre') }),
  ]),
});

/** One dimension of a spool as a caliper had it. */
export const measuredReelInput = z
  .strictObject({ version: versionSchema, what: z.enum(['arbor', 'width', 'rim']), valueM: z.number() })
  .superRefine(({ what, valueM }, context) => {
    const limits = { arbor: LIMITS.arborDiameterM, width: LIMITS.widthM, rim: LIMITS.fullDiameterM }[what];
    const read = within(limits, 'That').safeParse(valueM);
    if (!read.success) {
      context.addIssue({ code: 'custom', path: ['valueM'], message: read.error.issues[0]?.message ?? 'Not a length.' });
    }
  });

export type MeasuredLineInput = z.output<typeof measuredLineInput>;
export type MeasuredReelInput = z.output<typeof measuredReelInput>;
export type SupplyInput = z.output<typeof supplyInput>;
export type ReverseFillInput = z.output<typeof reverseFillInput>;
export type ReelFormInput = z.output<typeof reelInput>;
export type LineFormInput = z.output<typeof lineInput>;

/** A changed row carries the version that was read, so that a concurrent edit is noticed. */
export const versionField = { version: versionSchema };
