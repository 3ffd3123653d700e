import { studentQuantile } from '../numerics/studentQuantile';
import { requirePositive } from '../result';

/** Off by more than this from what was written down a pull is asked about, while its test is too young to say (from memory). */
const FAR_FROM_EXPECTED = 0.45;
/** Pulls from which a test speaks for itself. */
const PULLS_THAT_SPEAK = 4;
/** One pull in a thousand lies beyond this by chance, to each side. */
const LEVEL = 0.999;
/** A test is not believed to scatter less than this (from memory): a few alike pulls are often luck. */
const LEAST_CV = 0.03;

/**
 * True where a pull lies so far from what is expected that it is asked about before it counts: from the other pulls of its test,
 * by the prediction interval of one more pull, else from what was expected of the line.
 *
 * @param peakN the pull (N)
 * @param othersN pulls of the same test that count (N)
 * @param expectedN what was written down before the first pull (N)
 */
export function isFarPull(peakN: number, othersN: readonly number[], expectedN: number): boolean {
  requirePositive('isFarPull', { peakN, expectedN });
  const n = othersN.length;
  if (n < PULLS_THAT_SPEAK) {
    const known = n === 0 ? expectedN : othersN.reduce((sum, pull) => sum + pull, 0) / n;
    return Math.abs(Math.log(peakN / known)) > Math.log1p(FAR_FROM_EXPECTED);
  }
  const meanN = othersN.reduce((sum, pull) => sum + pull, 0) / n;
  const sdN = Math.sqrt(othersN.reduce((sum, pull) => sum + (pull - meanN) ** 2, 0) / (n - 1));
  const reachN = studentQuantile(LEVEL, n - 1) * Math.max(sdN, LEAST_CV * meanN) * Math.sqrt(1 + 1 / n);
  return Math.abs(peakN - meanN) > reachN;
}
