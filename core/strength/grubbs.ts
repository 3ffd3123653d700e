import { studentQuantile } from '../numerics/studentQuantile';

/** A pull that does not fit the others. */
export interface Outlier {
  readonly index: number;
  readonly side: 'low' | 'high';
  readonly g: number;
  readonly critical: number;
}

/** Chance of calling a good pull an outlier, to either side. */
const ALPHA = 0.05;

/** Pulls below which an outlier cannot be told from a small sample. */
const LEAST = 3;

/** Critical value of Grubbs' test to one side, at a level of `alpha`. Source: NIST/SEMATECH e-Handbook, section 1.3.5.17.1. */
export function grubbsCritical(n: number, alpha = ALPHA): number {
  if (!(Number.isInteger(n) && n >= LEAST)) throw new RangeError('grubbsCritical: at least three values are needed');
  const t2 = studentQuantile(1 - alpha / n, n - 2) ** 2;
  return ((n - 1) / Math.sqrt(n)) * Math.sqrt(t2 / (n - 2 + t2));
}

/**
 * The one value that fits least, where it is too far from the mean to be chance (Grubbs' two-sided test at 5 %); null otherwise. It is flagged and never
 * dropped.
 *
 * @param values at least three, not all alike, for an answer
 */
export function grubbsOutlier(values: readonly number[]): Outlier | null {
  const n = values.length;
  if (n < LEAST) return null;
  const mean = values.reduce((sum, value) => sum + value, 0) / n;
  const sd = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1));
  if (sd === 0) return null;
  const index = values.reduce(
    (worst, value, at) => (Math.abs(value - mean) > Math.abs((values[worst] ?? mean) - mean) ? at : worst),
    0,
  );
  const g = Math.abs((values[index] ?? mean) - mean) / sd;
  // The value that lies farthest is looked for on both sides: half of the level for each.
  const critical = grubbsCritical(n, ALPHA / 2);
  return g > critical ? { index, side: (values[index] ?? mean) < mean ? 'low' : 'high', g, critical } : null;
}
