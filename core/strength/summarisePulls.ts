import { PLUS_MINUS_SDS } from '../numerics/propagate';
import { studentQuantile } from '../numerics/studentQuantile';
import { failure, requirePositive, success, type Outcome } from '../result';

export interface PullSummary {
  readonly n: number;
  readonly meanN: number;
  /** Half of the 95 % interval of the mean, Student's t; null from a single pull. */
  readonly meanPlusMinusN: number | null;
  /** Sample standard deviation (n − 1); null from a single pull. */
  readonly sdN: number | null;
  readonly cv: number | null;
  readonly minN: number;
  readonly maxN: number;
  /** Mean ÷ label; null without a label. */
  readonly labelRatio: number | null;
}

/**
 * Summary of break tests of one line.
 *
 * @param pullsN peak force of each pull (N), each positive
 * @param labelN strength on the label (N), or null
 * @returns the summary, or 'no-pulls'
 * @throws RangeError when a force is not positive
 */
export function summarisePulls(pullsN: readonly number[], labelN: number | null): Outcome<PullSummary, 'no-pulls'> {
  const n = pullsN.length;
  if (n === 0) return failure('no-pulls');
  requirePositive('summarisePulls', Object.fromEntries(pullsN.map((pull, i) => [`pullsN[${i}]`, pull])));
  if (labelN !== null) requirePositive('summarisePulls', { labelN });
  const meanN = pullsN.reduce((sum, pull) => sum + pull, 0) / n;
  // Two passes: the deviations are small against the mean, and one pass would lose their digits.
  const sdN = n > 1 ? Math.sqrt(pullsN.reduce((sum, pull) => sum + (pull - meanN) ** 2, 0) / (n - 1)) : null;
  return success({
    n,
    meanN,
    meanPlusMinusN: sdN === null ? null : (studentQuantile(0.975, n - 1) * sdN) / Math.sqrt(n),
    sdN,
    cv: sdN === null ? null : sdN / meanN,
    minN: Math.min(...pullsN),
    maxN: Math.max(...pullsN),
    labelRatio: labelN === null ? null : meanN / labelN,
  });
}

/** SD that stands for a ± of a mean, so that it can be carried on with others. */
export function sdFromPlusMinus(plusMinus: number): number {
  return plusMinus / PLUS_MINUS_SDS;
}
