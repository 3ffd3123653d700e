import { normalDeviate, seededRandom } from '../../../instruments/random';
import { leverBracket, planerBracket } from './planerBracket';
import { planerConflicts } from './planerConflicts';
import { PLANER_SPEED_MS, type Creep, type HandPull, type LeverLook } from './planerLooks';
import { withSlips, type LookInLogs, type PlanerCell } from './planerPosterior';

/**
 * The model of looks once more in plain draws from its priors, each weighed by its likelihood: no grid, no table and no code of the bracket.
 * The normal distribution is that of Abramowitz and Stegun 26.2.17, good to 7.5e-8.
 */
function under(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const series = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * series;
  return z >= 0 ? 1 - tail : tail;
}
const slips = (chance: number): number => 0.98 * chance + 0.02 / 3;
function seen(creep: Creep, margin: number): number {
  const [none, much] = [under(margin / 0.12), under((-margin - 0.15) / 0.12)];
  return slips({ none, much, some: Math.max(1 - none - much, 0) }[creep]);
}
function felt(pull: HandPull, margin: number): number {
  const [freely, fast] = [under((-margin - 0.4) / 0.5), under((margin - 0.4) / 0.5)];
  return slips({ freely, 'not at all': fast, reluctantly: Math.max(1 - freely - fast, 0) }[pull]);
}

interface Draw {
  readonly value: number;
  readonly weight: number;
}
/** Places of 5, 50 and 95 % among draws. */
function shares(draws: readonly Draw[]): readonly number[] {
  const sorted = draws.toSorted((a, b) => a.value - b.value);
  const total = sorted.reduce((sum, { weight }) => sum + weight, 0);
  return [0.05, 0.5, 0.95].map((share) => {
    let sum = 0;
    return sorted.find(({ weight }) => (sum += weight) >= share * total)?.value ?? NaN;
  });
}
const close = (range: { low: number; mid: number; high: number }, expected: readonly number[], within: number): void =>
  [range.low, range.mid, range.high].forEach((is, at) => {
    expect(Math.abs(Math.log(is) - (expected[at] ?? NaN))).toBeLessThan(within);
  });

const DRAWS = 60_000;
const base = { speedMS: PLANER_SPEED_MS, water: 'ordinary' as const, isSet: true };
const LOOKS: readonly LeverLook[] = [
  { ...base, position: 0.35, creep: 'much', outing: 'a' },
  { ...base, position: 0.55, creep: 'none', outing: 'a', speedMS: 0.9 * PLANER_SPEED_MS },
  { ...base, position: 0.5, creep: 'some', outing: 'b' },
  { ...base, position: 0.62, creep: 'some', outing: 'b', water: 'hard' },
  { ...base, position: 0.3, creep: 'none', outing: 'b', isSet: false },
];

describe('the bracket against plain draws of its model', () => {
  const random = seededRandom(5);
  const normal = (mean: number, sd: number): number => mean + sd * normalDeviate(random);
  const speed = (look: { speedMS: number }): number => 2 * Math.log(look.speedMS / PLANER_SPEED_MS);

  it('has the same lever place, slope, sea and place at another speed and water', () => {
    const places: Record<'stop' | 'slope' | 'sea' | 'faster', Draw[]> = { stop: [], slope: [], sea: [], faster: [] };
    for (let draw = 0; draw < DRAWS; draw += 1) {
      const lnStop = normal(Math.log(0.5), 0.6);
      const lnSlope = normal(Math.log(1.5), Math.log(1.42));
      const sea = normal(0.25, 0.25);
      const start = [0.013, 0.067, 0.04][draw % 3] ?? 0;
      const hold = (lnPlace: number): number => Math.log(start + (1 - start) * Math.exp(Math.exp(lnSlope) * lnPlace));
      const days: Record<string, number> = { a: normal(0, 0.1), b: normal(0, 0.1) };
      let weight = felt('reluctantly', hold(Math.log(0.6)) - hold(lnStop));
      for (const look of LOOKS.filter(({ isSet }) => isSet)) {
        const adds = (look.water === 'hard' ? sea : 0) + (days[look.outing ?? ''] ?? 0) + speed(look);
        weight *= seen(look.creep, hold(Math.log(look.position)) - hold(lnStop) - adds);
      }
      const needed = hold(lnStop) + 2 * Math.log(1.15) + sea + normal(0, 0.1);
      const place = Math.log(Math.max((Math.exp(needed) - start) / (1 - start), 1e-9)) / Math.exp(lnSlope);
      places.stop.push({ value: lnStop, weight });
      places.slope.push({ value: lnSlope, weight });
      places.sea.push({ value: sea, weight });
      places.faster.push({ value: place, weight });
    }
    const found = leverBracket(LOOKS, [{ position: 0.6, pull: 'reluctantly' }]);
    expect(found.counted).toBe(5);
    close(found.stops, shares(places.stop), 0.012);
    // Neighbouring slopes take turns with the starts of a lever: that costs a tenth of the slope's own SD, and the sea's, and nothing of the place's.
    close(found.slope, shares(places.slope), 0.045);
    close(found.hardSea, shares(places.sea), 0.035);
    close(found.placeFor(1.15 * PLANER_SPEED_MS, 'hard'), shares(places.faster), 0.03);
    const { lnStop, sea } = found.carried;
    const [low = 0, mid = 0, high = 0] = shares(places.stop);
    expect(lnStop.mean).toBeCloseTo(mid, 1);
    expect(lnStop.sd).toBeCloseTo(Math.hypot((high - low) / 3.29, Math.log(1.4)), 1);
    expect(sea.sd).toBeLessThan(0.25);
  });

  it('has the same pull in newtons, of which a scale ashore keeps its share to itself', () => {
    const observations = [
      { ...base, holdsN: 110, creep: 'much' as const, outing: 'a' },
      { ...base, holdsN: 190, creep: 'none' as const, outing: 'a' },
      { ...base, holdsN: 150, creep: 'some' as const, outing: 'b', speedMS: 1.05 * PLANER_SPEED_MS },
      { ...base, holdsN: 200, creep: 'some' as const, outing: 'b', water: 'hard' as const },
    ];
    const pulls: Draw[] = [];
    for (let draw = 0; draw < DRAWS; draw += 1) {
      const lnPull = normal(Math.log(150), 0.8);
      const stop = lnPull + 0.15 + normal(0, 0.17);
      const sea = normal(0.25, 0.25);
      const days: Record<string, number> = { a: normal(0, 0.1), b: normal(0, 0.1) };
      let weight = 1;
      for (const look of observations) {
        const adds = (look.water === 'hard' ? sea : 0) + (days[look.outing] ?? 0) + speed(look);
        weight *= seen(look.creep, Math.log(look.holdsN) - stop - adds);
      }
      pulls.push({ value: lnPull, weight });
    }
    const found = planerBracket(observations);
    if (!found.ok) throw new Error(found.reason);
    const { lowN, midN, highN, counted } = found.value;
    expect(counted).toBe(4);
    close({ low: lowN, mid: midN, high: highN }, shares(pulls), 0.03);
  });
});

