import { known as measured } from '../../tests/believedLoad';
import { countsForLine } from '../counter/counter';
import { buildLoadedLine, spoolStateAt } from '../spool/loadedLine';
import { estimateCounter } from './estimateCounter';
import type { BelievedLoad } from './loadModel';
import type { RealisedLoad } from './observations';
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
});
