import { linearFit } from './linearFit';

// NIST StRD, linear regression, dataset Norris (36 observations): y, x.
const NORRIS = `0.1 0.2 338.8 337.4 118.1 118.2 888.0 884.6 9.2 10.1 228.1 226.5 668.5 666.3 998.5 996.3 449.1 448.6
778.9 777.0 559.2 558.2 0.3 0.4 0.1 0.6 778.1 775.5 668.8 666.9 339.3 338.0 448.9 447.5 10.8 11.6 557.7 556.0 228.3 228.1
998.0 995.8 888.8 887.6 119.6 120.2 0.3 0.3 0.6 0.3 557.6 556.8 339.3 339.1 888.0 887.2 998.5 999.0 778.9 779.0 10.2 11.1
117.6 118.3 228.9 229.2 668.4 669.1 449.2 448.9 0.2 0.5`
  .split(/\s+/)
  .map(Number);
const Y = NORRIS.filter((_, i) => i % 2 === 0);
const X = NORRIS.filter((_, i) => i % 2 === 1);

describe('a straight line through points', () => {
  it('meets the certified values of StRD’s Norris to eleven digits', () => {
    const fit = linearFit(X, Y);
    const near = (value: number, certified: number): void =>
      expect(Math.abs(value / certified - 1)).toBeLessThan(1e-11);
    near(fit.slope, 1.00211681802045);
    near(fit.intercept, -0.262323073774029);
    near(fit.slopeSd, 0.429796848199937e-3);
    near(fit.interceptSd, 0.232818234301152);
    near(fit.residualSd, 0.884796396144373);
  });

  it('takes a part of the points, and none without spread', () => {
    expect(linearFit([0, 1, 2, 3, 9], [5, 7, 9, 11, 0], 0, 4)).toMatchObject({ slope: 2, intercept: 5, n: 4 });
    expect(() => linearFit([1, 1, 1], [1, 2, 3])).toThrow(/spreadOfX/);
    expect(() => linearFit([1, 2], [1, 2])).toThrow(/degrees/);
  });
});
