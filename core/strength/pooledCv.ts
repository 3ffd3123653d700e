import type { PullSummary } from './summarisePulls';

/**
 * The scatter that a person's tests of one material have in common: root of the mean squared CV, weighted by what each
 * lot says of it. It stands in where a line was pulled once or twice, and under-covers where scatters differ.
 *
 * @param summaries of the other lots of that material
 * @returns the CV; null while no lot was pulled twice
 */
export function pooledCv(summaries: readonly PullSummary[]): number | null {
  const lots = summaries.flatMap(({ n, cv }) => (cv === null || cv === 0 ? [] : [{ degrees: n - 1, cv }]));
  const degrees = lots.reduce((sum, lot) => sum + lot.degrees, 0);
  if (degrees === 0) return null;
  return Math.sqrt(lots.reduce((sum, lot) => sum + lot.degrees * lot.cv ** 2, 0) / degrees);
}
