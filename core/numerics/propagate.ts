import type { Reason } from '../reasons';

/** A figure that is not exactly known: its best value and the standard deviation of its error. */
export interface UncertainInput {
  /** What the error comes from. */
  readonly from: Reason;
  readonly value: number;
  readonly sd: number;
}

export interface Propagated {
  readonly values: readonly number[];
  readonly sds: readonly number[];
  /** For each output, the input that contributes most to its variance, or null when nothing does. */
  readonly largestContributors: readonly (Reason | null)[];
}

/** Half width of a 95 % interval in standard deviations: the meaning of every ± that is shown. */
export const PLUS_MINUS_SDS = 1.96;

/**
 * Carries independent input errors through a function: each input is moved one SD up and down in
 * turn, and half the difference is its contribution. Moving by a full SD instead of a small step
 * keeps curvature in the answer, which matters for lengths that depend on squared diameters.
 *
 * @param inputs the inexact inputs
 * @param f the computation: input values in the order of `inputs` → output values
 * @param correlation of the inputs' errors, in their order; left out when they are independent
 * @returns best values, SDs and the main contributor of each output
 * @throws RangeError when f returns a number that is not finite
 */
export function propagate(
  inputs: readonly UncertainInput[],
  f: (values: readonly number[]) => readonly number[],
  correlation?: readonly (readonly number[])[],
): Propagated {
  const centre = inputs.map((input) => input.value);
  const values = f(centre);
  if (values.some((value) => !Number.isFinite(value))) throw new RangeError('propagate: the result is not finite');
  const steps = inputs.map((input, index) => stepOf(inputs, index, f, values.length));
  const sds: number[] = [];
  const largestContributors: (Reason | null)[] = [];
  values.forEach((_, output) => {
    const moved = steps.map((step) => step[output] ?? 0);
    const shares = moved.map((step, index) => step * withOthers(moved, index, correlation?.[index]));
    sds.push(
      Math.sqrt(
        Math.max(
          0,
          shares.reduce((sum, share) => sum + share, 0),
        ),
      ),
    );
    const largest = shares.reduce((best, share, index) => (share > (shares[best] ?? 0) ? index : best), 0);
    largestContributors.push((shares[largest] ?? 0) > 0 ? (inputs[largest]?.from ?? null) : null);
  });
  return { values, sds, largestContributors };
}

/** A step of one input together with what the others do in its company. */
function withOthers(moved: readonly number[], index: number, correlation: readonly number[] | undefined): number {
  if (!correlation) return moved[index] ?? 0;
  return moved.reduce((sum, step, other) => sum + (correlation[other] ?? 0) * step, 0);
}

/** What one SD of an input does to each output: half the difference between a step up and a step down. */
function stepOf(
  inputs: readonly UncertainInput[],
  index: number,
  f: (values: readonly number[]) => readonly number[],
  outputs: number,
): readonly number[] {
  const input = inputs[index];
  if (!input || !(input.sd >= 0))
    throw new RangeError(`propagate: the SD of ${input?.from.reason} must not be negative`);
  if (input.sd === 0) return Array.from({ length: outputs }, () => 0);
  const centre = inputs.map((each) => each.value);
  const up = f(centre.with(index, input.value + input.sd));
  const down = f(centre.with(index, input.value - input.sd));
  return Array.from({ length: outputs }, (_, output) => {
    const step = ((up[output] ?? NaN) - (down[output] ?? NaN)) / 2;
    if (!Number.isFinite(step)) throw new RangeError(`propagate: ${input.from.reason} makes the result not finite`);
    return step;
  });
}
