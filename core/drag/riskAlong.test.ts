import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { normalDeviate, seededRandom } from '../../instruments/random';
import { breakChance, scatterOf, type StrengthKnown } from '../strength/strengthDraws';
import { riskAlong } from './riskAlong';
import { inAHundred, lastSafeLength, type PlaceAtRisk, type PullAtRisk, type PullStation } from './risk';

const chance = (): (() => number) => seededRandom(7);
/** A line of which everything is known: so many pulls that mean and scatter are exact. */
const exact = (key: string, mean: number, cv: number, gaugeLengthM: number | null = null): StrengthKnown => ({
  ...{ key, mean, cv, gaugeLengthM, beliefRelativeSd: 0, lotRelativeSd: 0, pulls: 1e9, degrees: 4000 },
});
const place = (id: string, fromHookM: number, toHookM: number, of: StrengthKnown): PlaceAtRisk => ({
  ...{ id, name: id, fromHookM, toHookM, waterN: 0, lines: [of], keeps: null },
});
const station = (lengthOutM: number, tipN: number, change: Partial<PullStation> = {}): PullStation => ({
  ...{ lengthOutM, tipN, growthRelativeSd: 0, waterN: 0, surgeN: 0 },
  ...change,
});
const pull = (stations: readonly PullStation[], setRelativeSd = 0) => ({
  ...{ stations, setRelativeSd, waterRelativeSd: 0, surgeRelativeSd: 0 },
});

