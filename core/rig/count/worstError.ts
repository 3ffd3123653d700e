import type { CounterEstimate } from '../../calibration/estimateCounter';
import { countsAt, type CountedLoad } from '../../calibration/observations';
import type { WorkingRange } from '../line/workingRange';

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
