import { z } from 'zod';
import { nameSchema } from '../limits';

export const boatInput = z.strictObject({
  name: nameSchema,
  homeWater: z.string().trim().max(120, 'At most 120 letters.').default(''),
});

export type BoatInput = z.output<typeof boatInput>;
