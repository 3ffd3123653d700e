import type { ForceSample } from '../force/forceSample';
import { failure, success, type Outcome } from '../result';

/** The force must fall to this share of its peak for the line to count as broken. */
const BROKEN_SHARE = 0.5;

/**
 * Peak of a break test's trace.
 *
 * @param samples trace of one pull in order of time, tared
 * @returns peak force (N); 'not-broken-yet' when the force never falls away; 'no-pull' when there is none
 */
export function readBreak(samples: readonly ForceSample[]): Outcome<number, 'not-broken-yet' | 'no-pull'> {
  const peakN = samples.reduce((peak, sample) => Math.max(peak, sample.forceN), 0);
  if (!(peakN > 0)) return failure('no-pull');
  const last = samples.at(-1)?.forceN ?? 0;
  if (last > BROKEN_SHARE * peakN) {
    return failure('not-broken-yet', { peakN });
  }
  return success(peakN);
}
