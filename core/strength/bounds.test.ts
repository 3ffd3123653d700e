import { normalDeviate, seededRandom } from '../../instruments/random';
import { pooledCv } from './pooledCv';
import { grubbsCritical, grubbsOutlier } from './grubbs';
import { toSi } from '../units/units';
import { fittingClass } from './lineClass';
import { gainOfMorePulls, lowerBound } from './lowerBound';
import { sameLine } from './sameLine';
import { summarisePulls } from './summarisePulls';

const summaryOf = (pulls: readonly number[]) => {
  const summary = summarisePulls(pulls, null);
  if (!summary.ok) throw new Error(summary.reason);
  return summary.value;
};

describe('Grubbs’ test', () => {
  // NIST/SEMATECH e-Handbook, section 1.3.5.17.1: Tietjen and Moore's eight values, G = 2.4687, critical 2.032.
  const EIGHT = [199.31, 199.53, 200.19, 200.82, 201.92, 201.95, 202.18, 245.57];

  it('finds the outlier of the e-Handbook’s example', () => {
    const outlier = grubbsOutlier(EIGHT);
    expect(outlier).toMatchObject({ index: 7, side: 'high' });
    expect(outlier?.g).toBeCloseTo(2.4687, 3);
    // The example asks one side, at 5 %; both sides at 5 % ask for more (critical value of the two-sided test, Grubbs and Beck 1972).
    expect(grubbsCritical(8)).toBeCloseTo(2.032, 3);
    expect(outlier?.critical).toBeCloseTo(2.126, 2);
  });

  it('flags nothing that fits, nor anything of two or of identical pulls', () => {
    expect(grubbsOutlier(EIGHT.slice(0, 7))).toBeNull();
    expect(grubbsOutlier([50, 90])).toBeNull();
    expect(grubbsOutlier([50, 50, 50])).toBeNull();
    // The one that lies farthest, to whichever side, wherever it stands in the list.
    expect(grubbsOutlier([50, 90, 51, 49, 50, 50, 51])).toMatchObject({ index: 1, side: 'high' });
    expect(grubbsOutlier([20, 50, 51, 49, 50, 50, 51])).toMatchObject({ index: 0, side: 'low' });
    expect(grubbsCritical(3)).toBeCloseTo(1.153, 3);
    expect(() => grubbsCritical(4.5)).toThrow(/three/);
    expect(grubbsOutlier([50, 60, 90])).toBeNull();
    expect(() => grubbsCritical(2)).toThrow(RangeError);
  });
});

describe('the lower bound', () => {
  it('is mean less k SDs: five pulls, k = 4.203 (Owen’s tables)', () => {
    const summary = summaryOf([118, 121, 119, 122, 120]);
    const bound = lowerBound(summary);
    expect(bound).toMatchObject({ ok: true, value: { spread: 'own' } });
    expect(bound.ok && bound.value.boundN).toBeCloseTo(120 - 4.203 * Math.sqrt(2.5), 2);
  });

  it('says "not enough yet" instead of a silly number', () => {
    expect(lowerBound(summaryOf([100]))).toMatchObject({ reason: 'too-few', figures: { more: 2 } });
    expect(lowerBound(summaryOf([100, 101]))).toMatchObject({
      reason: 'too-few',
      figures: { more: 1 },
    });
    expect(lowerBound(summaryOf([100, 100, 100]))).toMatchObject({ reason: 'no-spread' });
    expect(lowerBound(summaryOf([30, 100, 170]))).toMatchObject({ reason: 'not-above-zero' });
  });

  it('borrows the scatter of other tests for one or two pulls, and says so', () => {
    const borrowed = lowerBound(summaryOf([100, 102]), { cv: 0.04, degrees: 4 });
    expect(borrowed).toMatchObject({ ok: true, value: { spread: 'pooled' } });
    // Taken as known exactly the scatter would give a bound of 89.7: its own error makes that far too high.
    expect(borrowed.ok && borrowed.value.boundN).toBeLessThan(101 * (1 - 0.04 * (1.6449 + 1.6449 / Math.SQRT2)) - 5);
    const well = lowerBound(summaryOf([100, 102]), { cv: 0.04, degrees: 100_000 });
    expect(well.ok && well.value.boundN).toBeCloseTo(101 * (1 - 0.04 * (1.6449 + 1.6449 / Math.SQRT2)), 1);
    expect(lowerBound(summaryOf([100, 102]), { cv: 0.04, degrees: 3 })).toMatchObject({ reason: 'too-few' });
  });

  it('covers what it says with a scatter that is lent (drawn here, five other lines of three pulls)', () => {
    const random = seededRandom(23);
    let held = 0;
    for (let run = 0; run < 1500; run += 1) {
      const pull = (): number => 100 * (1 + 0.05 * normalDeviate(random));
      const lent = pooledCv(Array.from({ length: 5 }, () => summaryOf([pull(), pull(), pull()])));
      const bound = lowerBound(summaryOf([pull()]), lent);
      if (bound.ok && bound.value.boundN <= 100 * (1 - 1.6449 * 0.05)) held += 1;
    }
    expect(held / 1500).toBeGreaterThan(0.93);
    expect(held / 1500).toBeLessThan(0.97);
  });

  it('knows what more pulls would buy: less and less', () => {
    const summary = summaryOf([118, 121, 119]);
    const [three, twenty, thirty] = [3, 20, 30].map((more) => gainOfMorePulls(summary, more) ?? NaN);
    expect(three).toBeGreaterThan(0);
    expect((thirty ?? 0) - (twenty ?? 0)).toBeLessThan(three ?? 0);
    expect(gainOfMorePulls(summaryOf([118]), 3)).toBeNull();
  });
});

