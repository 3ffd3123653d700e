import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { studentQuantile } from '../numerics/studentQuantile';
import { failure, requirePositive, success, type Outcome } from '../result';

/** Lines whose strengths lie within this share of each other count as the same. */
export const SAME_WITHIN = 0.05;

export interface SameLine {
  /** Mean strength of the first ÷ the second, with its 95 % interval (Welch, on logarithms). */
  readonly ratio: number;
  readonly low: number;
  readonly high: number;
  readonly verdict: 'same' | 'different' | 'not enough pulls to tell';
  /** Pulls of each that would decide with 85 % chance if they are the same, at the scatter seen. */
  readonly pullsNeeded: number;
}

/** Chance of deciding that the needed pulls are worked out for. */
const POWER = 0.85;

/**
 * Whether two lines are one: Welch's interval of the ratio of their strengths, and equivalence within 5 % (both
 * one-sided tests at 5 %). Source: NIST/SEMATECH e-Handbook, section 7.3.1, for the interval.
 *
 * @param firstN pulls of the one (N), at least two
 * @param secondN pulls of the other (N)
 * @returns ratio and verdict; or 'too-few-of-each', or 'no-spread' where neither line scatters at all
 */
export function sameLine(
  firstN: readonly number[],
  secondN: readonly number[],
): Outcome<SameLine, 'too-few-of-each' | 'no-spread'> {
  for (const [name, pulls] of Object.entries({ firstN, secondN })) {
    requirePositive('sameLine', Object.fromEntries(pulls.map((pull, index) => [`${name}[${index}]`, pull])));
  }
  if (firstN.length < 2 || secondN.length < 2) {
    return failure('too-few-of-each');
  }
  const [a, b] = [logStats(firstN), logStats(secondN)];
  const [va, vb] = [a.variance / a.n, b.variance / b.n];
  // Pulls that are all alike say nothing of the next one.
  if (va === 0 && vb === 0) return failure('no-spread');
  const error = Math.sqrt(va + vb);
  const degrees = (va + vb) ** 2 / (va ** 2 / (a.n - 1) + vb ** 2 / (b.n - 1));
  const difference = a.mean - b.mean;
  const half = (probability: number): number => studentQuantile(probability, degrees) * error;
  const [low, high] = [Math.exp(difference - half(0.975)), Math.exp(difference + half(0.975))];
  const inside = Math.abs(difference) + half(0.95) < Math.log(1 + SAME_WITHIN);
  const cv2 = (a.variance + b.variance) / 2;
  const z = normalQuantile(0.95, 0, 1) + normalQuantile(1 - (1 - POWER) / 2, 0, 1);
  return success({
    ratio: Math.exp(difference),
    low,
    high,
    verdict: inside ? 'same' : low > 1 || high < 1 ? 'different' : 'not enough pulls to tell',
    pullsNeeded: Math.max(2, Math.ceil((2 * cv2 * z ** 2) / Math.log(1 + SAME_WITHIN) ** 2)),
  });
}

function logStats(values: readonly number[]): { readonly n: number; readonly mean: number; readonly variance: number } {
  const logs = values.map(Math.log);
  const n = logs.length;
  const mean = logs.reduce((sum, each) => sum + each, 0) / n;
  return { n, mean, variance: logs.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (n - 1) };
}
