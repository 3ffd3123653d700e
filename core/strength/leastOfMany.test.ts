import { leastOfMany } from './leastOfMany';

const figure = (value: number, sd: number) => ({ value, sd });

describe('the least of many', () => {
  // Means of normal order statistics (Harter 1961): the least of n standard normal values.
  it.each([
    [2, 0.5642],
    [3, 0.8463],
    [5, 1.163],
    [10, 1.5388],
  ])('of %d like figures lies %d of their SDs below any of them', (n, sds) => {
    expect(leastOfMany(Array.from({ length: n }, () => figure(100, 4)))).toBeCloseTo(4 * sds, 2);
  });

  it('is no lower where one is far below the others, or all are known', () => {
    expect(leastOfMany([figure(50, 2), figure(100, 2)])).toBeCloseTo(0, 6);
    expect(leastOfMany([figure(50, 0), figure(60, 0)])).toBe(0);
    // A figure that is sure caps what the least can be.
    expect(leastOfMany([figure(100, 0), figure(100, 5)])).toBeCloseTo(5 * 0.3989, 2);
  });

  it('asks for a figure', () => {
    expect(() => leastOfMany([])).toThrow(/leastOfMany/);
  });
});