describe('the chance that anything breaks', () => {
  it('of known places in a row is one less what all of them hold (weakest link, closed form)', () => {
    const [a, b] = [exact('a', 100, 0.05), exact('b', 90, 0.04)];
    const [risk] = riskAlong(
      [place('top', 0, 20, a), place('backing', 20, 80, b)],
      pull([station(80, 80)]),
      chance(),
      100,
    );
    for (const law of ['normal', 'weibull'] as const) {
      const series =
        1 - (1 - breakChance(law, 80, 100, scatterOf(0.05))) * (1 - breakChance(law, 80, 90, scatterOf(0.04)));
      expect(Math.abs((risk?.byLaw[law] ?? NaN) / series - 1)).toBeLessThan(0.08);
    }
    expect(risk?.chance).toBe(risk?.byLaw.weibull);
    expect(risk?.likeliest.name).toBe('backing');
  });

  it('counts what is out and no more, with the water’s pull on what is outside of a place', () => {
    const places = [place('top', 0, 20, exact('a', 100, 0.05)), place('backing', 20, 80, exact('b', 60, 0.05))];
    const [near, far] = riskAlong(places, pull([station(10, 57), station(30, 57)]), chance(), 100);
    expect(near?.chance).toBeLessThan(1e-4);
    expect(far?.chance).toBeGreaterThan(0.1);
    const held = places.map((each, index) => ({ ...each, waterN: index === 0 ? 0 : 20 }));
    const [wet] = riskAlong(held, pull([station(30, 50, { waterN: 20 })]), chance(), 100);
    const [dry] = riskAlong(held, pull([station(30, 50)]), chance(), 100);
    // The top bears all of the water, the backing what is outside of it: nothing more than at the tip.
    expect(wet?.byLaw.normal).toBeCloseTo(dry?.byLaw.normal ?? NaN, 3);
  });

  it('is that of a pull whose setting, growth, water and surge each scatter by their own (normal law, closed form)', () => {
    // Strength is all but sharp: what is left is the chance that the tension passes it.
    const of = (strengthN: number, waterN: number, with_: Partial<PullStation>, sds: Partial<PullAtRisk>) =>
      riskAlong(
        [{ ...place('top', 0, 20, { ...exact('a', strengthN, 0.004), degrees: 20 }), waterN }],
        { ...pull([station(20, 80, with_)]), ...sds },
        chance(),
        4000,
      )[0]?.byLaw.normal;
    const above = (z: number): number => 1 - normalCdf(z, 0, 1);
    // 80 N with 30 % of scatter pass 100 N beyond 0.833 of it, and not below.
    const within = 0.02;
    expect(Math.abs((of(100, 0, {}, { setRelativeSd: 0.3 }) ?? NaN) - above(25 / 30))).toBeLessThan(within);
    expect(Math.abs((of(100, 0, { growthRelativeSd: 0.3 }, {}) ?? NaN) - above(25 / 30))).toBeLessThan(within);
    // Of 30 N of water 10 are outside of the place: 20 N with 60 % of scatter come to the 80 N, and pass 95 N above three quarters.
    expect(Math.abs((of(95, 10, { waterN: 30 }, { waterRelativeSd: 0.6 }) ?? NaN) - above(-0.25 / 0.6))).toBeLessThan(
      within,
    );
    expect(Math.abs((of(95, 0, { surgeN: 20 }, { surgeRelativeSd: 0.6 }) ?? NaN) - above(-0.25 / 0.6))).toBeLessThan(
      within,
    );
  });

  it('counts a place from the length at which it leaves, and the first one always', () => {
    const [strong, weak] = [exact('a', 100, 0.01), exact('b', 50, 0.01)];
    const at = (lengthM: number) =>
      riskAlong(
        [place('top', 0, 20, strong), place('join', 20, 20, weak)],
        pull([station(lengthM, 60)]),
        chance(),
        50,
      )[0]?.chance;
    expect(at(19.9)).toBeLessThan(1e-6);
    expect(at(20)).toBeCloseTo(1, 6);
    // The hook's own place is there with no line out.
    const [hook] = riskAlong([place('leader', 5, 20, weak)], pull([station(0, 60)]), chance(), 50);
    expect(hook?.chance).toBeCloseTo(1, 6);
  });

  it('is less where two lengths come off one spool than off two: they are weak together', () => {
    const vague = (key: string): StrengthKnown => ({
      ...exact(key, 100, 0.05),
      pulls: 0,
      cv: null,
      degrees: 0,
      beliefRelativeSd: 0.15,
    });
    const of = (second: string) =>
      riskAlong(
        [place('a', 0, 40, vague('one')), place('b', 40, 80, vague(second))],
        pull([station(80, 70)]),
        chance(),
        2000,
      )[0];
    expect(of('one')?.chance).toBeLessThan(0.8 * (of('two')?.chance ?? 0));
  });

  it('of a surge is that of the drag and the surge together, and is never mixed into the steady one', () => {
    const places = [place('top', 0, 20, exact('a', 100, 0.05))];
    const [steady, surge, both] = riskAlong(
      places,
      pull([station(5, 60), station(10, 60, { surgeN: 25 }), station(20, 85)]),
      chance(),
      100,
    );
    expect(steady?.chance).toBeLessThan(1e-4);
    expect(surge?.chance).toBeCloseTo(both?.chance ?? NaN, 12);
  });

  it('of one in a thousand agrees within a fifth with plain draws of everything', () => {
    const known: StrengthKnown = {
      ...{ key: 'a', mean: 100, cv: 0.05, degrees: 4, pulls: 5, beliefRelativeSd: 0.2, lotRelativeSd: 0.03 },
      gaugeLengthM: null,
    };
    const tensionN = 76;
    const [risk] = riskAlong([place('top', 0, 20, known)], pull([station(20, tensionN)], 0.03), chance(), 2000);
    // The same model drawn one rig after the other, pieces and all: another loop, no closed form.
    const random = seededRandom(99);
    let broken = 0;
    const rigs = 300_000;
    const degrees = 8 + 4;
    // The usual scatter is the median of what eight degrees give: of a table of χ², 7.344.
    const scale = (7.344 * 0.05 ** 2 + 4 * 0.05 ** 2) / degrees;
    for (let rig = 0; rig < rigs; rig += 1) {
      let squares = 0;
      for (let each = 0; each < degrees; each += 1) squares += normalDeviate(random) ** 2;
      const cv = Math.sqrt((scale * degrees) / squares);
      const mean = 100 * Math.exp(Math.hypot(cv / Math.sqrt(5), 0.03 * Math.SQRT2) * normalDeviate(random));
      const strengthN = mean * (1 + cv * normalDeviate(random));
      if (strengthN <= tensionN * (1 + 0.03 * normalDeviate(random))) broken += 1;
    }
    expect(broken / rigs).toBeGreaterThan(5e-4);
    expect(Math.abs((risk?.byLaw.normal ?? NaN) / (broken / rigs) - 1)).toBeLessThan(0.2);
  });

  it('says how far it may be pulled, what a hundred pulls make of it, and refuses to reckon with nothing', () => {
    // One in a hundred is 63 % in a hundred.
    expect(inAHundred(0.01)).toBeCloseTo(0.634, 3);
    const risk = (lengthOutM: number, is: number) => ({
      ...{ lengthOutM, chance: is, byLaw: { normal: is, weibull: is }, between: [is, is] as const },
      likeliest: { name: '', share: 1 },
    });
    expect(lastSafeLength([risk(10, 0.001), risk(20, 0.009), risk(30, 0.02), risk(40, 0.001)], 0.01)).toBe(20);
    expect(lastSafeLength([risk(10, 0.02)], 0.01)).toBeNull();
    expect(lastSafeLength([risk(10, 0.002)], 0.01)).toBe(10);
    // What cannot be known is never safe.
    expect(lastSafeLength([risk(10, NaN)], 0.01)).toBeNull();
    expect(() => riskAlong([], pull([station(10, 5)]), chance())).toThrow(/places/);
  });
});
