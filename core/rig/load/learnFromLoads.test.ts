import { plannedRig, withEvidence, woundRig } from '../../../tests/rigFixture';
import { colourChecks, constantFromColours } from '../line/colourChecks';
import { comparedPlan } from './comparePlans';
import { currentLine } from '../line/currentLine';
import { planForRig } from '../line/planForRig';
import { adviceOnPlan, kitOfRig } from './plannedLoad';
import type { FinishedLoadRecord, RigRecord } from '../../record/record';
import { topShotCare } from './topShotCare';
import { wantedLines } from './wantedLine';
import { windingOutlook } from '../line/windingOutlook';
import { woundLengths } from './woundLengths';
import { woundSoFar } from '../line/woundSoFar';

/** The fixture's load as evidence for its own reel. */
function finished(rig: RigRecord): FinishedLoadRecord {
  if (!rig.load) throw new Error('the fixture is not loaded');
  return { reelId: rig.reel.id, rigName: rig.name, load: rig.load };
}

describe('what loads teach', () => {
  it('narrows the next plan and says by which evidence', () => {
    const rig = woundRig({ levelBelowRimM: 0.0026 });
    const learned = withEvidence(rig, { loads: [finished(rig)] });
    expect(rig.knowledge.depth).toBe('measured');
    expect(learned.knowledge).toMatchObject({ depth: 'learned', loadsSeen: 1 });
    expect(learned.knowledge.evidence.map((each) => each.kind)).toEqual(expect.arrayContaining(['level', 'turns']));
    const plusMinus = (record: RigRecord): number => {
      const plan = planForRig(record, 0.002);
      return plan.ok ? (plan.value.segments[0]?.lengthM.plusMinus ?? NaN) : NaN;
    };
    expect(plusMinus(learned)).toBeLessThan(0.75 * plusMinus(rig));
  });

  it('takes a lower level than planned for line that packs tighter', () => {
    const rig = woundRig({ levelBelowRimM: 0.0035 });
    const learned = withEvidence(rig, { loads: [finished(rig)] });
    const backing = learned.products.find((product) => product.id === 'nylon');
    expect(backing?.packing.value).toBeGreaterThan(0.66);
    expect(backing?.packing.source).toBe('learned');
  });

  it('forgets what came before a reset, and nothing else', () => {
    const rig = woundRig();
    const resets = new Map([[rig.reel.id, '2026-03-02T00:00:00.000Z']]);
    const forgotten = withEvidence(rig, { loads: [finished(rig)], resets });
    expect(forgotten.knowledge).toMatchObject({ depth: 'measured', loadsSeen: 0 });
    const earlier = new Map([[rig.reel.id, '2026-02-01T00:00:00.000Z']]);
    expect(withEvidence(rig, { loads: [finished(rig)], resets: earlier }).knowledge.loadsSeen).toBe(1);
  });

  it('counts a reverse fill as a capacity', () => {
    const rig = plannedRig();
    const fill = {
      id: 'f',
      reelId: rig.reel.id,
      levelBelowRimM: 0.002,
      evenTension: true,
      laidBy: null,
      tensionN: null,
      note: '',
      at: '2026-03-01T10:00:00.000Z',
      segments: [
        { productId: 'top', lengthM: 60 },
        { productId: 'nylon', lengthM: 190 },
      ],
    };
    expect(withEvidence(rig, { reverseFills: [fill] }).knowledge).toMatchObject({ depth: 'learned', loadsSeen: 1 });
  });

  it('knows a reel by its ratings alone, widely', () => {
    const { reel, ...rest } = plannedRig();
    const guess = (value: number) => ({ value, sd: 0.15 * value, source: 'default' as const });
    const rated: RigRecord = withEvidence({
      ...rest,
      reel: {
        ...reel,
        measured: { arborDiameterM: null, widthM: null, fullDiameterM: null, sdM: 0.0002 },
        arborDiameterM: guess(0.031),
        widthM: guess(0.029),
        fullDiameterM: guess(0.06),
        ratings: [
          { label: 'a', lineDiameterM: 0.0004, lengthM: 300 },
          { label: 'b', lineDiameterM: 0.00035, lengthM: 400 },
        ],
      },
    });
    expect(rated.knowledge.depth).toBe('ratings');
    const [known, wide] = [planForRig(plannedRig(), 0.002), planForRig(rated, 0.002)];
    expect(known.ok && wide.ok && wide.value.levelBelowRimM.plusMinus).toBeGreaterThan(
      known.ok ? known.value.levelBelowRimM.plusMinus : NaN,
    );
  });
});

