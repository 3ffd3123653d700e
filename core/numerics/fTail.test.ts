import { fTail } from './fTail';

describe('fTail', () => {
  // NIST/SEMATECH e-Handbook, section 1.3.6.7.3: upper 5 % points of the F distribution.
  it.each([
    [161.448, 1, 1],
    [7.709, 1, 4],
    [3.708, 3, 10],
    [2.711, 5, 20],
    [2.026, 10, 50],
  ])('leaves 5 %% beyond %d with %d and %d degrees', (f, above, below) => {
    expect(fTail(f, above, below)).toBeCloseTo(0.05, 4);
  });

  it('is whole at nothing, and refuses what is no ratio', () => {
    expect(fTail(0, 3, 5)).toBe(1);
    for (const [f, above, below] of [
      [-1, 2, 2],
      [1, 0, 2],
      [NaN, 2, 2],
    ] as const) {
      expect(() => fTail(f, above, below)).toThrow(/fTail/);
    }
  });
});
