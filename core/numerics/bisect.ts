import { failure, success, type Outcome } from '../result';

export interface Root {
  readonly root: number;
  readonly iterations: number;
  /** Half the width of the last bracket: the root lies within this of `root`. */
  readonly errorEstimate: number;
}

/**
 * Root of a continuous function inside a bracket, by halving. Chosen over faster methods because
 * the functions here are monotone and cheap, and the bracket is its own error estimate.
 *
 * @param f the function; must be finite on the bracket
 * @param low one end of the bracket
 * @param high the other end, above `low`
 * @param tolerance width of bracket at which to stop, in the unit of the argument
 * @returns the root, or 'no-sign-change' when f has the same sign at both ends
 * @throws RangeError when low is not below high
 */
export function bisect(
  f: (x: number) => number,
  low: number,
  high: number,
  tolerance: number,
): Outcome<Root, 'no-sign-change'> {
  if (!(low < high)) throw new RangeError(`bisect: low ${low} must be below high ${high}`);
  const atLow = f(low);
  if (atLow === 0) return success({ root: low, iterations: 0, errorEstimate: 0 });
  const atHigh = f(high);
  if (atHigh === 0) return success({ root: high, iterations: 0, errorEstimate: 0 });
  if (atLow > 0 === atHigh > 0) {
    return failure('no-sign-change', { atLow, atHigh });
  }
  let [a, b] = [low, high];
  let iterations = 0;
  // 200 halvings take any double bracket to its last bit; the limit only guards the loop.
  while (b - a > tolerance && iterations < 200) {
    const middle = (a + b) / 2;
    if (middle === a || middle === b) break;
    if (f(middle) > 0 === atLow > 0) a = middle;
    else b = middle;
    iterations += 1;
  }
  return success({ root: (a + b) / 2, iterations, errorEstimate: (b - a) / 2 });
}
