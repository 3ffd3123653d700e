import { linear } from './scale';

describe('a scale', () => {
  it('goes through both ends and back', () => {
    const y = linear([0, 40], [100, 20]);
    expect([y(0), y(40), y(10)]).toEqual([100, 20, 80]);
    expect(y.invert(80)).toBeCloseTo(10, 12);
    expect(y.ticks(4)).toEqual([0, 10, 20, 30, 40]);
  });

  it('widens to round values where it is asked to, and never divides by nothing', () => {
    const y = linear([0, 38.2], [100, 0], 4);
    expect(y(40)).toBeCloseTo(0, 12);
    expect(linear([5, 5], [0, 10])(5)).toBe(0);
  });
});
