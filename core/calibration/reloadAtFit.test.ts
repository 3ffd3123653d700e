import { known as measured } from '../../tests/believedLoad';
import { drawUnknowns } from '../../tests/drawUnknowns';
import { normalDeviate, seededRandom } from '../../instruments/random';
import { countsForLine } from '../counter/counter';
import { ERRORS } from '../measurement/errors';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import { buildLoadedLine, spoolStateAt } from '../spool/loadedLine';
import { estimateCounter } from './estimateCounter';
import type { BelievedLoad } from './loadModel';
import { countsAt, type RealisedLoad } from './observations';
import { reloadAtFit } from './reloadAtFit';

const segment = (id: string, lengthM: number, lineDiameterM: number, packing: number) => ({
  ...{ id, name: id, lineId: id, lengthM, lineDiameterM, packing, wound: true },
  areaRelativeSd: 0.12,
  lengthRelativeSd: 0.003,
  windingStrain: { value: 0, sd: 1e-6 },
});
/** Packs a tenth tighter than believed, and its counter takes a turn for less line than the maker says. */
const TRUTH = { constantM: 0.1607, bulk: 1 / 1.1 };
const LINES = [
  ['backing', 120, 0.0004, 0.68],
  ['copper', 45, 0.0007, 0.62],
  ['top', 40, 0.00035, 0.68],
] as const;
const SPOOL = { arborDiameterM: 0.0314, widthM: 0.0286 };
const RIM_M = 0.0618;
const RANGE = { fromM: 18.288, toM: 76.2 };
const COUNTER = { unitM: 0.3048, display: 'rounds' as const };

const truly = (backingM: number) =>
  buildLoadedLine(
    SPOOL,
    LINES.map(([id, lengthM, lineDiameterM, packing]) => ({
      ...{ id, name: id, lineDiameterM, packing: packing / TRUTH.bulk, wound: true },
      lengthM: id === 'backing' ? backingM : lengthM,
    })),
  );
const readsAt = (line: ReturnType<typeof truly>, lengthM: number): number =>
  countsForLine(
    { turns: spoolStateAt(line, lengthM).turns, lengthM },
    { lengthPerTurnM: TRUTH.constantM, unitM: COUNTER.unitM, drive: 'spool' },
  );

/** Everything that a careful owner notes: two walks and the level. */
function fitted() {
  const line = truly(120);
  const believed: BelievedLoad = {
    arborDiameterM: measured(SPOOL.arborDiameterM, 0.005),
    widthM: measured(SPOOL.widthM, 0.005),
    fullDiameterM: measured(RIM_M, 0.003),
    constantM: measured(0.174, 0.04),
    counter: COUNTER,
    joint: null,
    segments: LINES.map(([id, lengthM, lineDiameterM, packing]) => segment(id, lengthM, lineDiameterM, packing)),
  };
  const walk = (trueLengthM: number) => ({
    ...{ kind: 'tape' as const, name: `walk ${trueLengthM}`, trueLengthM, lengthSdM: 0.05 },
    ...{ reading: readsAt(line, trueLengthM), goneSinceM: [0, 0, 0] },
  });
  const level = {
    ...{ kind: 'level' as const, name: 'level', afterSegment: 2, levelSdM: 0.0003, goneSinceM: [0, 0, 0] },
    levelBelowRimM: (RIM_M - line.fullDiameterM) / 2,
  };
  return estimateCounter(believed, [walk(30.48), walk(76.2), level]);
}

