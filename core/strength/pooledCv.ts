import type { PullSummary } from './summarisePulls';

/** Scatter that other tests lend to one, and how well it is known. */
export interface PooledScatter {
  /** SD ÷ mean. */
  readonly cv: number;
  /** Degrees of freedom behind it. */
  readonly degrees: number;
}

/**
 * The scatter that a person's tests of one material have in common: root of the mean squared CV, weighted by what each
 * lot says of it. It stands in where a line was pulled once or twice, and under-covers where scatters differ.
 *
 * @param summaries of the other lots of that material
 * @returns null while no lot was pulled twice
 */
export function pooledCv(summaries: readonly PullSummary[]): PooledScatter | null {
  const lots = summaries.flatMap(({ n, cv }) => (cv === null || cv === 0 ? [] : [{ degrees: n - 1, cv }]));
  const degrees = lots.reduce((sum, lot) => sum + lot.degrees, 0);
  if (degrees === 0) return null;
  return { cv: Math.sqrt(lots.reduce((sum, lot) => sum + lot.degrees * lot.cv ** 2, 0) / degrees), degrees };
}
