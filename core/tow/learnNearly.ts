import { covarianceAfter } from '../worth/belief';
import { depthUnknowns, type DepthBelief } from './depthBelief';
import { depthSlopes } from './depthToNarrow';
import { depthWith, markNoise, type LearnedDepth } from './learnDepth';
import type { SeenDepth } from './seenDepth';

/** A mark farther off than so many of its SDs pulls no more than one that far off. */
const PULLS_TO_SDS = 3;
/** The newest marks are looked at; those before them have been told again by then. */
const MOST_MARKS = 12;

/**
 * What depths that were seen have taught, nearly: one linear step from what is believed beforehand, in some milliseconds, where many rigs
 * are looked at together. {@link learnDepth} fits them in full.
 */
export function learnNearly(
  belief: DepthBelief,
  marks: readonly SeenDepth[],
): Pick<LearnedDepth, 'values' | 'covariance'> {
  const prior = depthUnknowns(belief).map(() => 0);
  let values: readonly number[] = prior;
  let covariance: LearnedDepth['covariance'] = prior.map((_, row) =>
    prior.map((__, column) => (row === column ? 1 : 0)),
  );
  const newest = marks.slice(-MOST_MARKS);
  for (const speedMS of new Set(newest.map((mark) => mark.speedMS))) {
    const together = newest.filter((mark) => mark.speedMS === speedMS).toSorted((a, b) => a.lengthOutM - b.lengthOutM);
    const lengthsM = together.map(({ lengthOutM }) => lengthOutM);
    const slopes = depthSlopes(belief, prior, speedMS, lengthsM);
    const expectedM = depthWith(belief, speedMS, lengthsM, prior);
    together.forEach((mark, index) => {
      const reading = { slopes: slopes[index] ?? [], noiseVariance: markNoise(mark) };
      const moved = covariance.map((row) => dot(row, reading.slopes));
      const variance = dot(reading.slopes, moved) + reading.noiseVariance;
      const offM = mark.depthM - (expectedM[index] ?? 0) - dot(reading.slopes, values);
      const mostM = PULLS_TO_SDS * Math.sqrt(variance);
      const pulledM = Math.min(Math.max(offM, -mostM), mostM);
      values = values.map((value, at) => value + ((moved[at] ?? 0) / variance) * pulledM);
      covariance = covarianceAfter(covariance, reading);
    });
  }
  return { values, covariance };
}

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, each, index) => sum + each * (b[index] ?? 0), 0);
