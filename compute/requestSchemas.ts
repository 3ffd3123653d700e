import { z } from 'zod';
import { ERRORS } from '../core/measurement/errors';
import { labelDiameterRelativeSd, ANY_LINE, LINE_ERRORS } from '../core/measurement/lineErrors';
import { MATERIALS, type Material } from '../core/measurement/material';
import { COUNTER_DRIVES } from '../core/counter/counter';

export const positive = (max: number, what: string) =>
  z
    .number({ error: `${what} must be a number` })
    .positive(`${what} must be above zero`)
    .max(max, `${what} cannot be more than ${max}`);

/** Limits are wide: they catch a wrong unit or a slipped digit, not an unusual reel. */
export const reelSchema = z
  .strictObject({
    arborDiameterM: positive(0.4, 'the arbor diameter in metres').min(0.003, 'the arbor diameter is in metres'),
    widthM: positive(0.4, 'the spool width in metres').min(0.002, 'the spool width is in metres'),
    fullDiameterM: positive(0.6, 'the full diameter in metres').min(0.005, 'the full diameter is in metres'),
    diameterSdM: z.number().min(0).max(0.02).default(0.0002).describe('SD of each caliper reading (m)'),
  })
  .refine((reel) => reel.fullDiameterM > reel.arborDiameterM, {
    path: ['fullDiameterM'],
    message: 'the full diameter must be above the arbor diameter',
  });

export const counterSchema = z.strictObject({
  drive: z.enum(COUNTER_DRIVES).default('spool').describe('a roller is one metre round: it counts the line itself'),
  lengthPerTurnM: positive(2, 'the length per turn in metres').min(0.005, 'the length per turn is in metres'),
  unitM: positive(10, 'the length of one count in metres').min(0.01, 'the length of one count is in metres'),
  digits: z.int('digits must be a whole number').min(2).max(6),
  display: z.enum(['rounds', 'truncates', 'unknown']).default('rounds'),
  lengthPerTurnSdM: z
    .number()
    .min(0)
    .max(0.5)
    .nullable()
    .default(null)
    .describe('SD of the length per turn (m); 4 % of it when left out, as a maker states it'),
});

/** SD of a counter's length per turn (m): as it was given, else that of a maker's round figure. */
export const constantSdM = (counter: Pick<CounterRequest, 'lengthPerTurnM' | 'lengthPerTurnSdM'>): number =>
  counter.lengthPerTurnSdM ?? ERRORS.statedConstantShare.sd * counter.lengthPerTurnM;

export const LONGEST_SEGMENT_M = 5000;

/** A line by name, thickness and packing, with their SDs. */
export const lineShape = {
  name: z.string().trim().min(1, 'a segment needs a name').max(80),
  lineDiameterM: positive(0.006, 'the line diameter in metres').min(0.00003, 'the line diameter is in metres'),
  packing: positive(0.91, 'packing').min(0.35, 'packing is bare line area over area taken: no real lay is under 0.35'),
  lineDiameterSdM: z
    .number()
    .min(0)
    .max(0.003)
    .optional()
    .describe('SD of the line diameter (m); 6.3 % when left out, as of a nylon label'),
  packingSd: z.number().min(0).max(0.3).default(0.045),
  material: z
    .enum(MATERIALS)
    .optional()
    .describe('how much it stretches as it goes on, and how far its label may be off; left out: anything'),
};

interface LineRequest {
  readonly lineDiameterM: number;
  readonly lineDiameterSdM?: number | undefined;
  readonly material?: Material | undefined;
}

/** SD of a line's diameter (m): as given, else that of a label of its material, or of nylon where none was named. */
export const lineDiameterSdM = ({ lineDiameterM, lineDiameterSdM: givenM, material }: LineRequest): number =>
  givenM ?? lineDiameterM * (material ? labelDiameterRelativeSd(material) : ANY_LINE.label);

/** How much a line is stretched as it goes on. */
export const windingStrainOf = ({ material }: LineRequest) =>
  (material ? LINE_ERRORS[material] : ANY_LINE).windingStrain;

export const segmentSchema = z.strictObject({
  ...lineShape,
  lengthM: positive(LONGEST_SEGMENT_M, 'the length in metres').nullable(),
  wound: z.boolean().default(true).describe('false for what is let out by hand and never goes on the spool'),
});

/** Segments from the arbor; a wound one cannot lie outside a hand-lined one. */
export const segmentsSchema = z
  .array(segmentSchema)
  .min(1, 'at least one segment is needed')
  .max(40, 'no more than 40 segments')
  .superRefine((segments, context) => {
    const firstHandLined = segments.findIndex((segment) => !segment.wound);
    segments.forEach((segment, index) => {
      if (segment.wound && firstHandLined >= 0 && index > firstHandLined) {
        context.addIssue({
          code: 'custom',
          path: [index, 'wound'],
          message: 'a wound segment cannot lie outside a hand-lined one',
        });
      }
      if (!segment.wound && segment.lengthM === null) {
        context.addIssue({ code: 'custom', path: [index, 'lengthM'], message: 'a hand-lined segment needs a length' });
      }
    });
  });

/** One problem a bad field: no more than one length may be unknown. */
export function refineUnknowns(
  segments: readonly { readonly lengthM: number | null }[],
  context: z.RefinementCtx,
  allowed: readonly number[],
): void {
  const unknown = segments.flatMap((segment, index) => (segment.lengthM === null ? [index] : []));
  if (allowed.includes(unknown.length)) return;
  const message = allowed.includes(0)
    ? 'no more than one segment may have a null length'
    : 'exactly one segment must have a null length: the one to solve';
  const paths = unknown.length === 0 ? [['segments']] : unknown.map((index) => ['segments', index, 'lengthM']);
  for (const path of paths) context.addIssue({ code: 'custom', path, message });
}

export const loadedReelShape = {
  reel: reelSchema,
  counter: counterSchema.nullable().default(null),
  segments: segmentsSchema,
};

export type ReelRequest = z.output<typeof reelSchema>;
export type CounterRequest = z.output<typeof counterSchema>;
export type SegmentRequest = z.output<typeof segmentSchema>;
