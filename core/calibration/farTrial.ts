import { PLUS_MINUS_SDS, propagate } from '../numerics/propagate';
import type { CounterEstimate } from './estimateCounter';
import { predicted, sdOf, valueOf, type CounterObservation } from './observations';

/** How far an observation lies from what all before it say, in its own unit. */
export interface TrialAgainstKnown {
  readonly expected: number;
  /** Half of a 95 % interval of what it might have been. */
  readonly plusMinus: number;
  /** Off the expected, in SDs of what is known and of the observation together. */
  readonly offSds: number;
}

/** From here on a test of the counter is asked about before it counts: one in sixteen thousand by chance. */
export const FAR_SDS = 4;

/**
 * Holds a new test of a counter against everything that was known before it.
 *
 * @param estimate what was known, without the new one
 * @param observation the new one
 * @returns null where it cannot be reckoned with the line as it is believed
 */
export function trialAgainstKnown(
  estimate: CounterEstimate,
  observation: CounterObservation,
): TrialAgainstKnown | null {
  const { unitM, display } = estimate.counter;
  if (!Number.isFinite(predicted(observation, estimate.best, unitM))) return null;
  const spread = propagate(
    estimate.unknowns,
    (unknowns) => [predicted(observation, estimate.realise(unknowns), unitM)],
    estimate.correlation,
  );
  const [expected = NaN] = spread.values;
  const sd = Math.hypot(spread.sds[0] ?? NaN, sdOf(observation, estimate.counter));
  const offSds = (valueOf(observation, display) - expected) / sd;
  return { expected, plusMinus: PLUS_MINUS_SDS * sd, offSds };
}
