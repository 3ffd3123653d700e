import { z } from 'zod';
import { idSchema, instrumentSchema, readingSchema, text, within } from '../inputs';
import { LIMITS } from '../limits';

const common = { loadId: idSchema, reading: readingSchema, instrument: instrumentSchema };

/** A test of a counter: a walk along a tape, a colour at the tip, or spool turns. */
export const trialInput = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('tape'), ...common, trueLengthM: within(LIMITS.walkLengthM, 'The length walked') }),
  z.strictObject({
    kind: z.literal('colour'),
    ...common,
    segmentId: idSchema,
    coloursOut: z.int().min(1, 'At least one colour is out.').max(40),
  }),
  z.strictObject({
    kind: z.literal('turns'),
    ...common,
    turns: within({ min: 1, max: 10_000 }, 'The number of turns'),
    betweenFlips: z.boolean(),
  }),
]);

export const acceptInput = z.strictObject({
  loadId: idSchema,
  method: z.enum(['true', 'card']),
});

/** What the quiz found out about the display. */
export const displayInput = z.strictObject({ display: z.enum(['rounds', 'truncates', 'unknown']) });

export const hangInput = z.strictObject({ hangM: within({ min: 0, max: 20 }, 'What hangs from the tip') });

const outM = within({ min: 1, max: 2000 }, 'A length of line out');

/** Lengths of line out that a rig is fished with; null goes back to the usual ones. */
export const workingRangeInput = z.strictObject({
  range: z
    .strictObject({ fromM: outM, toM: outM })
    .refine(({ fromM, toM }) => toM > fromM, { path: ['toM'], message: 'It must end farther out than it begins.' })
    .nullable(),
});

export const lineMarkInput = z.strictObject({
  loadId: idSchema,
  kind: z.enum(['tied', 'inked']),
  looks: text(60, 'Say what it looks like.'),
  lengthOutM: within(LIMITS.segmentLengthM, 'The length out'),
});

export type LineMarkInput = z.output<typeof lineMarkInput>;
export type TrialInput = z.output<typeof trialInput>;
export type AcceptInput = z.output<typeof acceptInput>;
