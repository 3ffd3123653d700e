import gammaln from '@stdlib/math-base-special-gammaln';
import { seededRandom } from '../../instruments/random';
import { breakChance, drawStrength, meanOverLength, scatterOf, type StrengthKnown } from './strengthDraws';

describe('the chance that a piece breaks', () => {
  it('is Weibull’s with the mean and the scatter that were asked for', () => {
    for (const cv of [0.03, 0.05, 0.08, 0.12]) {
      // From the distribution itself: its mean by a sum of its survival, its CV by the gamma function at the shape that it shows.
      const survival = (share: number): number => 1 - breakChance('weibull', share, 1, scatterOf(cv));
      const steps = Array.from({ length: 4000 }, (_, index) => (index + 0.5) / 2000);
      expect(steps.reduce((sum, share) => sum + survival(share) / 2000, 0)).toBeCloseTo(1, 4);
      const shape = Math.log(Math.log(survival(0.9)) / Math.log(survival(0.8))) / Math.log(0.9 / 0.8);
      const shown = Math.sqrt(Math.exp(gammaln(1 + 2 / shape) - 2 * gammaln(1 + 1 / shape)) - 1);
      expect(Math.abs(shown / cv - 1)).toBeLessThan(0.001);
    }
  });

  it('is a half at the mean of a normal one, and nothing without a pull', () => {
    expect(breakChance('normal', 80, 80, scatterOf(0.05))).toBeCloseTo(0.5, 12);
    // Two SDs below the mean, from any table: 2.28 %.
    expect(breakChance('normal', 72, 80, scatterOf(0.05))).toBeCloseTo(0.02275, 5);
    expect(breakChance('weibull', 0, 80, scatterOf(0.05))).toBe(0);
  });

  it('grows with length by the weakest link, as far as that is believed', () => {
    const draw = { mean: 100, scatter: scatterOf(0.05), lengthShare: 1 };
    const long = meanOverLength(draw, 50, 0.5);
    // Weakest link in closed form: a hundred pieces in a row hold as one whose chance is 1 − (1 − p)^100.
    const one = breakChance('weibull', 70, 100, draw.scatter);
    expect(breakChance('weibull', 70, long, draw.scatter)).toBeCloseTo(1 - (1 - one) ** 100, 6);
    expect(meanOverLength({ ...draw, lengthShare: 0 }, 50, 0.5)).toBe(100);
    expect(meanOverLength(draw, 0.2, 0.5)).toBe(100);
  });
});

describe('a draw of a strength', () => {
  const known = (change: Partial<StrengthKnown>): StrengthKnown => ({
    ...{ key: 'a', mean: 100, cv: null, degrees: 0, pulls: 0, beliefRelativeSd: 0.2, lotRelativeSd: 0.03 },
    gaugeLengthM: 0.5,
    ...change,
  });
  /** Means and scatters of many draws, the means spread evenly. */
  function drawn(of: StrengthKnown, draws = 4000) {
    const chance = seededRandom(5);
    const all = Array.from({ length: draws }, (_, index) => drawStrength(of, chance, (index + 0.5) / draws));
    const mean = all.reduce((sum, each) => sum + each.mean, 0) / draws;
    const sd = Math.sqrt(all.reduce((sum, each) => sum + (each.mean - mean) ** 2, 0) / draws);
    const squares = all.reduce((sum, each) => sum + each.scatter.cv ** -2, 0) / draws;
    const lengths = all.reduce((sum, each) => sum + each.lengthShare, 0) / draws;
    return { mean, sd, cv: squares ** -0.5, lengths };
  }

  it('of a label scatters as the label does, its pieces as is usual', () => {
    const { mean, sd, cv, lengths } = drawn(known({}));
    expect(mean).toBeCloseTo(100, 0);
    expect(sd / 20).toBeCloseTo(1, 1);
    // The mean of 1/σ² under a scaled inverse χ² is 1 over its scale squared.
    expect(cv / 0.05).toBeCloseTo(1, 1);
    expect(lengths).toBeCloseTo(0.5, 1);
  });

  it('of pulls follows their scatter and their number, and the spool that is on is another one', () => {
    const few = drawn(known({ pulls: 4, cv: 0.08, degrees: 3 }));
    // Beside eight degrees of the usual 5 %: √((8 · 0.05² + 3 · 0.08²)/11).
    const scale = Math.sqrt((8 * 0.05 ** 2 + 3 * 0.08 ** 2) / 11);
    expect(few.cv / scale).toBeCloseTo(1, 1);
    const spread = Math.hypot((100 * scale) / 2, 100 * 0.03 * Math.SQRT2);
    expect(few.sd / spread).toBeGreaterThan(0.97);
    expect(few.sd / spread).toBeLessThan(1.15);
    const many = drawn(known({ pulls: 400, cv: 0.08, degrees: 399 }), 600);
    expect(many.cv).toBeCloseTo(0.08, 2);
    expect(many.sd).toBeLessThan(0.85 * few.sd);
    // A join is not bought by the spool.
    expect(drawn(known({ pulls: 400, cv: 0.08, degrees: 399, lotRelativeSd: 0 }), 600).sd).toBeLessThan(0.5);
  });

  it('is the same for the same seed, grows with the place that it is drawn at, and never falls to nothing', () => {
    const at = (share: number) => drawStrength(known({ beliefRelativeSd: 1 }), seededRandom(3), share).mean;
    expect(at(0.2)).toBe(at(0.2));
    expect(at(0.8)).toBeGreaterThan(at(0.2));
    expect(at(0)).toBeCloseTo(5, 9);
  });
});
