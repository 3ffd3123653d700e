import { toSi } from '../units/units';
import { commonNylonRatio, labelPattern, predictedBreak } from './labelPattern';
import { lengthFactor } from './lengthEffect';
import { pooledCv } from './pooledCv';
import { summarisePulls } from './summarisePulls';

const lb = (value: number): number => toSi('force', value, 'lb');
const size = (labelLb: number, ratio: number, n = 5) => ({ labelN: lb(labelLb), meanN: ratio * lb(labelLb), n });
const patternOf = (sizes: Parameters<typeof labelPattern>[0]) => {
  const pattern = labelPattern(sizes);
  if (!pattern.ok) throw new Error(pattern.reason);
  return pattern.value;
};

describe('label against true over the sizes of a product', () => {
  it('never rises with size: neighbours that would are pooled by their pulls', () => {
    const { sizes } = patternOf([size(40, 1.36), size(12, 1.5), size(20, 1.56, 10), size(60, 1.24)]);
    expect(sizes.map((each) => Number(each.fitted.toFixed(3)))).toEqual([1.54, 1.54, 1.36, 1.24]);
  });

  it('predicts an untested size between its neighbours, and less surely beyond them', () => {
    const pattern = patternOf([size(20, 1.5), size(60, 1.25)]);
    const between = predictedBreak(pattern, lb(35));
    expect(between.value / lb(35)).toBeGreaterThan(1.25);
    expect(between.value / lb(35)).toBeLessThan(1.5);
    const beyond = predictedBreak(pattern, lb(130));
    expect(beyond.value / lb(130)).toBeCloseTo(1.25, 12);
    expect(beyond.sd / beyond.value).toBeGreaterThan(between.sd / between.value);
    expect(predictedBreak(pattern, lb(20)).value).toBeCloseTo(lb(30), 9);
  });

  it('wants two sizes', () => {
    expect(labelPattern([size(20, 1.5), size(20, 1.4)])).toMatchObject({ ok: false, reason: 'one-size' });
    expect(() => labelPattern([{ labelN: 0, meanN: 1, n: 1 }])).toThrow(/labelN/);
  });

  // Common practice, no source: +50 % to 20 lb, +36 % from 25 to 50 lb, about +25 % from 60 lb.
  it.each([
    [8, 1.5],
    [20, 1.5],
    [25, 1.36],
    [50, 1.36],
    [60, 1.25],
    [130, 1.25],
  ])('knows what plain nylon of %d lb commonly holds: %d times its label', (label, ratio) => {
    expect(commonNylonRatio(lb(label))).toBeCloseTo(ratio, 9);
  });
});

describe('scatter lent and length reckoned', () => {
  const summary = (pulls: readonly number[]) => {
    const made = summarisePulls(pulls, null);
    if (!made.ok) throw new Error(made.reason);
    return made.value;
  };

  it('pools CVs by their degrees of freedom', () => {
    const [a, b] = [summary([95, 105]), summary([190, 200, 210])];
    const expected = Math.sqrt((1 * (a.cv ?? 0) ** 2 + 2 * (b.cv ?? 0) ** 2) / 3);
    expect(pooledCv([a, b, summary([50])])).toEqual({ cv: expect.closeTo(expected, 12) as number, degrees: 3 });
    expect(pooledCv([summary([50])])).toBeNull();
  });

  it('makes long line weaker, by the law of the weakest piece', () => {
    // Weibull of shape m: hundred times the length holds 100^(−1/m); at CV 4 %, m is 30.
    expect(lengthFactor(0.5, 50, 0.04)).toBeCloseTo(100 ** (-1 / 30), 12);
    expect(lengthFactor(0.5, 0.5, 0.04)).toBe(1);
    expect(() => lengthFactor(0, 1, 0.04)).toThrow(/sampleM/);
  });
});
