import { z } from 'zod';
import { MEASUREMENT_KINDS } from '../../core/worth/measurement';
import { nameSchema, text, within } from '../inputs';

export const boatInput = z.strictObject({
  name: nameSchema,
  homeWater: text(120).default(''),
});

/** How long measurements take the crew (minutes), by kind; those left out take as long as usual. */
export const minutesInput = z.strictObject({
  minutes: z.partialRecord(z.enum(MEASUREMENT_KINDS), within({ min: 0.25, max: 240 }, 'The minutes of a measurement')),
});

export type BoatInput = z.output<typeof boatInput>;
