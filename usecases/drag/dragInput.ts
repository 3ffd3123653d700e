import { z } from 'zod';
import { FRACTION_LIMITS } from '../../core/drag/dragTarget';
import { idSchema, instrumentSchema, LIMITS, within } from '../limits';

export const settingInput = z.strictObject({
  loadId: idSchema,
  fraction: within(FRACTION_LIMITS, 'The fraction of the strength'),
  strengthBasis: z.enum(['label', 'tested', 'weakest']),
  rodAngleRad: within({ min: 0, max: Math.PI }, 'The bend of the rod'),
});

export const dragPullInput = z
  .strictObject({
    kind: z.enum(['warm-up', 'bent rod', 'straight']),
    movingN: within(LIMITS.forceN, 'The moving pull'),
    breakawayN: within(LIMITS.forceN, 'The breakaway pull'),
    settingStep: z.int().min(0).max(1000),
    instrument: instrumentSchema,
  })
  .refine((pull) => pull.breakawayN >= pull.movingN, {
    path: ['breakawayN'],
    message: 'The jerk that starts the line moving is at least as large as the moving pull.',
  });

export type SettingInput = z.output<typeof settingInput>;
export type DragPullInput = z.output<typeof dragPullInput>;
