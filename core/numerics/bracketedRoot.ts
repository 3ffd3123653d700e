import { failure, success, type Outcome } from '../result';

export interface Root {
  readonly root: number;
  readonly iterations: number;
  /** Half the width of the last bracket: the root lies within this of `root`. */
  readonly errorEstimate: number;
}

/** How far a guess is moved towards the middle, so that the far end of the bracket follows: a share of the bracket, and the power of its width. */
const TRUNCATION = 0.2;
const TRUNCATION_POWER = 2;
/** Steps that may be lost to guesses, over those that halving would take. */
const SLACK_STEPS = 1;

/**
 * Root of a continuous function inside a bracket, by the ITP method: a guess on the chord, moved towards the middle and
 * kept so near to it that it never takes more than one step beyond halving; on smooth functions far fewer. The bracket
 * is its own error estimate.
 * Source: Oliveira and Takahashi, ACM Transactions on Mathematical Software 47 (2020), algorithm 1.
 *
 * @param f the function; must be finite on the bracket
 * @param low one end of the bracket
 * @param high the other end, above `low`
 * @param tolerance width of bracket at which to stop, in the unit of the argument; 0 goes to the last bit of a double
 * @returns the root, or 'no-sign-change' when f has the same sign at both ends
 * @throws RangeError when low is not below high
 */
export function bracketedRoot(
  f: (x: number) => number,
  low: number,
  high: number,
  tolerance: number,
): Outcome<Root, 'no-sign-change'> {
  if (!(low < high)) throw new RangeError(`bracketedRoot: low ${low} must be below high ${high}`);
  const atLow = f(low);
  if (atLow === 0) return success({ root: low, iterations: 0, errorEstimate: 0 });
  const atHigh = f(high);
  if (atHigh === 0) return success({ root: high, iterations: 0, errorEstimate: 0 });
  const sign = atLow > 0 ? -1 : 1;
  if (sign * atHigh < 0) {
    return failure('no-sign-change', { atLow, atHigh });
  }
  const finest = Math.max(Math.abs(low), Math.abs(high)) * Number.EPSILON;
  const epsilon = Math.max(tolerance, finest) / 2;
  const mostSteps = Math.max(0, Math.ceil(Math.log2((high - low) / (2 * epsilon)))) + SLACK_STEPS;
  const truncation = TRUNCATION / (high - low);
  // A rising function from here on: f at `a` is below 0, at `b` above.
  let [a, b, fa, fb] = [low, high, sign * atLow, sign * atHigh];
  let iterations = 0;
  // The count only guards against a last step for a width that is too large by a rounding.
  while (b - a > 2 * epsilon && iterations < mostSteps) {
    const middle = (a + b) / 2;
    if (middle === a || middle === b) break;
    const chord = (fb * a - fa * b) / (fb - fa);
    const towards = Math.sign(middle - chord);
    const moved = Math.min(truncation * (b - a) ** TRUNCATION_POWER, Math.abs(middle - chord));
    const guess = chord + towards * moved;
    const farthest = Math.max(epsilon * 2 ** (mostSteps - iterations) - (b - a) / 2, 0);
    const x = Math.abs(guess - middle) <= farthest ? guess : middle - towards * farthest;
    const at = x > a && x < b ? x : middle;
    const value = sign * f(at);
    if (value > 0) [b, fb] = [at, value];
    else if (value < 0) [a, fa] = [at, value];
    else [a, b] = [at, at];
    iterations += 1;
  }
  return success({ root: (a + b) / 2, iterations, errorEstimate: (b - a) / 2 });
}
