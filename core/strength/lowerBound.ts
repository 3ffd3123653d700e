import { toleranceFactor } from '../numerics/toleranceFactor';
import { failure, success, type Outcome } from '../result';
import type { PooledScatter } from './pooledCv';
import type { PullSummary } from './summarisePulls';

/** Content and confidence of every bound that the screens show: 95 of 100 pieces, said with 95 % confidence. */
export const CONTENT = 0.95;
export const CONFIDENCE = 0.95;

export interface LowerBound {
  /** What that share of pieces of the tested length should hold at least (N). */
  readonly boundN: number;
  /** SDs below the mean. */
  readonly factor: number;
  /** 'pooled' where the spread was lent by other tests of that material, 'lots' where several spools of the line were pulled. */
  readonly spread: 'own' | 'pooled' | 'lots';
}

export type NoBound = 'too-few' | 'no-spread' | 'not-above-zero';

/** Pulls from which a sample's own spread says something. */
const LEAST_PULLS = 3;

/** Degrees of freedom from which a lent spread says something: below, its own error swamps every bound. */
export const LEAST_POOLED_DEGREES = 4;

/**
 * One-sided lower tolerance bound of break tests: what a share of all pieces of the tested length should hold.
 * Assumes normal scatter. Source: NIST/SEMATECH e-Handbook, section 7.2.6.3.
 *
 * @param summary of the pulls
 * @param pooled scatter of the same person's other tests of that material, for one or two pulls, used from four degrees of
 *   freedom on and with those (noncentral t); it covers less than it says where scatters differ
 * @param content share of pieces
 * @param confidence with which it is said
 * @returns the bound; or 'too-few' (how many more would do in the figures), 'no-spread' (identical pulls say nothing of
 *   the next one), 'not-above-zero'
 */
export function lowerBound(
  summary: PullSummary,
  pooled: PooledScatter | null = null,
  content = CONTENT,
  confidence = CONFIDENCE,
): Outcome<LowerBound, NoBound> {
  const { n, meanN, sdN } = summary;
  if (n < LEAST_PULLS || sdN === null) {
    if (pooled && pooled.cv > 0 && pooled.degrees >= LEAST_POOLED_DEGREES) {
      const factor = toleranceFactor(n, content, confidence, pooled.degrees);
      return aboveZero(meanN - factor * pooled.cv * meanN, factor, 'pooled', n);
    }
    return failure('too-few', { more: LEAST_PULLS - n });
  }
  if (sdN === 0) {
    return failure('no-spread');
  }
  const factor = toleranceFactor(n, content, confidence);
  return aboveZero(meanN - factor * sdN, factor, 'own', n);
}

export function aboveZero(
  boundN: number,
  factor: number,
  spread: LowerBound['spread'],
  n: number,
): Outcome<LowerBound, NoBound> {
  if (boundN > 0) return success({ boundN, factor, spread });
  return failure('not-above-zero', { n });
}

/**
 * What more pulls would raise the bound by, if mean and scatter stay as they are (N); null while there is no bound.
 *
 * @param summary of the pulls so far, at least three
 * @param more how many more
 */
export function gainOfMorePulls(summary: PullSummary, more: number): number | null {
  const now = lowerBound(summary);
  if (!now.ok || summary.sdN === null) return null;
  return summary.meanN - toleranceFactor(summary.n + more) * summary.sdN - now.value.boundN;
}
