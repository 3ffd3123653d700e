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
});
