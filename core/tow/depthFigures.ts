import { PLUS_MINUS_SDS, propagate } from '../numerics/propagate';
import type { Figure } from '../provenance/figure';
import { depthUnknowns, type DepthBelief } from './depthBelief';
import { depthWith, type LearnedDepth } from './learnDepth';

/** Relative SD of unknowns below which they are taken as exact (an SD of nothing has no correlation). */
const NOTHING = 1e-9;

/**
 * How deep the lure swims with each of some lengths out, with what it is off by: all that is open of the rig, as marks have left it, carried
 * through the line's equations together.
 *
 * @param speedMS through the water, as it is read (m/s)
 * @param lengthsM from the lure to the tip (m), within the line
 */
export function depthFigures(
  belief: DepthBelief,
  { values, covariance }: Pick<LearnedDepth, 'values' | 'covariance'>,
  speedMS: number,
  lengthsM: readonly number[],
): readonly Figure[] {
  const sds = covariance.map((row, index) => Math.sqrt(Math.max(row[index] ?? 0, 0)));
  const inputs = depthUnknowns(belief).map(({ from }, index) => ({
    from,
    value: values[index] ?? 0,
    sd: (sds[index] ?? 0) > NOTHING ? (sds[index] ?? 0) : 0,
  }));
  const correlation = covariance.map((row, at) =>
    row.map((each, other) => {
      const scale = (sds[at] ?? 0) * (sds[other] ?? 0);
      return scale > NOTHING ** 2 ? each / scale : at === other ? 1 : 0;
    }),
  );
  const found = propagate(inputs, (unknowns) => depthWith(belief, speedMS, lengthsM, unknowns), correlation);
  return found.values.map((value, index) => ({
    value,
    plusMinus: PLUS_MINUS_SDS * (found.sds[index] ?? 0),
    mainlyFrom: found.largestContributors[index] ?? null,
  }));
}
