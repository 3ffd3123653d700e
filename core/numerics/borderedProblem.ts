import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** Something that was measured: its value, and the SD of its error. */
export interface Observation {
  readonly name: string;
  readonly value: number;
  readonly sd: number;
  /** Degrees of freedom of the Student t that it scatters with; left out: it scatters normally. */
  readonly tails?: number;
}

/** Observations that depend on the unknowns of one block and on a few of the border. */
export interface BlockGroup {
  /** Places in the border of the unknowns that these observations depend on. */
  readonly border: readonly number[];
  readonly observations: readonly Observation[];
  /** SDs beforehand of unknowns that this group alone depends on: they are eliminated before the block's. */
  readonly innerPriorSds?: readonly number[];
  /**
   * The block's own unknowns, all of the border and the group's inner unknowns → what each observation would be; not finite where it
   * cannot be.
   */
  predict(own: readonly number[], border: readonly number[], inner: readonly number[]): readonly number[];
}

/** Unknowns of their own, and what was measured of them. */
export interface Block {
  readonly priorSds: readonly number[];
  readonly groups: readonly BlockGroup[];
}

/** What is believed of the shared unknowns beforehand: each 0 ± its SD. */
export interface BorderPrior {
  readonly sds: readonly number[];
  /** Correlation of their errors; left out, they have none. */
  readonly correlation?: readonly (readonly number[])[];
}

export interface Problem {
  readonly borderPriorSds: readonly number[];
  /** Inverse of the covariance that is believed of the border. */
  readonly borderPrecision: Matrix;
  readonly blocks: readonly Block[];
}

export interface FittedBlock {
  readonly values: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** Covariance of each own unknown's error with each of the border's. */
  readonly withBorder: readonly (readonly number[])[];
  /** Best values of the inner unknowns, group after group. */
  readonly inner: readonly (readonly number[])[];
  /** For each observation, group after group, (observed − fitted) ÷ SD. */
  readonly residuals: readonly number[];
}

export interface Point {
  readonly border: readonly number[];
  readonly own: readonly (readonly number[])[];
  /** Block by block, group by group. */
  readonly inner: readonly (readonly (readonly number[])[])[];
}

export function residualsOf(
  group: BlockGroup,
  own: readonly number[],
  border: readonly number[],
  inner: readonly number[],
): number[] {
  const predicted = group.predict(own, border, inner);
  return group.observations.map((each, index) => (each.value - (predicted[index] ?? NaN)) / each.sd);
}

/** Squared distance of a residual as its tails have it. */
export const distance = (residual: number, tails: number | undefined): number =>
  tails === undefined ? residual ** 2 : tails * Math.log1p(residual ** 2 / tails);

/** A row of a matrix times a vector. */
export function dotRow(matrix: Matrix, row: number, vector: readonly number[]): number {
  return vector.reduce((sum, value, column) => sum + matrix.get(row, column) * value, 0);
}

/** Squared distance from observations and priors, each in its own SDs; infinite where something cannot be predicted. */
export function misfit({ borderPrecision, blocks }: Problem, { border, own, inner }: Point): number {
  let sum = border.reduce((all, value, index) => all + value * dotRow(borderPrecision, index, border), 0);
  blocks.forEach((block, place) => {
    const values = own[place] ?? [];
    values.forEach((value, index) => (sum += (value / (block.priorSds[index] ?? NaN)) ** 2));
    block.groups.forEach((group, at) => {
      const ofGroup = inner[place]?.[at] ?? [];
      ofGroup.forEach((value, index) => (sum += (value / (group.innerPriorSds?.[index] ?? NaN)) ** 2));
      residualsOf(group, values, border, ofGroup).forEach(
        (residual, index) => (sum += distance(residual, group.observations[index]?.tails)),
      );
    });
  });
  return Number.isFinite(sum) ? sum : Infinity;
}

/**
 * The inverse of what is believed of the border.
 *
 * @throws RangeError when the correlation is none
 */
export function precisionOf({ sds, correlation }: BorderPrior): Matrix {
  if (!correlation || sds.length === 0) return Matrix.diag(sds.map((sd) => sd ** -2));
  const cholesky = new CholeskyDecomposition(new Matrix(correlation.map((row) => [...row])));
  if (!cholesky.isPositiveDefinite()) throw new RangeError('borderedFit: such a correlation cannot be');
  const inverse = cholesky.solve(Matrix.eye(sds.length));
  return new Matrix(sds.map((a, i) => sds.map((b, j) => (inverse.get(i, j) + inverse.get(j, i)) / (2 * a * b))));
}
