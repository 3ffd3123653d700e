import { CholeskyDecomposition, inverse, Matrix } from 'ml-matrix';
import { fitToEvidence } from './fitToEvidence';

describe('the matrix library, before it is trusted', () => {
  // Published closed form: the inverse of a Hilbert matrix has whole entries (Choi, American Mathematical Monthly 1983).
  const hilbert = Matrix.from1DArray(
    4,
    4,
    Array.from({ length: 16 }, (_, k) => 1 / (Math.floor(k / 4) + (k % 4) + 1)),
  );
  const whole = [
    [16, -120, 240, -140],
    [-120, 1200, -2700, 1680],
    [240, -2700, 6480, -4200],
    [-140, 1680, -4200, 2800],
  ];

  it('inverts the 4 × 4 Hilbert matrix to its published whole entries', () => {
    const found = inverse(hilbert).to2DArray();
    whole.forEach((row, i) => row.forEach((entry, j) => expect(found[i]?.[j]).toBeCloseTo(entry, 6)));
  });

  it('solves with it by Cholesky', () => {
    const solved = new CholeskyDecomposition(hilbert).solve(Matrix.columnVector([1, 0, 0, 0])).to1DArray();
    whole[0]?.forEach((entry, i) => expect(solved[i]).toBeCloseTo(entry, 6));
  });
});

describe('fitToEvidence', () => {
  it('is the textbook mean of a prior and n readings', () => {
    // Normal prior 0 ± 2, readings 3, 4 and 5 ± 1: precision 1/4 + 3, mean 12 / 3.25.
    const readings = [3, 4, 5].map((value) => ({ name: `${value}`, value, sd: 1 }));
    const fit = fitToEvidence([2], readings, ([x = 0]) => [x, x, x]);
    expect(fit.settled).toBe(true);
    expect(fit.values[0]).toBeCloseTo(12 / 3.25, 9);
    expect(fit.covariance[0]?.[0]).toBeCloseTo(1 / 3.25, 9);
    expect(fit.residuals[1]).toBeCloseTo(4 - 12 / 3.25, 9);
  });

  it('finds a curved dependence, and what it leaves open', () => {
    const truth = [0.3, -0.2];
    const predict = ([a = 0, b = 0]: readonly number[]) => [Math.exp(a + b), Math.exp(2 * a - b), a * b];
    const observations = predict(truth).map((value, index) => ({ name: `${index}`, value, sd: 1e-4 }));
    const fit = fitToEvidence([1, 1], observations, predict);
    fit.values.forEach((value, index) => expect(value).toBeCloseTo(truth[index] ?? NaN, 5));
    const open = fitToEvidence([1, 1], [{ name: 'sum', value: 0.5, sd: 0.01 }], ([a = 0, b = 0]) => [a + b]);
    // Only the sum was seen: the two are bound to go against each other.
    const [[va = 0, cab = 0] = [], [, vb = 0] = []] = open.covariance;
    expect(cab / Math.sqrt(va * vb)).toBeLessThan(-0.99);
  });

  it('leaves the prior alone without observations, and refuses an SD of nothing', () => {
    expect(fitToEvidence([0.5], [], () => []).covariance[0]?.[0]).toBeCloseTo(0.25, 9);
    expect(fitToEvidence([], [], () => [])).toMatchObject({ values: [], covariance: [], settled: true });
    expect(() => fitToEvidence([0], [], () => [])).toThrow(/positive/);
    expect(() => fitToEvidence([1], [{ name: 'x', value: 1, sd: 1 }], () => [NaN])).toThrow(/cannot be predicted/);
  });

  it('ends where a far reading cannot be met, and keeps off what cannot be', () => {
    // A square root that has no value below zero, and a reading a hundred SDs away from all that it can be.
    const fit = fitToEvidence([1], [{ name: 'far', value: 100, sd: 1 }], ([x = 0]) => [Math.sqrt(1 - x)]);
    expect(fit.values[0]).toBeLessThan(0);
    expect(Number.isFinite(fit.residuals[0])).toBe(true);
  });
});
