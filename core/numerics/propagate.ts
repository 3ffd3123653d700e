/** A figure that is not exactly known: its best value and the standard deviation of its error. */
export interface UncertainInput {
  readonly name: string;
  readonly value: number;
  readonly sd: number;
}

export interface Propagated {
  readonly values: readonly number[];
  readonly sds: readonly number[];
  /** For each output, the input that contributes most to its variance, or null when nothing does. */
  readonly largestContributors: readonly (string | null)[];
}

/** Half width of a 95 % interval in standard deviations: the meaning of every ± that is shown. */
export const PLUS_MINUS_SDS = 1.96;

/**
 * Carries independent input errors through a function: each input is moved one SD up and down in
 * turn, and half the difference is its contribution. Moving by a full SD instead of a small step
 * keeps curvature in the answer, which matters for lengths that depend on squared diameters.
 *
 * @param inputs the inexact inputs, errors independent of each other
 * @param f the computation: input values in the order of `inputs` → output values
 * @returns best values, SDs and the main contributor of each output
 * @throws RangeError when f returns a number that is not finite
 */
export function propagate(
  inputs: readonly UncertainInput[],
  f: (values: readonly number[]) => readonly number[],
): Propagated {
  const centre = inputs.map((input) => input.value);
  const values = f(centre);
  if (values.some((value) => !Number.isFinite(value))) throw new RangeError('propagate: the result is not finite');
  const variances = values.map(() => 0);
  const largest = values.map(() => 0);
  const contributors: (string | null)[] = values.map(() => null);
  inputs.forEach((input, index) => {
    if (!(input.sd >= 0)) throw new RangeError(`propagate: the SD of ${input.name} must not be negative`);
    if (input.sd === 0) return;
    const up = f(centre.with(index, input.value + input.sd));
    const down = f(centre.with(index, input.value - input.sd));
    values.forEach((_, output) => {
      const step = ((up[output] ?? NaN) - (down[output] ?? NaN)) / 2;
      if (!Number.isFinite(step)) throw new RangeError(`propagate: ${input.name} makes the result not finite`);
      const share = step * step;
      variances[output] = (variances[output] ?? 0) + share;
      if (share > (largest[output] ?? 0)) {
        largest[output] = share;
        contributors[output] = input.name;
      }
    });
  });
  return { values, sds: variances.map(Math.sqrt), largestContributors: contributors };
}
