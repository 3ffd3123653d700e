import { summarisePulls } from './summarisePulls';

/**
 * Source: NIST Statistical Reference Datasets, univariate summary statistics: NumAcc1 to NumAcc4, with
 * their certified mean and standard deviation.
 */
const alternating = (base: number, low: number, high: number, pairs: number): number[] => [
  base,
  ...Array.from({ length: 2 * pairs }, (_, i) => (i % 2 === 0 ? low : high)),
];

describe('against NIST StRD', () => {
  it.each([
    ['NumAcc1', [10000001, 10000003, 10000002], 10000002, 1],
    ['NumAcc2', alternating(1.2, 1.1, 1.3, 500), 1.2, 0.1],
    ['NumAcc3', alternating(1000000.2, 1000000.1, 1000000.3, 500), 1000000.2, 0.1],
    ['NumAcc4', alternating(10000000.2, 10000000.1, 10000000.3, 500), 10000000.2, 0.1],
  ] as const)('%s', (_, data, mean, sd) => {
    const summary = summarisePulls(data, null);
    if (!summary.ok) throw new Error(summary.reason);
    expect(Math.abs(summary.value.meanN / mean - 1)).toBeLessThan(1e-12);
    // NumAcc4 leaves about eight digits to any method in doubles: the data themselves carry no more.
    expect(Math.abs((summary.value.sdN ?? NaN) / sd - 1)).toBeLessThan(1e-7);
  });
});

describe('summarisePulls', () => {
  it('gives a worked example: mean 119.15, SD 2.3756, t(0.975; 3) = 3.182', () => {
    const summary = summarisePulls([118.2, 121.9, 116.4, 120.1], 88.3);
    if (!summary.ok) throw new Error(summary.reason);
    expect(summary.value).toMatchObject({ n: 4, minN: 116.4, maxN: 121.9 });
    expect(summary.value.meanN).toBeCloseTo(119.15, 10);
    expect(summary.value.sdN).toBeCloseTo(2.3756, 4);
    expect(summary.value.meanPlusMinusN).toBeCloseTo((3.182 * 2.3756) / 2, 2);
    expect(summary.value.labelRatio).toBeCloseTo(1.3494, 4);
  });

  it('claims no spread from one pull, and a zero one from identical pulls', () => {
    expect(summarisePulls([50], null)).toMatchObject({
      value: { sdN: null, cv: null, meanPlusMinusN: null, labelRatio: null },
    });
    expect(summarisePulls([50, 50, 50], 40)).toMatchObject({ value: { sdN: 0, meanPlusMinusN: 0, labelRatio: 1.25 } });
  });

  it('says when nothing was pulled, and throws on a force that is none', () => {
    expect(summarisePulls([], 10)).toMatchObject({ ok: false, reason: 'no-pulls' });
    expect(() => summarisePulls([5, -1], null)).toThrow(/pullsN\[1\]/);
    expect(() => summarisePulls([5], NaN)).toThrow(/labelN/);
  });
});
