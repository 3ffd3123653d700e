import { normalDeviate, seededRandom } from '../../instruments/random';
import { toleranceFactor } from '../numerics/toleranceFactor';
import { lotBound } from './lotBound';
import { summarisePulls } from './summarisePulls';

const boundOf = (lots: readonly (readonly number[])[]): number => {
  const bound = lotBound(lots);
  return bound.ok ? bound.value.boundN : NaN;
};

describe('the bound of several spools', () => {
  it('is that of one sample where the spools are alike', () => {
    const lots = [
      [118, 121, 120],
      [119, 122, 118],
    ];
    const all = summarisePulls(lots.flat(), null);
    if (!all.ok || all.value.sdN === null) throw new Error('no spread');
    expect(boundOf(lots)).toBeCloseTo(all.value.meanN - toleranceFactor(6) * all.value.sdN, 9);
  });

  it('is that of as many pulls as there are spools where each spool is all of one piece', () => {
    // Without scatter inside a spool the five means are the sample: the method's own limit.
    const means = [100, 104, 97, 103, 99];
    const lots = means.map((mean) => [mean, mean, mean]);
    const sd = Math.sqrt(means.reduce((sum, mean) => sum + (mean - 100.6) ** 2, 0) / 4);
    expect(boundOf(lots)).toBeCloseTo(100.6 - toleranceFactor(5) * sd, 9);
  });

  it('says why there is none', () => {
    expect(lotBound([[100], [101]])).toMatchObject({ reason: 'too-few', figures: { more: 1 } });
    expect(lotBound([[100, 100], [100]])).toMatchObject({ reason: 'no-spread' });
    expect(() => lotBound([[100, 101, 102]])).toThrow(/two spools/);
  });

  it.each([
    ['alike', 0, 0.04],
    ['half as unlike as pulls', 0.02, 0.04],
    ['as unlike as pulls', 0.04, 0.04],
    ['far more unlike than pulls', 0.06, 0.02],
  ])('holds 95 of 100 pieces in about 95 of 100 lines whose spools are %s', (_, betweenCv, withinCv) => {
    // The truth is drawn here and nowhere else: normal spools, normal pieces, five spools of five pulls.
    const random = seededRandom(7);
    const trueBound = 1 - 1.6449 * Math.hypot(betweenCv, withinCv);
    const lines = 600;
    let held = 0;
    for (let line = 0; line < lines; line += 1) {
      const lots = Array.from({ length: 5 }, () => {
        const spool = 1 + betweenCv * normalDeviate(random);
        return Array.from({ length: 5 }, () => 100 * (spool + withinCv * normalDeviate(random)));
      });
      if (boundOf(lots) <= 100 * trueBound) held += 1;
    }
    expect(held / lines).toBeGreaterThan(0.92);
  });
});
