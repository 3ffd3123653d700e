import { median } from './median';

describe('median', () => {
  it('is the middle one of an odd number, and the mean of the middle two of an even one', () => {
    expect(median([7])).toBe(7);
    expect(median([10, 9, 100])).toBe(10);
    expect(median([4, 1, 3, 2])).toBe(2.5);
    expect(median([30, -2])).toBe(14);
  });

  it('leaves what it was given as it was', () => {
    const values = [3, 1, 2];
    median(values);
    expect(values).toEqual([3, 1, 2]);
  });

  it('throws without a value', () => {
    expect(() => median([])).toThrow(/at least one value/);
  });
});
