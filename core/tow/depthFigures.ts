import { PLUS_MINUS_SDS, propagate } from '../numerics/propagate';
import type { Figure } from '../provenance/figure';
import { depthUnknowns, towOf, type DepthBelief } from './depthBelief';
import { FOLLOW_TOLERANCE } from './followLengths';
import { depthWith, type LearnedDepth } from './learnDepth';
import { profileAt } from './towProfile';
import { sectionsOf } from './towStack';
import { underWater } from './underWater';

/** Relative SD of unknowns below which they are taken as exact (an SD of nothing has no correlation). */
const NOTHING = 1e-9;

type Learned = Pick<LearnedDepth, 'values' | 'covariance'>;

/**
 * How deep the lure swims with each of some lengths out, with what it is off by: all that is open of the rig, as marks have left it, carried
 * through the line's equations together.
 *
 * @param speedMS through the water, as it is read (m/s)
 * @param lengthsM from the lure to the tip (m), within the line
 */
export function depthFigures(
  belief: DepthBelief,
  learned: Learned,
  speedMS: number,
  lengthsM: readonly number[],
): readonly Figure[] {
  return figuresWith(belief, learned, (unknowns) => depthWith(belief, speedMS, lengthsM, unknowns));
}

/** How far behind the tip the lure swims with a length out (m), the same way; 0 where the tip lifts it out. */
export function setbackFigure(belief: DepthBelief, learned: Learned, speedMS: number, lengthOutM: number): Figure {
  const [setback] = figuresWith(belief, learned, (unknowns) => {
    const tow = towOf(belief, speedMS, unknowns);
    const run = underWater(tow, sectionsOf(tow), FOLLOW_TOLERANCE);
    return [profileAt(tow, run, lengthOutM, FOLLOW_TOLERANCE).setbackM ?? 0];
  });
  return setback ?? { value: NaN, plusMinus: NaN, mainlyFrom: null };
}

function figuresWith(
  belief: DepthBelief,
  { values, covariance }: Learned,
  of: (unknowns: readonly number[]) => readonly number[],
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
  const found = propagate(inputs, of, correlation);
  return found.values.map((value, index) => ({
    value,
    plusMinus: PLUS_MINUS_SDS * (found.sds[index] ?? 0),
    mainlyFrom: found.largestContributors[index] ?? null,
  }));
}
