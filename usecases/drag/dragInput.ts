import { REACHES } from '../../core/record/reach';
import { z } from 'zod';
import { GUIDE_KINDS } from '../../core/drag/guideFactor';
import { FRACTION_LIMITS } from '../../core/drag/dragTarget';
import { CREEPS, CURRENTS, HAND_PULLS, HEADINGS } from '../../core/drag/planer/planerLooks';
import { STRIKES } from '../../core/record/drag';
import { idSchema, instrumentSchema, text, within } from '../inputs';
import { LIMITS } from '../limits';

export const settingInput = z.strictObject({
  loadId: idSchema,
  fraction: within(FRACTION_LIMITS, 'The fraction of the strength'),
  strengthBasis: z.enum(['label', 'tested', 'weakest']),
  rodAngleRad: within({ min: 0, max: Math.PI }, 'The bend of the rod'),
});

/** How much of its line a rig is reckoned with, and how far a run goes where somebody has said. */
export const reachInput = z.strictObject({
  kind: z.enum(REACHES),
  runM: within({ min: 1, max: 5000 }, 'The length of a run').nullable(),
});

/** What line runs over on a rod. */
export const guidesInput = z.strictObject({
  kind: z.enum(GUIDE_KINDS),
  count: z.int('Count the guides.').min(1, 'At least one guide.').max(30, 'At most 30 guides.'),
});

export const dragPullInput = z
  .strictObject({
    kind: z.enum(['warm-up', 'bent rod', 'straight']),
    movingN: within(LIMITS.forceN, 'The moving pull'),
    /** Null where nobody read the jerk. */
    breakawayN: within(LIMITS.forceN, 'The breakaway pull').nullable(),
    settingStep: z.int().min(0).max(1000),
    starTurns: within({ min: -50, max: 50 }, 'The turns of the star').nullable().default(null),
    instrument: instrumentSchema,
  })
  .refine((pull) => pull.breakawayN === null || pull.breakawayN >= pull.movingN, {
    path: ['breakawayN'],
    message: 'The jerk that starts the line moving is at least as large as the moving pull.',
  });

export const leverPointInput = z.strictObject({
  loadId: idSchema,
  position: within({ min: 0, max: 1 }, "The lever's place"),
  forceN: within({ min: 0, max: LIMITS.forceN.max }, 'The pull'),
  instrument: instrumentSchema,
});

const turns = z
  .number({ error: 'Say how many turns.' })
  .min(-10, 'At most 10 turns at once.')
  .max(10, 'At most 10 turns at once.')
  .refine((value) => value !== 0, 'No turn is no act.');

export const presetActInput = z.discriminatedUnion('act', [
  z.strictObject({ act: z.literal('to-free') }),
  z.strictObject({ act: z.literal('into-gear') }),
  z.strictObject({ act: z.literal('turn'), turns }),
  z.strictObject({ act: z.literal('was-turned-in-gear'), turns }),
]);

/** A look at a planer: the lever's place or newtons, and what was seen, felt or heard. */
export const planerLookInput = z
  .strictObject({
    planer: text(60, 'Say which planer.'),
    speedMS: within({ min: 0.2, max: 15 }, 'The speed through the water'),
    holdsN: within(LIMITS.forceN, 'What the drag holds').nullable().default(null),
    leverPosition: within({ min: 0.01, max: 1 }, "The lever's place").nullable(),
    heading: z.enum(HEADINGS),
    current: z.enum(CURRENTS),
    creep: z.enum(CREEPS).nullable(),
    isSet: z.boolean(),
    handPull: z.enum(HAND_PULLS).nullable().default(null),
    strike: z.enum(STRIKES).nullable().default(null),
    instrument: instrumentSchema,
  })
  .superRefine(({ holdsN, leverPosition, creep, handPull, strike }, context) => {
    const issue = (path: string, message: string): void => context.addIssue({ code: 'custom', path: [path], message });
    if (holdsN === null && leverPosition === null) issue('leverPosition', 'Say where the lever stands.');
    if (creep === null && handPull === null && strike === null)
      issue('creep', 'Say what was seen: creep, a pull by hand, or a strike.');
  });

export type LeverPointInput = z.output<typeof leverPointInput>;
export type PlanerLookInput = z.output<typeof planerLookInput>;
export type SettingInput = z.output<typeof settingInput>;
export type DragPullInput = z.output<typeof dragPullInput>;
