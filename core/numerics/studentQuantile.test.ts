import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import { studentQuantile } from './studentQuantile';

// Source: NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.2, critical values of Student's t.
const TABLE: readonly (readonly [number, number, number])[] = [
  [0.9, 1, 3.078],
  [0.95, 1, 6.314],
  [0.975, 1, 12.706],
  [0.99, 1, 31.821],
  [0.975, 2, 4.303],
  [0.975, 4, 2.776],
  [0.95, 9, 1.833],
  [0.975, 9, 2.262],
  [0.995, 9, 3.25],
  [0.975, 30, 2.042],
  [0.99, 60, 2.39],
  [0.975, 100, 1.984],
];

describe('studentQuantile', () => {
  it.each(TABLE)('t(%d; %d) = %d', (probability, degrees, value) => {
    expect(studentQuantile(probability, degrees)).toBeCloseTo(value, 3);
  });

  it('agrees with a reference library to ten digits, whole degrees of freedom or not', () => {
    for (const degrees of [1, 1.7, 2, 3, 4.4, 7, 12, 29.3, 100, 1000]) {
      for (const probability of [0.51, 0.6, 0.8, 0.9, 0.95, 0.975, 0.99, 0.999]) {
        const reference = tQuantile(probability, degrees);
        expect(studentQuantile(probability, degrees) / reference).toBeCloseTo(1, 10);
      }
    }
    expect(studentQuantile(0.5, 3)).toBe(0);
  });

  it('is odd about one half', () => {
    expect(studentQuantile(0.025, 7)).toBeCloseTo(-studentQuantile(0.975, 7), 10);
  });

  it('throws outside its range instead of passing NaN on', () => {
    for (const [p, df] of [
      [1.2, 5],
      [NaN, 5],
      [0.5, -1],
      [1, 5],
    ] as const) {
      expect(() => studentQuantile(p, df)).toThrow(RangeError);
    }
  });
});
