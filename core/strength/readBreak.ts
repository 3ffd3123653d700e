import type { ForceSample } from '../force/forceSample';
import { failure, success, type Outcome } from '../result';

/** The force must fall to this share of its peak for the line to count as broken. */
const BROKEN_SHARE = 0.5;

/**
 * Peak of a break test's trace.
 *
 * @param samples trace of one pull in order of time, tared
 * @returns peak force (N); 'no-break' when the force never falls away; 'no-pull' when there is none
 */
export function readBreak(samples: readonly ForceSample[]): Outcome<number, 'no-break' | 'no-pull'> {
  const peakN = samples.reduce((peak, sample) => Math.max(peak, sample.forceN), 0);
  if (!(peakN > 0)) return failure('no-pull', 'The gauge shows no force: is the line in both grips?');
  const last = samples.at(-1)?.forceN ?? 0;
  if (last > BROKEN_SHARE * peakN) {
    return failure('no-break', 'The line had not broken when the trace ended: pull on until it does.', { peakN });
  }
  return success(peakN);
}
