import { studentQuantile } from '../numerics/studentQuantile';
import { toSi } from '../units/units';
import type { PullSummary } from './summarisePulls';

/** Published line classes of angling records (kg). */
export const LINE_CLASSES_KG = [1, 2, 3, 4, 6, 8, 10, 15, 24, 37, 60] as const;

export interface ClassFit {
  /** The lightest class under which the line stays (kg), or null where it is above the heaviest. */
  readonly classKg: number | null;
  /** What the mean strength lies under, with 95 % confidence to this one side (N): it is held against the class. */
  readonly upperN: number;
}

/**
 * The class that a tested line fits: the lightest one that lies above the upper bound of its *mean*. Single pieces may well hold more
 * than the class; how many pieces a record body pulls, and whether their mean or each is held against it, is theirs to decide.
 *
 * @param summary of wet pulls
 * @returns null while there is no spread to go by
 */
export function fittingClass(summary: PullSummary): ClassFit | null {
  const { n, meanN, sdN } = summary;
  if (n < 3 || sdN === null) return null;
  const upperN = meanN + (studentQuantile(0.95, n - 1) * sdN) / Math.sqrt(n);
  return { classKg: LINE_CLASSES_KG.find((kg) => toSi('force', kg, 'kg') > upperN) ?? null, upperN };
}
