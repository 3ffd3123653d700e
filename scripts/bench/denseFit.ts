import { CholeskyDecomposition, inverse, Matrix } from 'ml-matrix';
import { distance, type Observation } from '../../core/numerics/borderedProblem';

export interface DenseGroup {
  readonly dependsOn: readonly number[];
  readonly observations: readonly Observation[];
  predict(unknowns: readonly number[]): readonly number[];
}

const STEP = 1e-4;

/**
 * The plain way to the same fit, tails and all: one matrix over all unknowns, solved and inverted whole. Kept to be compared
 * with; nothing else uses it.
 *
 * @returns the best values and the variances of their errors
 */
export function denseFit(priorSds: readonly number[], groups: readonly DenseGroup[]) {
  let values: number[] = priorSds.map(() => 0);
  let before = misfit(values, priorSds, groups);
  for (let round = 0; round < 40; round += 1) {
    const { normal, pull } = linearised(values, priorSds, groups);
    const step = new CholeskyDecomposition(normal).solve(Matrix.columnVector(pull)).to1DArray();
    const after = [1, 0.5, 0.25, 0.125, 0.0625]
      .map((share) => values.map((value, index) => value + share * (step[index] ?? 0)))
      .map((tried) => ({ tried, misfit: misfit(tried, priorSds, groups) }))
      .find((candidate) => candidate.misfit < before);
    const gained = after ? before - after.misfit : 0;
    if (after) [values, before] = [after.tried, after.misfit];
    if (gained < 1e-9 * (1 + before)) break;
  }
  const covariance = inverse(linearised(values, priorSds, groups).normal);
  return { values, variances: priorSds.map((_, index) => covariance.get(index, index)) };
}

function residualsOf(group: DenseGroup, unknowns: readonly number[]): number[] {
  const predicted = group.predict(unknowns);
  return group.observations.map((each, index) => (each.value - (predicted[index] ?? NaN)) / each.sd);
}

function misfit(unknowns: readonly number[], priorSds: readonly number[], groups: readonly DenseGroup[]): number {
  const squared = (sum: number, each: number): number => sum + each ** 2;
  const fromPriors = unknowns.map((each, index) => each / (priorSds[index] ?? NaN)).reduce(squared, 0);
  return groups.reduce(
    (sum, group) =>
      residualsOf(group, unknowns).reduce((all, each, at) => all + distance(each, group.observations[at]?.tails), sum),
    fromPriors,
  );
}

function linearised(values: readonly number[], priorSds: readonly number[], groups: readonly DenseGroup[]) {
  const precisions = priorSds.map((sd) => sd ** -2);
  const normal = Matrix.diag(precisions);
  const pull = values.map((value, index) => -value * (precisions[index] ?? NaN));
  for (const group of groups) {
    const plain = residualsOf(group, values);
    const weights = plain.map((each, at) => {
      const tails = group.observations[at]?.tails;
      return tails === undefined ? 1 : 1 / Math.sqrt(1 + each ** 2 / tails);
    });
    const residuals = plain.map((each, at) => each * (weights[at] ?? NaN));
    const slopes = group.dependsOn.map((index) => {
      const by = STEP * (priorSds[index] ?? NaN);
      const up = residualsOf(group, values.with(index, (values[index] ?? 0) + by));
      const down = residualsOf(group, values.with(index, (values[index] ?? 0) - by));
      return weights.map((weight, row) => (weight * ((down[row] ?? 0) - (up[row] ?? 0))) / (2 * by));
    });
    const dot = (a: readonly number[] = [], b: readonly number[] = []): number =>
      a.reduce((sum, each, index) => sum + each * (b[index] ?? 0), 0);
    group.dependsOn.forEach((row, a) => {
      pull[row] = (pull[row] ?? 0) + dot(slopes[a], residuals);
      group.dependsOn.forEach((column, b) => {
        normal.set(row, column, normal.get(row, column) + dot(slopes[a], slopes[b]));
      });
    });
  }
  return { normal, pull };
}
