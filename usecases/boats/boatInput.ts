import { z } from 'zod';
import { nameSchema, text } from '../inputs';

export const boatInput = z.strictObject({
  name: nameSchema,
  homeWater: text(120).default(''),
});

export type BoatInput = z.output<typeof boatInput>;