describe('colour changes while winding', () => {
  const winding = woundRig({ status: 'winding', finishedAt: null, levelBelowRimM: null });
  const begun: RigRecord = {
    ...winding,
    load: winding.load && { ...winding.load, winding: winding.load.winding.slice(0, 1) },
  };
  const checks = () => windingOutlook(begun)?.colours.s1 ?? [];

  it('are expected in the order of this spool', () => {
    expect(checks().map((check) => [check.colour, check.nextColour])).toEqual([
      ['orange', 'black'],
      ['black', 'green'],
    ]);
    expect(checks()[0]?.expectedReading).toBeGreaterThan(checks()[1]?.expectedReading ?? NaN);
  });

  it('correct the counter and every stop that follows', () => {
    const [first] = checks();
    // Five per cent more counts than expected at the first change.
    const reading = 1000 - Math.round((first?.expectedCounts ?? NaN) * 1.05);
    const load = begun.load;
    if (!load) throw new Error('the fixture is not winding');
    const noted: RigRecord = {
      ...begun,
      load: {
        ...load,
        colourReadings: [{ id: 'c', segmentId: 's1', coloursOn: 1, reading, at: '2026-03-01T10:05:00.000Z' }],
      },
    };
    const after = windingOutlook(noted);
    expect(after?.correctedConstantM?.value).toBeGreaterThan(0.174);
    expect(after?.correctedConstantM?.sd).toBeLessThan(0.04 * 0.174);
    const stop = (outlook: ReturnType<typeof windingOutlook>): number =>
      outlook?.remaining.find((segment) => segment.segmentId === 's2')?.stopReading ?? NaN;
    expect(stop(after)).toBeLessThan(stop(windingOutlook(begun)));
    expect(constantFromColours(begun, checks())).toBeNull();
  });

  it('are not there for other lines or without a counter', () => {
    const outlook = windingOutlook(begun);
    expect(outlook?.colours.s0).toEqual([]);
    const { load } = begun;
    const lead = load?.segments[1];
    if (!outlook || !lead) throw new Error('the fixture is broken');
    expect(colourChecks({ ...begun, reel: { ...begun.reel, counter: null } }, lead, outlook.line)).toEqual([]);
  });

  it('say how much is on by a reading on the way', () => {
    const outlook = windingOutlook(begun);
    const lead = begun.load?.segments[1];
    if (!outlook || !lead) throw new Error('the fixture is broken');
    const half = woundSoFar(begun, outlook.line, lead, 985);
    expect(half?.lengthM).toBeGreaterThan(10);
    expect(half?.lengthM).toBeLessThan(18);
    expect(half?.layer).toBeLessThanOrEqual((half?.layers ?? 0) + 1);
    expect(woundSoFar(begun, outlook.line, lead, 0)).toBeNull();
  });
});

