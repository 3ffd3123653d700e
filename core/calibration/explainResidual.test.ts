import { believedLoad, shownAt, walkOf } from '../../tests/believedLoad';
import { buildLoadedLine } from '../spool/loadedLine';
import { estimateCounter, type CounterResidual } from './estimateCounter';
import { explainResidual } from './explainResidual';
import { countsAt, type CounterObservation } from './observations';

const SPOOL = { arborDiameterM: 0.032, widthM: 0.029 };
const line = () =>
  buildLoadedLine(SPOOL, [
    { id: 'nylon', name: 'nylon', lengthM: 220, lineDiameterM: 0.0004, packing: 0.68, wound: true },
  ]);
function fitted() {
  const load = line();
  return estimateCounter(believedLoad(load), [
    walkOf(shownAt(load, 0.18, 30.48)),
    walkOf(shownAt(load, 0.18, 60.96), 60.96),
  ]);
}
const residual = (observation: CounterObservation, change: Partial<CounterResidual>): CounterResidual => ({
  ...{ observation, expected: 100, off: 0, offSds: 5 },
  ...change,
});

describe('what would explain a piece that does not fit', () => {
  it('is nothing under three SDs, and something from there on', () => {
    const estimate = fitted();
    const turns: CounterObservation = { kind: 'turns', name: 'turns', turns: 100, reading: 60, betweenFlips: true };
    expect(explainResidual(estimate, residual(turns, { offSds: 2.999, off: 3 }))).toBeNull();
    expect(explainResidual(estimate, residual(turns, { offSds: -3, off: -3 }))).toMatchObject({
      ...{ diameterChangeM: null, zeroedLateM: null },
      why: { reason: 'turns-misfit', figures: { off: -3 } },
    });
  });

  it('of a level and of a winding is how far they are off', () => {
    const estimate = fitted();
    const level: CounterObservation = {
      ...{ kind: 'level', name: 'level', afterSegment: 0, levelBelowRimM: 0.002, levelSdM: 0.0003, goneSinceM: [0] },
    };
    expect(explainResidual(estimate, residual(level, { off: 0.0021 }))?.why).toMatchObject({
      ...{ reason: 'level-misfits', figures: { offM: 0.0021 } },
    });
    const log: CounterObservation = {
      ...{ kind: 'wound', name: 'log', segment: 0, fromShare: 0, toShare: 1, reading: 700, goneSinceM: [0] },
    };
    expect(explainResidual(estimate, residual(log, { off: -12 }))?.why).toMatchObject({
      ...{ reason: 'wound-misfits', figures: { off: -12 } },
    });
  });

  it('of a walk is another spool, or a zero set late by the line between what was read and where that reads', () => {
    const estimate = fitted();
    const expected = countsAt(estimate.best, 30.48, 0.3048);
    const late = countsAt(estimate.best, 28.48, 0.3048);
    const found = explainResidual(estimate, residual(walkOf(late), { expected, off: late - expected }));
    expect(found?.zeroedLateM).toBeCloseTo(2, 2);
    // Fewer counts for the same line want a larger spool, by as much.
    const change = estimate.best.line.fullDiameterM * (expected / late - 1);
    expect(found?.diameterChangeM).toBeCloseTo(change, 12);
    expect(change).toBeGreaterThan(0.002);
    expect(found?.why).toMatchObject({ reason: 'walk-zeroed-late' });
    expect((found?.why.figures as { zeroedLateM: number }).zeroedLateM).toBeCloseTo(2, 2);
  });

  it('of more than all the line reads is another spool alone', () => {
    const estimate = fitted();
    const expected = countsAt(estimate.best, 30.48, 0.3048);
    const found = explainResidual(estimate, residual(walkOf(5000), { expected, off: 5000 - expected }));
    expect(found).toMatchObject({ zeroedLateM: null, why: { reason: 'walk-needs-other-spool' } });
    expect(found?.diameterChangeM).toBeLessThan(0);
    expect((found?.why.figures as { diameterChangeM: number }).diameterChangeM).toBe(found?.diameterChangeM);
  });
});
