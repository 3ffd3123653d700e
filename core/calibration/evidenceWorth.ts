import { EVIDENCE_TAILS } from '../measurement/errors';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import type { CounterEstimate } from './estimateCounter';
import { estimateCovariance, estimateSlopes } from './estimateSlopes';
import { predicted, sdOf, type CounterObservation, type RealisedLoad } from './observations';

/** What one piece of evidence does for a figure. */
export interface PieceWorth {
  readonly observation: CounterObservation;
  /** The figure's ± without the piece, over its ± with it: 1 where it tells nothing of the figure. */
  readonly widensTo: number;
  /** How much more the figure's variance would be (in its unit, squared). */
  readonly addedVariance: number;
}

/** From here on a figure's ± is mostly one piece's: without it, it would be twice as wide. */
const ALONE = 2;

/**
 * Splits the ± of a figure by the pieces behind it: by how much it would be wider without each of them. Exact for a figure and pieces
 * that are linear over their own errors: the posterior without a piece differs by one rank (Sherman and Morrison 1950).
 *
 * @param estimate of the counter
 * @param figure what the load and its counter make of it
 * @returns for each piece, in the order of the estimate's residuals
 */
export function evidenceWorth(
  estimate: CounterEstimate,
  figure: (load: RealisedLoad) => number,
): readonly PieceWorth[] {
  const { observations, counter, widened } = estimate;
  const slopes = estimateSlopes(estimate, (load) => [
    figure(load),
    ...observations.map((each) => predicted(each, load, counter.unitM)),
  ]);
  const covariance = estimateCovariance(estimate);
  const together = (a: number, b: number): number =>
    covariance.reduce(
      (sum, row, i) =>
        sum + row.reduce((inner, each, j) => inner + (slopes[a]?.[i] ?? 0) * (slopes[b]?.[j] ?? 0) * each, 0),
      0,
    ) /
    widened ** 2;
  const variance = together(0, 0);
  return observations.map((observation, index) => {
    const row = index + 1;
    const offSds = estimate.residuals[index]?.offSds ?? 0;
    // A piece with tails has pulled with its weight only.
    const noise = sdOf(observation, counter) ** 2 * (1 + offSds ** 2 / EVIDENCE_TAILS);
    const left = Math.max(noise - together(row, row), 1e-9 * noise);
    const added = together(0, row) ** 2 / left;
    return { observation, widensTo: Math.sqrt(1 + added / variance), addedVariance: widened ** 2 * added };
  });
}

/** A ± with what else it is made of, as it would be without a piece. */
export function plusMinusWithout(plusMinus: number, { addedVariance }: PieceWorth): number {
  return Math.hypot(plusMinus, PLUS_MINUS_SDS * Math.sqrt(addedVariance));
}

/** The one piece that a figure rests on, where without it the ± would be twice as wide or more; else null. */
export function restsOn(worth: readonly PieceWorth[]): PieceWorth | null {
  const [first] = worth.toSorted((a, b) => b.widensTo - a.widensTo);
  return first && first.widensTo >= ALONE ? first : null;
}