describe('looks that contradict', () => {
  const cell = (lnStop: number, weight: number): PlanerCell => ({ slope: 1, start: 0, sea: 0.3, lnStop, weight });
  const look = (creep: Creep, lnPlace: number, change: Partial<LookInLogs> = {}): LookInLogs => ({
    ...{ creep, lnPlace, speedLog: 0, isHard: false, outing: 0, ...change },
  });
  /** Of one look on any day: its own scatter and the day's add up. */
  const none = (margin: number): number => under(margin / Math.hypot(0.12, 0.1));

  it('are named under five in a hundred, shared between all looks, the worst first and under the number that they were given', () => {
    const looks = [look('none', -0.28), look('none', -0.4), look('none', 0.5)];
    const found = planerConflicts(looks, [cell(0, 1)], [4, 7, 9]);
    // -0.28 has a chance of 3.7 in a hundred, and would be named alone.
    expect(found).toEqual([{ look: 7, chance: expect.any(Number) as number, worst: true }]);
    expect((found[0]?.chance ?? NaN) / none(-0.4)).toBeCloseTo(1, 1);
    const both = planerConflicts([look('none', -0.34), look('none', -0.4)], [cell(0, 1)], [0, 1]);
    expect(both.map(({ look: at, worst }) => [at, worst])).toEqual([
      [1, true],
      [0, false],
    ]);
    expect(planerConflicts([look('none', -1)], [cell(0, 1)], [0])).toEqual([]);
  });

  it('count what speed and a hard sea ask for', () => {
    const other = look('none', 1);
    const chance = (change: Partial<LookInLogs>): number =>
      planerConflicts([look('none', 0, change), other], [cell(0, 1)], [0, 1])[0]?.chance ?? NaN;
    expect(chance({ isHard: true, speedLog: 0.05 }) / none(-0.35)).toBeCloseTo(1, 1);
    expect(chance({ speedLog: 0.4 }) / none(-0.4)).toBeCloseTo(1, 1);
  });

  it('are held against the others alone: each cell is weighed anew without them', () => {
    const [far, near] = [none(-0.6), none(-0.35)];
    const [without, kept] = [0.5 / slips(far), 0.5 / slips(near)];
    const expected = (without * far + kept * near) / (without + kept);
    const found = planerConflicts([look('none', -0.35), look('none', 1)], [cell(0.25, 0.5), cell(0, 0.5)], [0, 1]);
    expect((found[0]?.chance ?? NaN) / expected).toBeCloseTo(1, 1);
  });
});

describe('a slip of the pen', () => {
  it('writes down any of the three in two of a hundred looks, and takes that from what was seen', () => {
    const seen = [0.7, 0.1, 0.2].map(withSlips);
    expect(seen.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 12);
    expect(withSlips(0)).toBeCloseTo(0.02 / 3, 12);
    expect(withSlips(1)).toBeCloseTo(1 - (2 * 0.02) / 3, 12);
  });
});
