import type { CounterEstimate } from '../../calibration/estimateCounter';
import { countsAt, type CountedLoad } from '../../calibration/observations';
import type { RigRecord } from '../../record/record';

/** Lengths of line out that a rig is fished with (m). */
export interface WorkingRange {
  readonly fromM: number;
  readonly toM: number;
}

/** The working range that usually matters: 60 to 250 ft of line out (common practice). */
export const USUAL_RANGE: WorkingRange = { fromM: 18.288, toM: 76.2 };

/**
 * The rig's own working range, else the usual one, as far as there is line for it.
 *
 * @param woundLengthM line on the spool (m)
 */
export function workingRangeOf({ workingRange }: Pick<RigRecord, 'workingRange'>, woundLengthM: number): WorkingRange {
  const range = workingRange ?? USUAL_RANGE;
  const toM = Math.min(range.toM, woundLengthM);
  return { fromM: Math.min(range.fromM, toM), toM };
}

/** Largest relative error over a working range, as far as there is line for it. */
export function worstError(
  counter: Pick<CounterEstimate, 'counter'>,
  realised: CountedLoad,
  range: WorkingRange,
): number {
  const { unitM } = counter.counter;
  const toM = Math.min(range.toM, realised.line.woundLengthM);
  const fromM = Math.min(range.fromM, toM);
  const errors = Array.from({ length: 9 }, (_, index) => {
    const lengthM = fromM + ((toM - fromM) * index) / 8;
    return (countsAt(realised, lengthM, unitM) * unitM) / lengthM - 1;
  });
  return errors.reduce((worst, error) => (Math.abs(error) > Math.abs(worst) ? error : worst), 0);
}
