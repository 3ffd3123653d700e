import { plannedRig, woundRig } from '../../../tests/rigFixture';
import { windingOutlook } from './windingOutlook';

/** The fixture with the first segments on, the last noted reading off by some counts. */
function winding(on: number, offCounts = 0, change: { lengthIs?: 'counter'; levelBelowRimM?: number } = {}) {
  const { load } = woundRig();
  if (!load) throw new Error('the fixture has no load');
  const entries = load.winding
    .slice(0, on)
    .map((entry, index) =>
      index === on - 1
        ? { ...entry, reading: (entry.reading ?? 0) + offCounts, lengthIs: change.lengthIs ?? ('plan' as const) }
        : entry,
    );
  const levels =
    change.levelBelowRimM === undefined
      ? []
      : [{ id: 'level', segmentId: entries.at(-1)?.segmentId ?? '', levelBelowRimM: change.levelBelowRimM, at: '' }];
  return woundRig({ status: 'winding', finishedAt: null, levelBelowRimM: null, winding: entries, levels });
}

function outlook(rig: ReturnType<typeof winding>) {
  const found = windingOutlook(rig);
  if (!found) throw new Error('nothing is being wound');
  return found;
}

describe('windingOutlook', () => {
  it('is the plan while nothing is on, and null when nothing is being wound', () => {
    const start = outlook(winding(0));
    expect(start.changed).toBeNull();
    expect(start.remaining.map((segment) => segment.stopReading)).toEqual(
      woundRig().load?.segments.map((segment) => segment.stopReading),
    );
    expect(start.levelBelowRimM).toBeCloseTo(0.002, 9);
    expect(windingOutlook(plannedRig())).toBeNull();
    expect(windingOutlook(woundRig())).toBeNull();
  });

  it('changes nothing worth saying when the stop was met', () => {
    expect(outlook(winding(1)).changed).toBeNull();
    expect(outlook(winding(1)).remaining).toHaveLength(2);
  });

  it('lets the level give when the backing fell short: the typed top shot stays, another length is only offered', () => {
    const short = outlook(winding(1, 25));
    expect(short.changed).toBeNull();
    expect(short.remaining.find((each) => each.segmentId === 's2')?.lengthM).toBe(60);
    expect(short.levelBelowRimM).toBeGreaterThan(0.0025);
    expect(short.offer).toMatchObject({ segmentId: 's2', name: 'Top shot', fromM: 60, isPiece: false });
    expect(short.offer?.toM).toBeGreaterThan(70);
    expect(outlook(winding(1, -10)).offer?.toM).toBeLessThan(60);
  });

  it('meets the level with the length that was agreed to, and offers no other', () => {
    const rig = winding(1, 25);
    const { offer } = outlook(rig);
    if (!rig.load || !offer) throw new Error('the fixture has no offer');
    const segments = rig.load.segments.map((segment) =>
      segment.segmentId === offer.segmentId
        ? { ...segment, plannedLengthM: offer.toM, agreedFromM: segment.plannedLengthM }
        : segment,
    );
    const agreed = outlook({ ...rig, load: { ...rig.load, segments } });
    expect(agreed.levelBelowRimM).toBeCloseTo(0.002, 6);
    expect(agreed.plannedLevelBelowRimM).toBeCloseTo(0.002, 9);
    expect(agreed.offer).toBeNull();
  });

  it('asks before line would stand higher over the rim than it stays on', () => {
    const rig = winding(1);
    const [backing] = rig.load?.winding ?? [];
    if (!rig.load || !backing) throw new Error('the fixture is not being wound');
    // Far more backing than was planned went on.
    const much = { ...rig.load, winding: [{ ...backing, meteredLengthM: 280 }] };
    expect(outlook({ ...rig, load: much })).toMatchObject({ mustAsk: true, changed: null });
    expect(outlook(rig).mustAsk).toBe(false);
  });

  it('believes the counter when a known length ran out early', () => {
    const ranOut = outlook(winding(2, 12, { lengthIs: 'counter' }));
    const whole = outlook(winding(2, 12));
    expect(ranOut.line.segments[1]?.lengthM).toBeLessThan(20);
    expect(whole.line.segments[1]?.lengthM).toBe(27.432);
  });

  it('learns packing from a level before the thick segment', () => {
    const plain = outlook(winding(1));
    const backing = plain.line.segments[0];
    const asPlannedM = (0.0618 - (backing?.outerDiameterM ?? NaN)) / 2;
    // The backing lies half a millimetre lower than believed: it packs tighter, so more line fits on top.
    const lower = outlook(winding(1, 0, { levelBelowRimM: asPlannedM + 0.0005 }));
    expect(lower.line.segments[0]?.packing).toBeGreaterThan(backing?.packing ?? NaN);
    expect(lower.offer?.toM).toBeGreaterThan(60);
    expect(lower.levelBelowRimM).toBeGreaterThan(0.002);
  });

  it('only foretells the level when nothing may give way', () => {
    const rig = winding(1, 25);
    if (!rig.load) throw new Error('the fixture has no load');
    const fixed = {
      ...rig,
      load: { ...rig.load, segments: rig.load.segments.map((s, i) => (i > 0 ? { ...s, lengthKnown: true } : s)) },
    };
    const told = outlook(fixed);
    expect(told.changed).toBeNull();
    expect(told.levelBelowRimM).toBeGreaterThan(0.0025);
  });

  it('leaves out a level that cannot be, and names it', () => {
    const odd = windingOutlook(winding(1, 0, { levelBelowRimM: 0.0005 }));
    expect(odd?.heldOutLevels).toMatchObject([{ levelBelowRimM: 0.0005 }]);
    expect(odd?.line).toEqual(windingOutlook(winding(1, 0))?.line);
  });

  it('knows the finished level better with every step, and best from a measured one', () => {
    const rig = woundRig({ status: 'winding', finishedAt: null, levelBelowRimM: null });
    const { load } = rig;
    if (!load) throw new Error('the fixture is not loaded');
    const after = (entries: number, levels: typeof load.levels = []) =>
      windingOutlook({ ...rig, load: { ...load, winding: load.winding.slice(0, entries), levels } })?.levelPlusMinusM ??
      NaN;
    const level = windingOutlook({ ...rig, load: { ...load, winding: load.winding.slice(0, 1) } });
    const backing = level?.line.segments[0];
    const levelBelowRimM = (rig.reel.fullDiameterM.value - (backing?.outerDiameterM ?? NaN)) / 2;
    const measured = after(1, [{ id: 'level', segmentId: 's0', levelBelowRimM, at: '' }]);
    expect(measured).toBeLessThan(0.85 * after(1));
    expect(measured).toBeGreaterThan(1.96 * 0.0003);
  });
});
