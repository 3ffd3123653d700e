import { z } from 'zod';
import { idSchema, instrumentSchema, LIMITS, readingSchema, within } from '../limits';

export const trialInput = z.strictObject({
  loadId: idSchema,
  trueLengthM: within(LIMITS.walkLengthM, 'The length walked'),
  reading: readingSchema,
  instrument: instrumentSchema,
});

export const acceptInput = z.strictObject({
  loadId: idSchema,
  method: z.enum(['true', 'card']),
});

export type TrialInput = z.output<typeof trialInput>;
export type AcceptInput = z.output<typeof acceptInput>;
