import { plannedRig, trial, woundRig } from '../../../tests/rigFixture';
import { counterEstimate } from '../counter/counterEvidence';
import { currentLine, validTrial } from './currentLine';
import { wasLogged } from '../counter/loadObservations';
import type { RigRecord } from '../../record/record';
import { counterOf } from './counterOf';

const lineOf = (rig: ReturnType<typeof woundRig>) => {
  const current = currentLine(rig);
  if (!current.ok) throw new Error(current.reason);
  return current.value;
};

describe('currentLine', () => {
  it('is the plan until something is wound', () => {
    const current = lineOf(plannedRig());
    expect(current.state).toBe('planned');
    expect(current.line.fullDiameterM).toBeCloseTo(0.0618 - 0.004, 10);
  });

  it('is what was wound, packed to the level that was measured', () => {
    const asPlanned = lineOf(woundRig());
    expect(asPlanned.state).toBe('wound');
    expect(asPlanned.packingFactor).toBeCloseTo(1, 2);
    const tighter = lineOf(woundRig({ levelBelowRimM: 0.003 }));
    expect(tighter.packingFactor).toBeGreaterThan(1.02);
    expect(tighter.line.fullDiameterM).toBeCloseTo(0.0618 - 0.006, 9);
  });

  it('follows a deviation that was noted: stopped short means less line', () => {
    const rig = woundRig();
    const entries = rig.load?.winding ?? [];
    const early = woundRig({
      winding: entries.map((e, i) => (i === 0 ? { ...e, reading: (e.reading ?? 0) + 30 } : e)),
    });
    const [planned] = lineOf(rig).line.segments;
    const [short] = lineOf(early).line.segments;
    expect((planned?.lengthM ?? 0) - (short?.lengthM ?? 0)).toBeGreaterThan(15);
  });

  it('keeps a known length whatever the counter said', () => {
    const rig = woundRig();
    const odd = woundRig({ winding: (rig.load?.winding ?? []).map((e, i) => (i === 1 ? { ...e, reading: 900 } : e)) });
    expect(lineOf(odd).line.segments[1]?.lengthM).toBe(27.432);
  });

  it('loses what was lost, up to a whole top shot', () => {
    const change = (changeM: number) => ({
      id: 'c',
      segmentId: 's2',
      changeM,
      reason: 'lost' as const,
      note: '',
      at: '2026-03-02T10:00:00.000Z',
    });
    const before = lineOf(woundRig());
    const snagged = lineOf(woundRig({ changes: [change(-14)] }));
    expect(before.line.totalLengthM - snagged.line.totalLengthM).toBeCloseTo(14, 9);
    expect(snagged.line.fullDiameterM).toBeLessThan(before.line.fullDiameterM);
    const topM = before.line.segments[2]?.lengthM ?? 0;
    expect(lineOf(woundRig({ changes: [change(-topM)] })).line.segments).toHaveLength(2);
  });

  it('has reasons instead of a line', () => {
    expect(currentLine({ ...plannedRig(), segments: [] })).toMatchObject({ ok: false, reason: 'no-segments' });
  });

  it('leaves out a level that no line can give, and names it', () => {
    const levels = [{ id: 'typed', segmentId: 's2', levelBelowRimM: -0.015, at: '2026-03-01T10:00:00.000Z' }];
    const odd = lineOf(woundRig({ levelBelowRimM: -0.015, levels }));
    expect(odd).toMatchObject({ levelMeasured: false, packingFactor: 1, heldOutLevels: levels });
    expect(odd.line).toEqual(lineOf(woundRig({ levelBelowRimM: null })).line);
  });
});

describe('what is known of the counter', () => {
  const estimate = (rig: RigRecord) => {
    const current = currentLine(rig);
    const counter = current.ok ? counterEstimate(rig, current.value) : null;
    if (!counter) throw new Error('the fixture has a counter');
    return counter;
  };
  const lost = woundRig({
    changes: [{ id: 'c', segmentId: 's2', changeM: -5, reason: 'lost', note: '', at: '2026-03-02T10:00:00.000Z' }],
  });

  it('is the maker’s word on a plan, and the winding log, levels and walks once it is wound', () => {
    expect(estimate(plannedRig()).observations.map((each) => each.name)).toEqual(['the level as planned']);
    expect(estimate(plannedRig()).constantM.source).toBe('maker');
    const kinds = (rig: RigRecord): readonly string[] => estimate(rig).observations.map((each) => each.kind);
    expect(kinds(woundRig())).toEqual(['wound', 'wound', 'wound', 'level']);
    expect(kinds({ ...woundRig(), trials: [trial(31)] })).toEqual(['wound', 'wound', 'wound', 'level', 'tape']);
  });

  it('keeps a walk of the line as it was before some of it was lost', () => {
    const walked = estimate({ ...lost, trials: [trial(31)] }).observations.at(-1);
    expect(walked).toMatchObject({ kind: 'tape', goneSinceM: [0, 0, 5] });
    expect(validTrial({ ...lost, trials: [trial(31)] })).toBeNull();
    expect(validTrial({ ...lost, trials: [trial(31, 30, '2026-03-03T10:00:00.000Z')] })).not.toBeNull();
  });

  it('leaves out what was seen of a segment that has been replaced', () => {
    const at = '2026-03-02T10:00:00.000Z';
    const swap = { id: 'r', segmentId: 's2', productId: 'top', lengthM: 30, windOnId: null, note: '', at };
    const names = estimate({ ...woundRig({ replacements: [swap] }), trials: [trial(31)] }).observations.map(
      (o) => o.name,
    );
    expect(names.some((name) => name.includes('Top shot') || name === 'walk')).toBe(false);
    expect(names).toHaveLength(2);
  });

  it('may be accepted without a walk where the winding was logged, until line is lost', () => {
    expect(wasLogged(woundRig())).toBe(true);
    expect(wasLogged(lost)).toBe(false);
    expect(wasLogged(plannedRig())).toBe(false);
  });

  it('counts spool turns whatever has become of the line', () => {
    const turns = { ...trial(114), kind: 'turns' as const, turns: 200, trueLengthM: null, betweenFlips: true };
    expect(estimate({ ...lost, trials: [turns] }).observations.at(-1)).toMatchObject({ kind: 'turns', turns: 200 });
  });

  it('does not take a walk of another load for this one', () => {
    expect(validTrial({ ...woundRig(), trials: [{ ...trial(31), loadId: 'older' }] })).toBeNull();
    expect(validTrial({ ...plannedRig(), trials: [trial(31)] })).toBeNull();
  });

  it('goes by what all tests of the reel say, not by what one of them was accepted as', () => {
    const calibration = {
      id: 'k',
      loadId: 'older',
      method: 'card' as const,
      lengthPerTurnM: { value: 0.18, sd: 0.001, source: 'measured' as const },
      basis: {},
      at: '',
    };
    const lengthPerTurnM = { value: 0.171, sd: 0.001, source: 'learned' as const };
    const knowledge = { ...plannedRig().knowledge, lengthPerTurnM };
    expect(counterOf({ ...plannedRig(), calibration, knowledge })?.lengthPerTurnM).toBe(0.171);
    expect(counterOf({ ...plannedRig(), calibration })?.lengthPerTurnM).toBe(0.174);
    expect(counterOf({ ...plannedRig(), reel: { ...plannedRig().reel, counter: null } })).toBeNull();
  });
});