describe('the next load’s length, reckoned on the load as fitted', () => {
  it('makes the true counter true over the working range, where the line packs unlike what was believed', () => {
    const reload = reloadAtFit(fitted(), 'backing', RANGE);
    if (!reload.ok) throw new Error(reload.reason);
    const line = truly(reload.value.lengthM.value);
    const errors = Array.from({ length: 9 }, (_, index) => {
      const lengthM = RANGE.fromM + ((RANGE.toM - RANGE.fromM) * index) / 8;
      return (readsAt(line, lengthM) * COUNTER.unitM) / lengthM - 1;
    });
    expect(Math.abs(errors.reduce((sum, error) => sum + error, 0) / 9)).toBeLessThan(0.008);
    expect(reload.value.lengthM.plusMinus).toBeGreaterThan(1);
    expect(reload.value.levelBelowRimM.value).toBeGreaterThan(0);
  });

  it('says why there is none', () => {
    const estimate = fitted();
    expect(() => reloadAtFit(estimate, 'leader', RANGE)).toThrow(/no segment/);
    const next = (otherwise: Partial<RealisedLoad>) => ({
      ...estimate,
      realiseNext: (unknowns: readonly number[], anew: readonly number[]) => ({
        ...estimate.realiseNext(unknowns, anew),
        ...otherwise,
      }),
    });
    const high = next({ constantM: 0.4 });
    expect(reloadAtFit(high, 'backing', RANGE)).toMatchObject({ reason: 'reads-high-above-the-rim' });
    const over = next({ constantM: 0.19 });
    expect(reloadAtFit(over, 'backing', RANGE)).toMatchObject({ reason: 'true-past-the-rim' });
    const noRoom = next({ rimDiameterM: 0.02 });
    expect(reloadAtFit(noRoom, 'backing', RANGE)).toMatchObject({ reason: 'reads-high-above-the-rim' });
    const roller = { ...estimate, counter: { ...estimate.counter, drive: 'roller' as const } };
    expect(reloadAtFit(roller, 'backing', RANGE)).toMatchObject({ reason: 'roller-driven' });
  });

  it('lies under the rim by half of what the spool is smaller, at the length that it says', () => {
    const reload = reloadAtFit(fitted(), 'backing', RANGE);
    if (!reload.ok) throw new Error(reload.reason);
    const { lengthM, levelBelowRimM, after } = reload.value;
    expect(levelBelowRimM.value).toBeCloseTo((after.rimDiameterM - after.line.fullDiameterM) / 2, 9);
    const lengths = after.line.segments.map((each) => [each.id, each.lengthM]);
    expect(lengths[0]?.[1]).toBeCloseTo(lengthM.value, 9);
    // The others stay as they were wound.
    expect(Math.abs(Number(lengths[1]?.[1]) - 45)).toBeLessThan(1);
    expect(lengthM.mainlyFrom).not.toBeNull();
    expect(levelBelowRimM.mainlyFrom).not.toBeNull();
  });

  it('has the ± that plain draws of everything unknown give, another winding’s own included', () => {
    const estimate = fitted();
    const reload = reloadAtFit(estimate, 'backing', RANGE);
    if (!reload.ok) throw new Error(reload.reason);
    const random = seededRandom(31);
    const draw = drawUnknowns(estimate, random);
    const lengths: number[] = [];
    const levels: number[] = [];
    for (let made = 0; made < 400; made += 1) {
      const anew = estimate.anew.map(({ sd }) => sd * normalDeviate(random));
      const repeat = 1 + ERRORS.packingRepeatShare.sd * normalDeviate(random);
      const load = estimate.realiseNext(draw(), anew);
      const [lengthM, levelM] = trueAt(load, repeat);
      lengths.push(lengthM);
      levels.push(levelM);
    }
    // 400 draws tell an SD to 4 %; the answer bends a little over its own errors.
    expect(sdOf(lengths) / (reload.value.lengthM.plusMinus / PLUS_MINUS_SDS)).toBeGreaterThan(0.88);
    expect(sdOf(lengths) / (reload.value.lengthM.plusMinus / PLUS_MINUS_SDS)).toBeLessThan(1.12);
    expect(sdOf(levels) / (reload.value.levelBelowRimM.plusMinus / PLUS_MINUS_SDS)).toBeGreaterThan(0.88);
    expect(sdOf(levels) / (reload.value.levelBelowRimM.plusMinus / PLUS_MINUS_SDS)).toBeLessThan(1.12);
  });

  it('says by how much it would be past the rim, and where even the least line reads low', () => {
    const estimate = fitted();
    const next = (otherwise: Partial<RealisedLoad>) => ({
      ...estimate,
      realiseNext: (unknowns: readonly number[], anew: readonly number[]) => ({
        ...estimate.realiseNext(unknowns, anew),
        ...otherwise,
      }),
    });
    const over = reloadAtFit(next({ constantM: 0.19 }), 'backing', RANGE);
    if (over.ok || over.reason !== 'true-past-the-rim') throw new Error('past the rim');
    expect(over.figures.aboveRimM).toBeGreaterThan(0);
    expect(over.figures.aboveRimM).toBeLessThan(0.01);
    expect(reloadAtFit(next({ constantM: 0.05 }), 'backing', RANGE)).toMatchObject({
      reason: 'reads-low-with-the-least-line',
    });
    expect(() => reloadAtFit(estimate, 'backing', { fromM: 0, toM: 76.2 })).toThrow(/fromM/);
    expect(() => reloadAtFit(estimate, 'backing', { fromM: 18, toM: NaN })).toThrow(/toM/);
  });
});

const sdOf = (values: readonly number[]): number => {
  const mean = values.reduce((sum, each) => sum + each, 0) / values.length;
  return Math.sqrt(values.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (values.length - 1));
};

/** The backing at which a load reads true on average, and the level then: by halving, on a line built anew each time. */
function trueAt(load: RealisedLoad, repeat: number): readonly [lengthM: number, levelM: number] {
  const lineWith = (lengthM: number) =>
    buildLoadedLine(
      load.line.spool,
      load.line.segments.map((each) => ({
        ...each,
        packing: each.packing / repeat,
        lengthM: each.id === 'backing' ? lengthM : each.lengthM,
      })),
    );
  const off = (lengthM: number): number => {
    const line = lineWith(lengthM);
    let sum = 0;
    for (let at = 0; at < 9; at += 1) {
      const outM = RANGE.fromM + ((RANGE.toM - RANGE.fromM) * at) / 8;
      sum += (countsAt({ ...load, line }, outM, COUNTER.unitM) * COUNTER.unitM) / outM - 1;
    }
    return sum;
  };
  let [low, high] = [1, 600];
  for (let step = 0; step < 30; step += 1) {
    const middle = (low + high) / 2;
    if (off(middle) > 0) low = middle;
    else high = middle;
  }
  return [low, (load.rimDiameterM - lineWith(low).fullDiameterM) / 2];
}