describe('care of the top shot', () => {
  const change = (changeM: number) => ({
    id: 'c',
    segmentId: 's2',
    changeM,
    reason: 'lost' as const,
    note: '',
    at: '2026-03-02T10:00:00.000Z',
  });

  it('is fresh, then worn, then to be replaced', () => {
    expect(topShotCare(woundRig())).toMatchObject({ verdict: 'fresh', counterShift: 0, dragShift: 1 });
    expect(topShotCare(woundRig({ changes: [change(-12)] }))?.verdict).toBe('worn');
    const gone = topShotCare(woundRig({ changes: [change(-25)] }));
    expect(gone).toMatchObject({ verdict: 'replace', leftM: expect.closeTo(35, 0) as number });
    // Thinner spool: more turns, more counts for the same line.
    expect(gone?.counterShift).toBeGreaterThan(0);
    expect(gone?.levelDropM).toBeGreaterThan(0);
    expect(topShotCare(plannedRig())).toBeNull();
  });

  it('is fresh again after a replacement, which later losses shorten', () => {
    const replacement = {
      id: 'r',
      segmentId: 's2',
      productId: 'nylon',
      lengthM: 50,
      windOnId: null,
      note: '',
      at: '2026-03-03T10:00:00.000Z',
    };
    const replaced = woundRig({ changes: [change(-25)], replacements: [replacement] });
    const line = currentLine(replaced);
    if (!line.ok) throw new Error(line.reason);
    const top = line.value.line.segments.at(-1);
    expect(top).toMatchObject({ lengthM: 50, lineDiameterM: 0.00045 });
    expect(topShotCare(replaced)).toMatchObject({ verdict: 'fresh', freshM: 50, leftM: 50, productId: 'nylon' });
    const later = { ...change(-20), id: 'd', at: '2026-03-04T10:00:00.000Z' };
    expect(
      topShotCare({ ...replaced, load: replaced.load && { ...replaced.load, changes: [change(-25), later] } }),
    ).toMatchObject({
      verdict: 'replace',
      leftM: 30,
    });
  });
});

describe('what hangs on a plan', () => {
  const rig = plannedRig();
  const plan = planForRig(rig, 0.002);
  if (!plan.ok) throw new Error(plan.reason);

  it('has a kit list and advice', () => {
    expect(kitOfRig(rig, plan.value).lines.map((line) => line.name)).toEqual(['Backing', 'Lead core', 'Top shot']);
    expect(adviceOnPlan(rig, plan.value).every((each) => each.reason.reason.startsWith(each.kind))).toBe(true);
    expect(wantedLines([rig, { ...rig, id: 'bare', segments: [] }])).toHaveLength(3);
  });

  it('can be compared with another of the same reel', () => {
    const short = { ...rig, segments: rig.segments.map((s) => (s.id === 's2' ? { ...s, lengthM: 20 } : s)) };
    const fill = { kind: 'below-rim', levelBelowRimM: 0.002 } as const;
    const range = { fromM: 10, toM: 60 };
    const [long, cut] = [comparedPlan(rig, fill, range), comparedPlan(short, fill, range)];
    if (!long.ok || !cut.ok) throw new Error('both fit');
    expect(cut.value.lineM.top).toBeCloseTo(20, 9);
    expect(cut.value.lineM.nylon).toBeGreaterThan(long.value.lineM.nylon ?? NaN);
    expect(cut.value.capacityLeft).toBeCloseTo(long.value.capacityLeft, 9);
    // The thick line leaves sooner, so the counter errs more over the same range.
    expect(cut.value.counterError?.greatest).toBeGreaterThan(long.value.counterError?.greatest ?? NaN);
    expect(comparedPlan({ ...rig, segments: [] }, fill, range)).toMatchObject({ ok: false, reason: 'no-segments' });
  });

  it('gives every wound length its ±', () => {
    const wound = woundRig();
    const line = currentLine(wound);
    if (!line.ok || !wound.load) throw new Error('the fixture is broken');
    const lengths = woundLengths(wound, wound.load, line.value);
    // Counted by a counter that is known to 4 %; taped to 0.3 %.
    expect((lengths.s0?.plusMinus ?? NaN) / (lengths.s0?.value ?? NaN)).toBeGreaterThan(0.07);
    expect(lengths.s0?.mainlyFrom).toEqual({ reason: 'error-counter-constant', figures: {} });
    expect(lengths.s1?.plusMinus).toBeCloseTo(1.96 * 0.003 * 27.432, 3);
  });
});
