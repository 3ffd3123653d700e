import { seededRandom } from '../../instruments/random';
import type { PlaceAtRisk, PullStation } from './risk';
import { riskAlong } from './riskAlong';
import { stationsToWorkOut } from './riskStations';

const pulled = { pulls: 5, cv: 0.05, degrees: 4, beliefRelativeSd: 0.1 };
const line = (at: number) => ({ key: `line ${at}`, mean: 300, lotRelativeSd: 0.03, gaugeLengthM: 0.5, ...pulled });
const places: readonly PlaceAtRisk[] = [0, 40, 80, 120].flatMap((at) => [
  {
    ...{ id: `join ${at}`, name: `join ${at}`, fromHookM: at, toHookM: at, waterN: at / 8, lines: [line(at)] },
    keeps: { key: `join ${at}`, mean: 0.85, lotRelativeSd: 0, gaugeLengthM: null, ...pulled },
  },
  { id: `${at}`, name: `${at}`, fromHookM: at, toHookM: at + 40, waterN: at / 8, lines: [line(at)], keeps: null },
]);
const stations = (tipN: (lengthOutM: number) => number): readonly PullStation[] =>
  Array.from({ length: 160 }, (_, index) => {
    const lengthOutM = index + 1;
    return { lengthOutM, tipN: tipN(lengthOutM), growthRelativeSd: 0.02, waterN: lengthOutM / 8, surgeN: 0 };
  });
const pull = { setRelativeSd: 0.03, waterRelativeSd: 0.17, surgeRelativeSd: 0 };
const growing = stations((lengthOutM) => 110 * (1 + lengthOutM / 300));

describe('stations at which a chance is worked out', () => {
  it('are few where pulls grow evenly, and what is read between them is within 2 % of what working it out tells', () => {
    expect(stationsToWorkOut(places, growing).length).toBeLessThan(60);
    const read = riskAlong(places, { stations: growing, ...pull }, seededRandom(1), 100);
    expect(read.map(({ lengthOutM }) => lengthOutM)).toEqual(growing.map(({ lengthOutM }) => lengthOutM));
    let seen = 0;
    growing.forEach((station, index) => {
      const [exact] = riskAlong(places, { stations: [station], ...pull }, seededRandom(1), 100);
      if (!exact || exact.chance < 1e-5) return;
      seen += 1;
      const off = (of: number | undefined, is: number) => Math.abs(Math.log((of ?? NaN) / is));
      expect(off(read[index]?.chance, exact.chance)).toBeLessThan(0.02);
      expect(off(read[index]?.byLaw.normal, exact.byLaw.normal)).toBeLessThan(0.03);
      expect(off(read[index]?.between[1], exact.between[1])).toBeLessThan(0.15);
    });
    expect(seen).toBeGreaterThan(60);
  });

  it('are both sides of each join, and all where pulls step or lengths do not grow', () => {
    const chosen = stationsToWorkOut(places, growing).map((index) => growing[index]?.lengthOutM);
    for (const lengthOutM of [1, 39, 40, 79, 80, 119, 120, 160]) expect(chosen).toContain(lengthOutM);
    const stepping = stations((lengthOutM) => (lengthOutM % 2 === 0 ? 110 : 112));
    expect(stationsToWorkOut(places, stepping)).toHaveLength(160);
    expect(stationsToWorkOut(places, growing.toReversed())).toHaveLength(160);
    expect(riskAlong(places, { stations: [], ...pull }, seededRandom(1), 10)).toEqual([]);
  });

  it('lie as far apart as may be, and no farther: half as much line again, and twenty stations', () => {
    // Worked by hand: 1, 2, 3, 4, 6 (half as much again), 9, 13, 19, 28, 42, then 62 and not 63, which is 21 on.
    const even = stations(() => 100).map((station) => ({ ...station, waterN: 0 }));
    const single = places.slice(0, 2);
    const chosen = stationsToWorkOut(single, even.slice(0, 100));
    expect(chosen.map((index) => even[index]?.lengthOutM)).toEqual([1, 2, 3, 4, 6, 9, 13, 19, 28, 42, 62, 82, 100]);
    // Past a join that lies at 80 the line that came out of it begins anew.
    const joined = [...single, ...places.slice(4, 6)];
    const past = stationsToWorkOut(joined, even.slice(0, 100)).map((index) => even[index]?.lengthOutM ?? NaN);
    expect(past.filter((lengthOutM) => lengthOutM > 60)).toEqual([62, 79, 80, 81, 82, 83, 84, 86, 89, 93, 99, 100]);
  });

  it('are all of them where any one of the three pulls steps, and where two lengths are the same', () => {
    const even = stations(() => 100).map((station) => ({ ...station, waterN: 0 }));
    for (const name of ['tipN', 'waterN', 'surgeN'] as const) {
      const stepping = even.map((station, index) => ({ ...station, [name]: 50 + (index % 2) }));
      expect([name, stationsToWorkOut(places, stepping).length]).toEqual([name, even.length]);
    }
    // Off by less than a two-thousandth of the whole it is straight enough.
    const nearly = even.map((station, index) => ({ ...station, tipN: 100 + 0.04 * (index % 2) }));
    expect(stationsToWorkOut(places, nearly).length).toBeLessThan(60);
    const twice = even.map((station, index) => ({ ...station, lengthOutM: index === 7 ? 7 : station.lengthOutM }));
    expect(stationsToWorkOut(places, twice)).toEqual(even.map((_, index) => index));
  });
});
