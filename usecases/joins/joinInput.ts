import { z } from 'zod';
import { END_MAKERS, JOIN_KIND_NAMES } from '../../core/joins/joinKinds';
import { SCHOOLS } from '../../core/joins/schools';
import { idSchema, instrumentSchema, nameSchema, noteSchema, text, within } from '../inputs';
import { LIMITS } from '../limits';

const schoolSchema = z.string().refine((id) => SCHOOLS.some((school) => school.id === id), 'Choose a school.');

export const tieInput = z.strictObject({
  school: schoolSchema,
  personId: idSchema.nullable(),
  seatedN: within(LIMITS.forceN, 'The seating pull').nullable(),
  /** The steps that were ticked, in order: a seating pull among them cannot be left out. */
  stepsDone: z.array(text(60)).max(40),
  pullTested: z.boolean(),
  note: noteSchema,
});

export const joinKindInput = z.strictObject({
  kind: z.enum(JOIN_KIND_NAMES),
  /** What the end of the inner and of the outer line is made before; null: it stays plain. */
  inner: z.enum(END_MAKERS).nullable().default(null),
  outer: z.enum(END_MAKERS).nullable().default(null),
});

export const openingInput = z.strictObject({ openingM: within(LIMITS.smallestOpeningM, 'The smallest opening') });

export const ownFigureInput = z.strictObject({
  school: schoolSchema,
  step: text(60),
  /** Null: the school's figure counts again. */
  own: z
    .strictObject({
      least: within({ min: 0.0005, max: 1000 }, 'The least'),
      most: within({ min: 0.0005, max: 1000 }, 'The most'),
    })
    .refine(({ least, most }) => most >= least, { path: ['most'], message: 'The most is at least the least.' })
    .nullable(),
});

export const drillInput = z
  .strictObject({
    school: schoolSchema,
    personId: idSchema.nullable(),
    strokes: z.int().min(1, 'A drill has at least one stroke.').max(1000),
    mistakes: z.int().min(0).max(1000),
    seconds: within({ min: 0.1, max: 36_000 }, 'The time'),
  })
  .refine((drill) => drill.mistakes <= drill.strokes, {
    path: ['mistakes'],
    message: 'There cannot be more mistakes than strokes.',
  });

export const personInput = z.strictObject({ name: nameSchema, hand: z.enum(['left', 'right']) });

export const slipInput = z.strictObject({
  movedM: within({ min: 0, max: 1 }, 'The shift of the mark'),
  pulledN: within(LIMITS.forceN, 'The pull').nullable(),
});

export const joinPullInput = z.strictObject({
  peakN: within(LIMITS.forceN, 'The peak force'),
  brokeAt: z.enum(['join', 'line', 'grip']),
  school: schoolSchema.nullable(),
  instrument: instrumentSchema,
});

/** A picture as the browser has shrunk it: well under what one request may hold. */
export const photoInput = z.strictObject({
  jpegBase64: z
    .base64('The picture cannot be read.')
    .min(200, 'The picture is empty.')
    .max(200_000, 'The picture is too large.'),
});

export type JoinPullInput = z.output<typeof joinPullInput>;
export type SlipInput = z.output<typeof slipInput>;
export type PhotoInput = z.output<typeof photoInput>;
export type OwnFigureInput = z.output<typeof ownFigureInput>;
export type TieInput = z.output<typeof tieInput>;
export type DrillInput = z.output<typeof drillInput>;
export type PersonInput = z.output<typeof personInput>;
