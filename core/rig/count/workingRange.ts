import type { CounterEstimate } from '../../calibration/estimateCounter';
import { countsAt, type CountedLoad } from '../../calibration/observations';

/** The working range that usually matters: 60 to 250 ft of line out (m). */
export const WORKING_RANGE = { fromM: 18.288, toM: 76.2 } as const;

/** Largest relative error over the working range, as far as there is line for it. */
export function worstError(counter: Pick<CounterEstimate, 'counter'>, realised: CountedLoad): number {
  const { unitM } = counter.counter;
  const toM = Math.min(WORKING_RANGE.toM, realised.line.woundLengthM);
  const fromM = Math.min(WORKING_RANGE.fromM, toM);
  const errors = Array.from({ length: 9 }, (_, index) => {
    const lengthM = fromM + ((toM - fromM) * index) / 8;
    return (countsAt(realised, lengthM, unitM) * unitM) / lengthM - 1;
  });
  return errors.reduce((worst, error) => (Math.abs(error) > Math.abs(worst) ? error : worst), 0);
}
