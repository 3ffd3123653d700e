import { anyRig } from '../../../tests/anyRig';
import { plannedRig, pulls, trial, woundRig } from '../../../tests/rigFixture';
import { spoolStateAt } from '../../spool/loadedLine';
import { adviceForRig } from '../count/adviceForRig';
import { countMarks } from '../count/countMarks';
import { dragBases } from '../drag/dragBases';
import { compareFleet } from '../count/fleet';
import { countsAtLength, lengthsAtReadings, readCursor, rigView, viewFound, viewFrom, type ViewFound } from './rigView';
import { productStrength } from '../strength/strengthOfRig';

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
    expect(at.reading?.value).toBeCloseTo(state.turns * 0.174, 0);
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
      expect(readCursor(view, lengthOutM).reading.value).toBeCloseTo(reading, 3);
    }
    expect(lengthsAtReadings(view, [100000])).toEqual([]);
  });

  it('shows turns where there is no counter', () => {
    const rig = woundRig();
    const bare = viewOf({ ...rig, reel: { ...rig.reel, counter: null } });
    // Wound a little stretched, the line takes up to 1 % more turns than it is long.
    const perTurn = countsAtLength(bare, 40) / spoolStateAt(bare.ruler.best.line, 40).turns;
    expect(perTurn).toBeGreaterThan(1);
    expect(perTurn).toBeLessThan(1.01);
    expect(readCursor(bare, 40).reading.value).toBeCloseTo(countsAtLength(bare, 40), 6);
    expect(lengthsAtReadings(bare, [100])).toHaveLength(1);
  });

  it('is the same from what somebody else found for it', () => {
    for (let seed = 1; seed <= 12; seed += 1) {
      const rig = anyRig(seed);
      const plain = rigView(rig);
      const found = viewFound(rig);
      if (!plain || !found) continue;
      const { ruler, ...view } = viewFrom(rig, structuredClone(found));
      const { ruler: plainRuler, ...plainView } = plain;
      expect(view).toEqual({ ...plainView, counter: plain.counter && expect.anything() });
      for (const part of ['unknowns', 'correlation', 'conflicts', 'residuals', 'constantM', 'widened', 'best'] as const)
        expect(ruler[part]).toEqual(plainRuler[part]);
      expect(ruler.realise(found.ruler.fit.values)).toEqual(plainRuler.best);
    }
  });

  it('finds anew what was found for something else', () => {
    const other = viewFound(woundRig())?.ruler;
    for (let seed = 1; seed <= 12; seed += 1) {
      const rig = anyRig(seed);
      const plain = rigView(rig);
      const found = viewFound(rig);
      if (!plain || !found || !other || plain.ruler.observations.length === 0) continue;
      const { fit } = found.ruler;
      for (const ruler of [other, { ...other, fit: { ...fit, values: fit.values.map(() => NaN) } }]) {
        const { unknowns, conflicts } = viewFrom(rig, { ...found, ruler } satisfies ViewFound).ruler;
        expect(unknowns).toEqual(plain.ruler.unknowns);
        expect(conflicts).toEqual(plain.ruler.conflicts);
      }
    }
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
  const low = { ...woundRig(), trials: [trial(29)] };
  const adviceOf = (rig: ReturnType<typeof woundRig>) => {
    const advice = adviceForRig(viewOf(rig));
    if (!advice) throw new Error('a wound rig with a counter gets advice');
    return advice;
  };

  it('is none on a plan', () => {
    expect(adviceForRig(viewOf(plannedRig()))).toBeNull();
  });

  it('strips plain line, and will not touch a top shot of fixed length', () => {
    const { top, errorNow, worstNow } = adviceOf(low);
    expect(errorNow).toBeLessThan(-0.01);
    expect(top.ok && top.value.stripM.value).toBeGreaterThan(0);
    // Truer at 100 ft can be less true further out: both are said.
    expect(top.ok && top.value.worstAfter).toBeGreaterThan(worstNow);
    const fixed = woundRig({ segments: (low.load?.segments ?? []).map((s) => ({ ...s, lengthKnown: true })) });
    expect(adviceOf({ ...fixed, trials: [trial(29)] }).top).toMatchObject({ ok: false, reason: 'top-is-fixed' });
  });

  it('says what another fill would be, or why there is none', () => {
    const { reload } = adviceOf(low);
    if (reload.ok) {
      expect(Math.abs(reload.value.worstAfter)).toBeLessThan(Math.abs(adviceOf(low).worstNow));
      expect(reload.value.joins).toBe(2);
    } else {
      expect(['true-past-the-rim', 'cannot-be-true', 'little-to-gain']).toContain(reload.reason);
    }
    const allFixed = { ...low, segments: low.segments.map((segment) => ({ ...segment, lengthM: 30 })) };
    expect(adviceOf(allFixed).reload).toMatchObject({ ok: false, reason: 'no-free-segment' });
  });
});

describe('a fleet', () => {
  const [low, high] = [29, 31].map((reading, index) =>
    viewOf({ ...woundRig(), id: `r${index}`, name: `Rod ${index}`, trials: [trial(reading)] }),
  );

  it('says how far its rods lie apart, and what brings each in line', () => {
    if (!low || !high) throw new Error('two rods expected');
    const fleet = compareFleet([low, high], 30, 'true');
    expect(fleet.rods.map((rod) => rod.share < 1)).toEqual([
      true,
      fleet.rods[1]?.share !== undefined && fleet.rods[1].share < 1,
    ]);
    expect(fleet.spreadBefore).toBeGreaterThan(0.01);
    expect(fleet.spreadAfter).toBeLessThan(fleet.spreadBefore + 1e-12);
    // What is read, with its ±, of the line that the counter sees.
    for (const { reading, unitM, share, sharePlusMinus, notCountedM } of fleet.rods) {
      expect(share).toBeCloseTo((reading.value * unitM) / (30 - notCountedM), 12);
      expect(sharePlusMinus / share).toBeCloseTo(reading.plusMinus / reading.value, 12);
    }
    const [one, other] = fleet.rods.map((rod) => rod.sharePlusMinus);
    expect(fleet.spreadPlusMinus).toBeCloseTo(Math.hypot(one ?? 0, other ?? 0), 12);
    const hung = compareFleet([viewOf({ ...woundRig(), hangM: 2 })], 30, 'true').rods[0];
    expect(hung?.notCountedM).toBeCloseTo(2 + (fleet.rods[0]?.notCountedM ?? 0), 9);
    expect(fleet.rods[0]?.action.kind).toBe('strip');
    expect(compareFleet([low, high], 30, 'middle').wantedShare).toBeCloseTo(
      ((fleet.rods[0]?.share ?? 0) + (fleet.rods[1]?.share ?? 0)) / 2,
      9,
    );
  });

  it('leaves out what has no counter, no load, or not so much line, and says so', () => {
    const rig = woundRig();
    const bare = viewOf({ ...rig, reel: { ...rig.reel, counter: null } });
    const fleet = compareFleet([bare, viewOf(plannedRig()), viewOf(rig)], 5000, 'true');
    expect(fleet.rods).toEqual([]);
    expect(fleet.left.map((each) => each.why.reason)).toEqual([
      'fleet-no-counter',
      'fleet-not-loaded',
      'fleet-too-short',
    ]);
    expect(fleet.spreadBefore).toBe(0);
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
    expect(untested[1]).toMatchObject({ strengthN: null, why: { reason: 'basis-not-tested' } });
  });
});