describe('the same line under two labels', () => {
  const around = (mean: number, cv: number, n: number): readonly number[] =>
    Array.from(
      { length: n },
      (_, index) => mean * (1 + cv * Math.sqrt((2 * (n - 1)) / n) * Math.sin((2 * Math.PI * (index + 0.3)) / n)),
    );

  it('is told from another by enough pulls, and not by a few', () => {
    expect(sameLine(around(100, 0.02, 12), around(100.5, 0.02, 12))).toMatchObject({ value: { verdict: 'same' } });
    expect(sameLine(around(100, 0.02, 12), around(115, 0.02, 12))).toMatchObject({ value: { verdict: 'different' } });
    expect(sameLine(around(100, 0.06, 4), around(102, 0.06, 4))).toMatchObject({
      value: { verdict: 'not enough pulls to tell' },
    });
  });

  it('wants about twenty pulls of each at a scatter of 5 % (power worked out by hand)', () => {
    const found = sameLine(around(100, 0.05, 20), around(100, 0.05, 20));
    expect(found.ok && found.value.pullsNeeded).toBeGreaterThanOrEqual(19);
    expect(found.ok && found.value.pullsNeeded).toBeLessThanOrEqual(26);
  });

  it('has a ratio whose interval turns round with the order', () => {
    const [a, b] = [around(100, 0.03, 6), around(108, 0.03, 7)];
    const [there, back] = [sameLine(a, b), sameLine(b, a)];
    expect(there.ok && back.ok && there.value.ratio * back.value.ratio).toBeCloseTo(1, 12);
    expect(there.ok && back.ok && there.value.low * back.value.high).toBeCloseTo(1, 12);
    expect(sameLine([100, 100], [100, 100, 100])).toMatchObject({ ok: false, reason: 'no-spread' });
    expect(sameLine([100], b)).toMatchObject({ ok: false, reason: 'too-few-of-each' });
    expect(() => sameLine([100, -1], b)).toThrow(/firstN/);
  });
});

describe('a line class', () => {
  const kg = (values: readonly number[]): readonly number[] => values.map((value) => toSi('force', value, 'kg'));

  it('is the lightest that lies above the upper bound of the mean', () => {
    expect(fittingClass(summaryOf(kg([22, 22.4, 21.8, 22.2, 22.1])))?.classKg).toBe(24);
    // Labelled 24, testing over it: it fishes in the next class.
    expect(fittingClass(summaryOf(kg([25.2, 25.9, 25.5, 25.7, 25.4])))?.classKg).toBe(37);
    // Under the class by its mean, over it by its bound.
    expect(fittingClass(summaryOf(kg([23.2, 24.6, 23.9])))?.classKg).toBe(37);
    expect(fittingClass(summaryOf(kg([61, 62, 63])))?.classKg).toBeNull();
    expect(fittingClass(summaryOf(kg([22, 22])))).toBeNull();
  });
});
