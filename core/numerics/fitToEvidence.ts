import { CholeskyDecomposition, inverse, Matrix } from 'ml-matrix';
import { failure, success, type Outcome } from '../result';

/** Something that was measured: its value, the SD of its error, and what a set of unknowns would make it. */
export interface Observation {
  readonly name: string;
  readonly value: number;
  readonly sd: number;
}

/** Observations that depend on the same few unknowns: only those are varied for them. */
export interface EvidenceGroup {
  /** Places of the unknowns that these observations depend on. */
  readonly dependsOn: readonly number[];
  readonly observations: readonly Observation[];
  /** All unknowns → what each observation of this group would be. */
  predict(unknowns: readonly number[]): readonly number[];
}

export interface Fit {
  /** Best values of the unknowns, in prior SDs of each are 0 ± 1. */
  readonly values: readonly number[];
  /** Covariance of their errors. */
  readonly covariance: readonly (readonly number[])[];
  /** For each observation, group after group, (observed − fitted) ÷ SD: beyond about 3 it does not fit. */
  readonly residuals: readonly number[];
  readonly iterations: number;
}

/** A round that improves by less than this part of an SD squared has arrived. */
const ARRIVED = 1e-9;
const MOST_ROUNDS = 40;
/** Step for differences, in prior SDs: small against 1, large against the last bits of a double. */
const STEP = 1e-4;

/**
 * Weighted least squares with a prior: unknowns that are 0 ± prior SD before anything is measured, and
 * observations that depend on them. Gauss–Newton with halved steps; the covariance is the inverse of the
 * normal matrix at the end, so it holds as far as the observations are linear over their own errors.
 *
 * @param priorSds SD of each unknown before the observations, all above 0
 * @param groups what was measured
 * @returns the fit, or 'no-fit' when the rounds do not settle
 * @throws RangeError when an SD is not positive or a prediction is not finite
 */
export function fitToEvidence(priorSds: readonly number[], groups: readonly EvidenceGroup[]): Outcome<Fit, 'no-fit'> {
  const sds = [...priorSds, ...groups.flatMap((group) => group.observations.map((each) => each.sd))];
  if (sds.some((sd) => !(sd > 0 && Number.isFinite(sd)))) {
    throw new RangeError('fitToEvidence: every SD must be positive');
  }
  if (priorSds.length === 0) return success({ values: [], covariance: [], residuals: [], iterations: 0 });
  let values = priorSds.map(() => 0);
  let before = misfit(values, priorSds, groups);
  for (let iterations = 1; iterations <= MOST_ROUNDS; iterations += 1) {
    const { normal, pull } = linearised(values, priorSds, groups);
    const step = new CholeskyDecomposition(normal).solve(Matrix.columnVector(pull)).to1DArray();
    const from = values;
    const after = [1, 0.5, 0.25, 0.125, 0.0625]
      .map((share) => from.map((value, index) => value + share * (step[index] ?? 0)))
      .map((tried) => ({ tried, misfit: misfit(tried, priorSds, groups) }))
      .find((candidate) => candidate.misfit < before);
    const gained = after ? before - after.misfit : 0;
    if (after) [values, before] = [after.tried, after.misfit];
    if (gained < ARRIVED) {
      const covariance = inverse(linearised(values, priorSds, groups).normal).to2DArray();
      return success({
        values,
        covariance,
        residuals: groups.flatMap((group) => residualsOf(group, values)),
        iterations,
      });
    }
  }
  return failure('no-fit', 'The measurements do not settle on one answer.');
}

function residualsOf(group: EvidenceGroup, unknowns: readonly number[]): readonly number[] {
  const predicted = group.predict(unknowns);
  const residuals = group.observations.map((each, index) => (each.value - (predicted[index] ?? NaN)) / each.sd);
  if (!residuals.every(Number.isFinite)) throw new RangeError('fitToEvidence: a prediction is not finite');
  return residuals;
}

/** Squared distance from the observations and from the priors, each in its own SDs. */
function misfit(unknowns: readonly number[], priorSds: readonly number[], groups: readonly EvidenceGroup[]): number {
  const squared = (sum: number, each: number): number => sum + each ** 2;
  const fromPriors = unknowns.map((each, index) => each / (priorSds[index] ?? NaN)).reduce(squared, 0);
  return groups.reduce((sum, group) => sum + residualsOf(group, unknowns).reduce(squared, 0), fromPriors);
}

/** Normal matrix and gradient at a point. */
function linearised(
  values: readonly number[],
  priorSds: readonly number[],
  groups: readonly EvidenceGroup[],
): { normal: Matrix; pull: number[] } {
  const precisions = priorSds.map((sd) => sd ** -2);
  const normal = Matrix.diag(precisions);
  const pull = values.map((value, index) => -value * (precisions[index] ?? NaN));
  for (const group of groups) {
    const residuals = residualsOf(group, values);
    const slopes = group.dependsOn.map((index) => {
      const stepBy = STEP * (priorSds[index] ?? NaN);
      const up = residualsOf(group, values.with(index, (values[index] ?? 0) + stepBy));
      const down = residualsOf(group, values.with(index, (values[index] ?? 0) - stepBy));
      return residuals.map((_, row) => ((down[row] ?? 0) - (up[row] ?? 0)) / (2 * stepBy));
    });
    group.dependsOn.forEach((row, a) => {
      pull[row] = (pull[row] ?? 0) + dot(slopes[a], residuals);
      group.dependsOn.forEach((column, b) => {
        normal.set(row, column, normal.get(row, column) + dot(slopes[a], slopes[b]));
      });
    });
  }
  return { normal, pull };
}

function dot(a: readonly number[] = [], b: readonly number[] = []): number {
  return a.reduce((sum, each, index) => sum + each * (b[index] ?? 0), 0);
}
