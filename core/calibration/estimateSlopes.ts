import type { CounterEstimate } from './estimateCounter';
import type { RealisedLoad } from './observations';

/** Step of a derivative, in SDs of each unknown beforehand. */
const STEP = 1e-3;

/**
 * How figures of a load change with each unknown of its estimate, about the best values.
 *
 * @param figures what a load makes of them, and the unknowns that it is realised from
 * @returns for each figure, its slope by each unknown, in the figure's unit per unit of the unknown
 */
export function estimateSlopes(
  estimate: Pick<CounterEstimate, 'unknowns' | 'realise'>,
  figures: (load: RealisedLoad, unknowns: readonly number[]) => readonly number[],
): readonly (readonly number[])[] {
  const centre = estimate.unknowns.map(({ value }) => value);
  const at = (unknowns: readonly number[]): readonly number[] => figures(estimate.realise(unknowns), unknowns);
  const byUnknown = centre.map((value, index) => {
    const [up, down] = [at(centre.with(index, value + STEP)), at(centre.with(index, value - STEP))];
    return up.map((each, row) => (each - (down[row] ?? NaN)) / (2 * STEP));
  });
  return (byUnknown[0] ?? []).map((_, row) => byUnknown.map((slopes) => slopes[row] ?? NaN));
}

/** Covariance of an estimate's unknowns. */
export function estimateCovariance({
  unknowns,
  correlation,
}: Pick<CounterEstimate, 'unknowns' | 'correlation'>): readonly (readonly number[])[] {
  return unknowns.map(({ sd }, i) => unknowns.map((other, j) => (correlation[i]?.[j] ?? NaN) * sd * other.sd));
}
