import { plannedRig, pulls, trial, woundRig } from '../../tests/rigFixture';
import { spoolStateAt } from '../spool/loadedLine';
import { adviceForRig } from './adviceForRig';
import { countMarks } from './countMarks';
import { dragBases } from './dragBases';
import { lengthsAtReadings, readCursor, rigView, turnsPerCount } from './rigView';
import { productStrength } from './strengthOfRig';

function viewOf(rig: ReturnType<typeof woundRig>) {
  const view = rigView(rig);
  if (!view) throw new Error('the fixture has no view');
  return view;
}

describe('the cursor', () => {
  const view = viewOf(woundRig());

  it('reads all lenses at one place', () => {
    const at = readCursor(view, 75);
    expect(at.segmentAtTip).toBe('Lead core');
    // 15 m into 27.4 m of lead core, colours from the arbor: orange, black, green; green leaves first.
    expect(at.colourAtTip).toBe('black');
    const state = spoolStateAt(view.current.line, 75);
    expect(at.diameterM).toBeCloseTo(state.diameterM, 12);
    expect(at.reading?.value).toBeCloseTo(state.turns * 0.174, 6);
    expect(at.dragFactor).toBeCloseTo(view.current.line.fullDiameterM / state.diameterM, 12);
    expect(at.tipForceN).toBeNull();
  });

  it('stays on the line', () => {
    expect(readCursor(view, -5)).toMatchObject({ lengthOutM: 0, segmentAtTip: 'Top shot', colourAtTip: null });
    expect(readCursor(view, 1e6).lengthOutM).toBeCloseTo(view.current.line.totalLengthM, 9);
    expect(readCursor(view, 60.5).colourAtTip).toBe('green');
    expect(readCursor(view, 87).colourAtTip).toBe('orange');
  });

  it('has a counter’s ruler that is the inverse of the reading', () => {
    for (const { reading, lengthOutM } of lengthsAtReadings(view, [0, 20, 80, 150])) {
      expect(readCursor(view, lengthOutM).reading?.value).toBeCloseTo(reading, 6);
    }
    expect(lengthsAtReadings(view, [100000])).toEqual([]);
  });

  it('shows turns where there is no counter', () => {
    const rig = woundRig();
    const bare = viewOf({ ...rig, reel: { ...rig.reel, counter: null } });
    expect(turnsPerCount(bare)).toBe(1);
    expect(readCursor(bare, 40).reading).toBeNull();
    expect(lengthsAtReadings(bare, [100])).toHaveLength(1);
  });

  it('is null for a rig without line', () => {
    expect(rigView({ ...plannedRig(), segments: [] })).toBeNull();
  });
});

describe('countMarks', () => {
  const view = viewOf({ ...woundRig(), trials: [trial(31)] });
  const marks = countMarks(view, [20, 80, 5000]);

  it('lists joins and colours between round lengths, in order', () => {
    expect(marks.map((mark) => mark.kind)).toEqual(['length', 'join', 'colour', 'colour', 'length', 'join']);
    expect(marks[2]?.name).toBe('Lead core: green is out');
    expect(marks[2]?.lengthOutM).toBeCloseTo((marks[1]?.lengthOutM ?? 0) + 9.144, 9);
  });

  it('sets the winding log beside the model: turns are conserved, so both agree on a load wound as planned', () => {
    const plain = countMarks(viewOf(woundRig()), []);
    for (const mark of plain.filter((candidate) => candidate.kind === 'join')) {
      // Whole counts were noted, one rounding a segment.
      expect(Math.abs((mark.loggedReading ?? NaN) - mark.reading.value)).toBeLessThan(2);
    }
  });

  it('does not use the log once line was lost', () => {
    const lost = woundRig({
      changes: [{ id: 'c', segmentId: 's2', changeM: -5, reason: 'lost', note: '', at: '2026-03-02T10:00:00.000Z' }],
    });
    expect(countMarks(viewOf(lost), []).every((mark) => mark.loggedReading === null)).toBe(true);
  });
});

describe('adviceForRig', () => {
  it('needs a walk of the line as it is', () => {
    expect(adviceForRig(woundRig())).toMatchObject({ ok: false, reason: 'no-trial' });
  });

  it('strips plain line, and will not touch a top shot of fixed length', () => {
    const low = { ...woundRig(), trials: [trial(29)] };
    const advice = adviceForRig(low);
    expect(advice.ok && advice.value.stripM.value).toBeGreaterThan(0);
    const fixed = woundRig({ segments: (low.load?.segments ?? []).map((s) => ({ ...s, lengthKnown: true })) });
    expect(adviceForRig({ ...fixed, trials: [trial(29)] })).toMatchObject({ ok: false, reason: 'top-is-fixed' });
    expect(adviceForRig({ ...fixed, trials: [trial(30)] })).toMatchObject({ ok: false, reason: 'already-true' });
  });
});

describe('strength and drag bases', () => {
  it('believe a mean from three pulls, a label before', () => {
    const rig = { ...woundRig(), strengthTests: [pulls('nylon', [140, 142])] };
    expect(productStrength(rig, 'nylon').strengthN).toMatchObject({ value: 103, source: 'label' });
    const three = { ...rig, strengthTests: [pulls('nylon', [140, 142, 141])] };
    expect(productStrength(three, 'nylon').strengthN).toMatchObject({ value: 141, source: 'measured' });
  });

  it('stand side by side, each with what it is of or why it is not known', () => {
    const rig = {
      ...woundRig(),
      strengthTests: [pulls('nylon', [140, 142, 141]), pulls('lead', [80, 82, 81]), pulls('top', [85, 84, 86])],
    };
    const [weakest, tested, label] = dragBases(rig, viewOf(rig).current.line);
    expect(weakest).toMatchObject({ basis: 'weakest', of: 'sheath over mono, overhand (Backing – Lead core)' });
    expect(weakest?.strengthN?.value).toBeCloseTo(81 * 0.75, 9);
    expect(tested).toMatchObject({ basis: 'tested', of: 'Lead core' });
    expect(label).toMatchObject({ of: 'Top shot', strengthN: { value: 58 } });
    const untested = dragBases(woundRig(), viewOf(woundRig()).current.line);
    expect(untested[1]).toMatchObject({ strengthN: null, reason: expect.stringContaining('not every line') });
  });
});
