import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { CounterEstimate } from '../core/calibration/estimateCounter';
import { normalDeviate, type Random } from '../instruments/random';

/** Draws the unknowns of an estimate, with their SDs and as they go together: plain draws to hold a ± against. */
export function drawUnknowns(
  { unknowns, correlation }: Pick<CounterEstimate, 'unknowns' | 'correlation'>,
  random: Random,
): () => readonly number[] {
  const of = new Matrix(correlation.map((row) => [...row]));
  // Rounding leaves the last digit of a correlation lopsided.
  const root = new CholeskyDecomposition(Matrix.add(of, of.transpose()).mul(0.5)).lowerTriangularMatrix;
  return () => {
    const z = unknowns.map(() => normalDeviate(random));
    return unknowns.map(({ value, sd }, i) => value + sd * z.reduce((sum, each, j) => sum + root.get(i, j) * each, 0));
  };
}
