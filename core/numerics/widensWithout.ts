import { Matrix } from 'ml-matrix';
import type { LinearBlock } from './borderedLinear';
import type { FittedBlock } from './borderedProblem';

/** One of a block's own unknowns, or one of the border's, by its place. */
export type FitUnknown = { readonly own: number } | { readonly border: number };

/**
 * By how much the SD of an unknown would be wider without each observation of a block, group by group; 1 where it tells nothing of it.
 *
 * @param linear the block at the fit
 * @param block its fit
 * @param borderCovariance of the whole border
 */
export function widensWithout(
  { touched, groups, follows }: LinearBlock,
  block: FittedBlock,
  borderCovariance: Matrix,
  of: FitUnknown,
): readonly (readonly number[])[] {
  const own = block.covariance.length;
  const amongBorder = (a: number, b: number): number => borderCovariance.get(a, b);
  const withBorder = (i: number, at: number): number => block.withBorder[i]?.[at] ?? NaN;
  // The block's own unknowns first, behind them those of the border that it touches.
  const joint = (i: number, j: number): number => {
    if (i < own) return j < own ? (block.covariance[i]?.[j] ?? NaN) : withBorder(i, touched[j - own] ?? -1);
    return j < own
      ? withBorder(j, touched[i - own] ?? -1)
      : amongBorder(touched[i - own] ?? -1, touched[j - own] ?? -1);
  };
  const covariance = matrixOf(own + touched.length, joint);
  const target = Array.from({ length: own + touched.length }, (_, j) => {
    if ('own' in of) return joint(of.own, j);
    return j < own ? withBorder(j, of.border) : amongBorder(of.border, touched[j - own] ?? -1);
  });
  const variance = 'own' in of ? joint(of.own, of.own) : amongBorder(of.border, of.border);
  return groups.map(({ places, ownSlopes, sharedSlopes, innerSlopes }, at) => {
    const follow = follows[at];
    const rows = (ownSlopes[0] ?? sharedSlopes[0] ?? []).length;
    return Array.from({ length: rows }, (_, row) => {
      const inner = innerSlopes.map((slope) => slope[row] ?? 0);
      // What the group's own unknowns take up is no news of the others.
      const along = (by: Matrix, column: number): number =>
        inner.reduce((sum, each, i) => sum + each * by.get(i, column), 0);
      const slope: number[] = target.map(() => 0);
      ownSlopes.forEach((each, i) => (slope[i] = (each[row] ?? 0) - (follow ? along(follow.byOwn, i) : 0)));
      sharedSlopes.forEach((each, i) => {
        slope[own + (places[i] ?? 0)] = (each[row] ?? 0) - (follow ? along(follow.byBorder, i) : 0);
      });
      const known = quadratic(slope, covariance) + (follow ? quadratic(inner, follow.covariance) : 0);
      const together = slope.reduce((sum, each, i) => sum + each * (target[i] ?? 0), 0);
      return Math.sqrt(1 + together ** 2 / Math.max(1 - known, LEAST) / variance);
    });
  });
}

/** What is left open of a prediction is never nothing. */
const LEAST = 1e-9;

function matrixOf(size: number, at: (i: number, j: number) => number): Matrix {
  const matrix = Matrix.zeros(size, size);
  for (let i = 0; i < size; i += 1) for (let j = 0; j < size; j += 1) matrix.set(i, j, at(i, j));
  return matrix;
}

function quadratic(vector: readonly number[], matrix: Matrix): number {
  return vector.reduce((sum, a, i) => sum + a * vector.reduce((inner, b, j) => inner + b * matrix.get(i, j), 0), 0);
}
