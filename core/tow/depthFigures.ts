import { PLUS_MINUS_SDS, propagate } from '../numerics/propagate';
import type { Figure } from '../provenance/figure';
import { depthUnknowns, type DepthBelief } from './depthBelief';
import { depthWith, markSdM, type LearnedDepth, type SeenDepth } from './learnDepth';

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

/** What one more mark would leave of the ± of a depth, as it is expected now. */
export interface MarkWorth {
  readonly lengthOutM: number;
  readonly plusMinusAfter: number;
}

/**
 * Which length to touch bottom or take a mark at, so that a depth is known best after it: linear-Gaussian, on what is known now.
 *
 * @param atM the length whose depth is wanted (m)
 * @param triedM lengths that a mark could be taken at (m)
 * @param depthSd SD of such a mark (m) at a depth (m)
 */
export function worthOfMark(
  belief: DepthBelief,
  learned: Pick<LearnedDepth, 'values' | 'covariance'>,
  speedMS: number,
  atM: number,
  triedM: readonly number[],
  depthSd: (depthM: number) => SeenDepth['depthSdM'],
): readonly MarkWorth[] {
  const { values, covariance } = learned;
  const lengths = [atM, ...triedM];
  const centre = depthWith(belief, speedMS, lengths, values);
  const slopes = values.map((value, index) => {
    const step = 0.25;
    const up = depthWith(belief, speedMS, lengths, values.with(index, value + step));
    const down = depthWith(belief, speedMS, lengths, values.with(index, value - step));
    return up.map((each, which) => (each - (down[which] ?? NaN)) / (2 * step));
  });
  const between = (one: number, other: number): number =>
    covariance.reduce(
      (sum, row, at) =>
        sum + (slopes[at]?.[one] ?? 0) * row.reduce((inner, each, to) => inner + each * (slopes[to]?.[other] ?? 0), 0),
      0,
    );
  const variance = between(0, 0);
  return triedM.map((lengthOutM, index) => {
    const which = index + 1;
    const depthM = centre[which] ?? 0;
    const noise = markSdM({ depthM, lengthOutM, lengthSdM: 0, depthSdM: depthSd(depthM) }) ** 2;
    const left = variance - between(0, which) ** 2 / (between(which, which) + noise);
    return { lengthOutM, plusMinusAfter: PLUS_MINUS_SDS * Math.sqrt(Math.max(left, 0)) };
  });
}
