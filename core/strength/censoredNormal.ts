import normalCdf from '@stdlib/stats-base-dists-normal-cdf';

/** A value that was seen, or one of which only so much is known that it is at least this. */
export interface Censored {
  readonly value: number;
  readonly isAtLeast: boolean;
}

export interface CensoredFit {
  readonly mean: number;
  /** With n − 1 in place of n, so that without censoring it is the sample's own. */
  readonly sd: number;
  /** Values that were seen. */
  readonly seen: number;
}

const MOST_ROUNDS = 500;
const SETTLED = 1e-10;

/**
 * Mean and SD of a normal sample in which some values are only known to be at least so large: maximum likelihood by
 * expectation and maximisation. Source: Dempster, Laird and Rubin (1977), example 2; moments of the truncated normal from
 * Johnson and Kotz.
 *
 * @param values at least two of which were seen, not all alike
 * @returns null with fewer than two seen values, or without scatter among them
 */
export function censoredNormal(values: readonly Censored[]): CensoredFit | null {
  const seen = values.filter((each) => !each.isAtLeast).map((each) => each.value);
  const n = values.length;
  if (seen.length < 2 || seen.every((value) => value === seen[0])) return null;
  let mean = values.reduce((sum, each) => sum + each.value, 0) / n;
  let variance = seen.reduce((sum, value) => sum + (value - mean) ** 2, 0) / seen.length;
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const sd = Math.sqrt(variance);
    const moments = values.map((each) =>
      each.isAtLeast ? beyond(each.value, mean, sd) : [each.value, each.value ** 2],
    );
    const next = moments.reduce((sum, [first = NaN]) => sum + first, 0) / n;
    const square = moments.reduce((sum, [, second = NaN]) => sum + second, 0) / n;
    const moved = Math.abs(next - mean);
    mean = next;
    variance = Math.max(square - next ** 2, 0);
    if (moved < SETTLED * Math.abs(mean)) break;
  }
  return { mean, sd: Math.sqrt((variance * n) / (n - 1)), seen: seen.length };
}

/** First and second moment of a normal value that lies beyond a point. */
function beyond(point: number, mean: number, sd: number): readonly [number, number] {
  const z = (point - mean) / sd;
  const tail = 1 - normalCdf(z, 0, 1);
  // Far out the ratio goes as z + 1/z, and the tail is below what a double holds.
  const hazard = tail > 1e-14 ? Math.exp(-(z ** 2) / 2) / Math.sqrt(2 * Math.PI) / tail : z + 1 / z;
  const first = mean + sd * hazard;
  return [first, mean ** 2 + sd ** 2 + sd * hazard * (point + mean)];
}
