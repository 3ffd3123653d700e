import { z } from 'zod';
import { END_MAKERS, JOIN_KIND_NAMES } from '../../core/joins/joinKinds';
import { BACKING_PURPOSES } from '../../core/load/backing';
import { JOIN_PLACE_PARTS } from '../../core/joins/placeParts';
import { SEGMENT_ROLES } from '../../core/record/record';
import { idSchema, nameSchema, text, versionSchema, within } from '../inputs';
import { LIMITS } from '../limits';

const segmentInput = z.strictObject({
  id: idSchema,
  name: nameSchema,
  role: z.enum(SEGMENT_ROLES),
  productId: idSchema,
  lengthM: within(LIMITS.segmentLengthM, 'The length of a segment').nullable(),
  lengthKnown: z.boolean(),
  wound: z.boolean(),
  colours: z.array(text(30, 'A colour needs a name.')).max(40, 'At most 40 colours.'),
  colourLengthM: within(LIMITS.colourLengthM, 'The length of a colour').nullable().default(null),
  purpose: z.enum(BACKING_PURPOSES).nullable().default(null),
});

const joinInput = z.strictObject({
  innerSegmentId: idSchema.nullable(),
  outerSegmentId: idSchema,
  kind: z.enum(JOIN_KIND_NAMES),
  part: z.enum(JOIN_PLACE_PARTS).default('join'),
});

const fillInput = z.strictObject({
  target: z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('below-rim'),
      levelBelowRimM: within(LIMITS.levelBelowRimM, 'The level under the rim'),
    }),
    z.strictObject({
      kind: z.literal('depth-share'),
      share: within({ min: 0.05, max: 1.1 }, 'The share of the depth'),
    }),
    z.strictObject({ kind: z.literal('mark'), diameterM: within(LIMITS.fullDiameterM, 'The diameter at the mark') }),
    z.strictObject({
      kind: z.literal('own-mark'),
      diameterM: within(LIMITS.fullDiameterM, 'The diameter at the mark'),
    }),
    z
      .strictObject({
        kind: z.literal('counter-true'),
        fromM: within(LIMITS.walkLengthM, 'The start of the working range'),
        toM: within(LIMITS.walkLengthM, 'The end of the working range'),
      })
      .refine(({ fromM, toM }) => toM > fromM, { path: ['toM'], message: 'The range must end beyond its start.' }),
  ]),
  soonGoneM: within(LIMITS.soonGoneM, 'What will soon be gone'),
  perKnotM: within(LIMITS.perKnotM, 'What a leader knot takes').nullable().default(null),
});

const planned = {
  segments: z.array(segmentInput).min(1, 'A rig needs at least one segment.').max(40, 'At most 40 segments.'),
  joins: z.array(joinInput).max(123),
  /** Where the fill is to end; null: just under full, which nobody has chosen. */
  fill: fillInput.nullable().default(null),
};

type Planned = z.output<z.ZodObject<typeof planned>>;

/** What no stack can be, however it is sent. */
function refuseImpossible({ segments, joins }: Planned, context: z.RefinementCtx): void {
  const issue = (path: (string | number)[], message: string): void =>
    context.addIssue({ code: 'custom', path, message });
  const ids = segments.map((segment) => segment.id);
  ids.forEach((id, index) => {
    if (ids.indexOf(id) !== index) issue(['segments', index, 'id'], 'This segment stands twice in the stack.');
  });
  const solved = segments.flatMap((segment, index) => (segment.lengthM === null ? [index] : []));
  for (const index of solved.slice(1))
    issue(['segments', index, 'lengthM'], 'Only one segment can be left to be worked out.');
  const firstByHand = segments.findIndex((segment) => !segment.wound);
  segments.forEach((segment, index) => {
    if (!segment.wound && segment.lengthM === null) {
      issue(['segments', index, 'lengthM'], 'What is let out by hand needs a length: it does not fill the spool.');
    }
    if (segment.wound && firstByHand >= 0 && index > firstByHand) {
      issue(['segments', index, 'wound'], 'A wound segment cannot lie outside one that is let out by hand.');
    }
  });
  joins.forEach((join, index) => {
    const outer = ids.indexOf(join.outerSegmentId);
    const inner = join.innerSegmentId === null ? -1 : ids.indexOf(join.innerSegmentId);
    const meets = outer >= 0 && (join.innerSegmentId === null ? outer === 0 : inner >= 0 && inner === outer - 1);
    const places = joins.map(({ outerSegmentId, part }) => `${part} ${outerSegmentId}`);
    if (places.indexOf(`${join.part} ${join.outerSegmentId}`) !== index)
      issue(['joins', index], 'This place has two structures of one kind.');
    if (join.part !== 'join' && (join.innerSegmentId === null || !END_MAKERS.includes(join.kind)))
      issue(['joins', index, 'kind'], 'That makes no end of a line.');
    if (!meets) issue(['joins', index], 'A join must join two neighbours of the stack, or the first one to the arbor.');
  });
}

/** The whole stack of a rig from the arbor outwards, with its joins, over the version that was read. */
export const stackInput = z.strictObject({ version: versionSchema, ...planned }).superRefine(refuseImpossible);

/** A stack that is kept under a name. */
export const plannedStackInput = z.strictObject(planned).superRefine(refuseImpossible);

export type StackInput = z.output<typeof stackInput>;
