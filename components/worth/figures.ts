import { minutesOf } from '@/core/worth/minutes';
import type { Measurement } from '@/core/worth/measurement';
import type { RigRecord } from '@/core/record/record';

/** The minutes of a measurement for a crew. */
export const crewMinutes =
  ({ minutes }: Pick<RigRecord, 'minutes'>) =>
  ({ kind }: Measurement): number =>
    minutesOf(minutes, kind);
