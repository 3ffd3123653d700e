import { z } from 'zod';
import { JOIN_KIND_NAMES } from '../../core/joins/joinKinds';
import { SCHOOLS } from '../../core/joins/schools';
import { idSchema, LIMITS, nameSchema, noteSchema, within } from '../limits';

const schoolSchema = z.string().refine((id) => SCHOOLS.some((school) => school.id === id), 'Choose a school.');

export const tieInput = z.strictObject({
  school: schoolSchema,
  personId: idSchema.nullable(),
  seatedN: within(LIMITS.forceN, 'The seating pull').nullable(),
  /** The steps that were ticked, in order: a seating pull among them cannot be left out. */
  stepsDone: z.array(z.string()).max(40),
  pullTested: z.boolean(),
  note: noteSchema,
});

export const joinKindInput = z.strictObject({ kind: z.enum(JOIN_KIND_NAMES) });

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

export type TieInput = z.output<typeof tieInput>;
export type DrillInput = z.output<typeof drillInput>;
export type PersonInput = z.output<typeof personInput>;
