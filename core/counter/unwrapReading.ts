import { failure, success, type Outcome } from '../result';
import { countsPerWrap, type Counter } from './counter';

/** A counter off by more than this factor was not zeroed, or the units differ. */
const MOST_OFF = 2;

/** Of several figures that one alone is meant which lies within this factor (counters are off by far less). */
const NEAR = 1.4;

/**
 * The unwrapped counts that a display may stand for: it starts again at 10^digits, so a long line shows a small figure.
 *
 * @param shown what the display shows, a whole number
 * @param expectedCounts about what it should be
 * @param counter with its digits
 * @returns the only plausible figure; or 'beyond-digits', 'off-by-a-factor', or 'several' with the plausible ones in
 *   the message when more than one would do
 */
export function unwrapReading(
  shown: number,
  expectedCounts: number,
  counter: Pick<Counter, 'digits'>,
): Outcome<number, 'beyond-digits' | 'off-by-a-factor' | 'several-readings'> {
  const wrap = countsPerWrap(counter);
  const isPlausible = (counts: number): boolean =>
    counts > expectedCounts / MOST_OFF && counts < expectedCounts * MOST_OFF;
  // Already unwrapped by the reader: more than the display can show, and about right.
  if (shown >= wrap) {
    return isPlausible(shown) && expectedCounts > wrap / MOST_OFF
      ? success(shown)
      : failure('beyond-digits', { digits: counter.digits, most: wrap - 1 });
  }
  const most = Math.ceil((expectedCounts * MOST_OFF) / wrap);
  const plausible = Array.from({ length: most + 1 }, (_, turn) => shown + turn * wrap).filter(isPlausible);
  const [only, another] = plausible;
  if (only === undefined) {
    return failure('off-by-a-factor');
  }
  if (another === undefined) return success(only);
  const near = plausible.filter((counts) => Math.abs(Math.log(counts / expectedCounts)) < Math.log(NEAR));
  const [nearest] = near;
  if (nearest !== undefined && near.length === 1) return success(nearest);
  return failure('several-readings', { wrap, readings: plausible.map(String) });
}
