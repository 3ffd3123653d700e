import { buildLoadedLine, spoolStateAt } from '../spool/loadedLine';
import { rigStrength } from '../strength/rigStrength';
import { fromSi, toSi } from '../units/units';
import type { Known } from '../provenance/source';
import { backOffTable, dragEnvelope, envelopeAt } from './dragEnvelope';
import { dragTarget } from './dragTarget';
import { estimatedGuideFactor, guideFriction, measuredGuideFactor } from './guideFactor';
import { USUAL_RUN } from './waterPull';
import { readDragPull } from './readPull';
import { median } from '../numerics/median';
import { judgeScaleSession } from './scaleSession';

const holds = (value: number): Known => ({ value, sd: value * 0.02, source: 'measured' });

describe('dragTarget', () => {
  it('is 1.5 lb for 6 lb line at a quarter (common practice, no source)', () => {
    const target = dragTarget(holds(toSi('force', 6, 'lb')), 0.25, null);
    expect(target.ok && fromSi('force', target.value.targetN.value, 'lb')).toBeCloseTo(1.5, 12);
  });

  it('is held down to the maker’s limit, and warns past a third', () => {
    expect(dragTarget(holds(400), 0.3, 90)).toMatchObject({
      value: { targetN: { value: 90, plusMinus: 0 }, limitedToN: 90, warnings: ['over-limit'] },
    });
    expect(dragTarget(holds(100), 0.35, 90)).toMatchObject({
      value: { limitedToN: null, warnings: ['high-fraction'] },
    });
  });

  it('refuses a target above the weakest place, whatever basis it was taken of', () => {
    const weakest = { meanN: 100, boundN: null, isBoundSure: false };
    expect(dragTarget(holds(400), 0.3, null, weakest)).toMatchObject({ ok: false, reason: 'above-weakest' });
    // Half of it is the most: what the maker's limit holds down to more is refused too.
    expect(dragTarget(holds(400), 0.3, 51, weakest)).toMatchObject({ ok: false, reason: 'above-weakest' });
    expect(dragTarget(holds(400), 0.3, 50, weakest)).toMatchObject({ ok: true });
    // Past a third of the weakest place it warns, whatever share of another basis it is.
    expect(dragTarget(holds(400), 0.1, null, weakest)).toMatchObject({ value: { warnings: ['high-fraction'] } });
  });

  it('refuses what 95 of 100 do not hold where that is sure, and warns where it is not', () => {
    const weakest = { meanN: 100, boundN: 30, isBoundSure: true };
    expect(dragTarget(holds(100), 0.31, null, weakest)).toMatchObject({
      reason: 'above-bound',
      figures: { boundN: 30 },
    });
    expect(dragTarget(holds(100), 0.31, null, { ...weakest, isBoundSure: false })).toMatchObject({
      value: { warnings: ['above-bound'] },
    });
    expect(dragTarget(holds(100), 0.29, null, weakest)).toMatchObject({ value: { warnings: [] } });
  });

  it('is judged by what it becomes in reach', () => {
    const weakest = { meanN: 100, boundN: null, isBoundSure: false };
    const at = (fraction: number, growth: number) =>
      dragTarget(holds(100), fraction, null, weakest, { inUse: Math.min(growth, 1.7), inReach: growth });
    expect(at(0.25, 1.2)).toMatchObject({ value: { targetN: { value: 25 }, highestN: 30, warnings: [] } });
    // Past a third with the line out it warns, past a half it is refused.
    expect(at(0.25, 1.4)).toMatchObject({ value: { targetN: { value: 25 }, warnings: ['high-fraction'] } });
    // A run is warned of only: on it the drag is backed off.
    const run = dragTarget(holds(100), 0.25, null, weakest, { inUse: 1.1, inReach: 2.4 });
    expect(run).toMatchObject({ value: { highestN: 60, warnings: ['high-fraction'] } });
    expect(at(0.3, 1.7)).toMatchObject({ ok: false, reason: 'above-weakest', figures: { most: 0.5 } });
    expect(() => dragTarget(holds(100), 0.25, null, null, { inUse: 0.9, inReach: 1 })).toThrow(/growth/);
  });

  it.each([0.04, 0.41, NaN, -0.25])('refuses a fraction of %d', (fraction) => {
    expect(dragTarget(holds(100), fraction, null)).toMatchObject({ ok: false, reason: 'fraction-out-of-range' });
  });
});

describe('guide factor', () => {
  it('follows the capstan law: μ = 0.3 round half a turn gives 2.566 (mechanics handbooks, belt friction)', () => {
    expect(estimatedGuideFactor(Math.PI, { value: 0.3, sd: 0, source: 'measured' }).value).toBeCloseTo(2.566, 3);
  });

  it('is 1 for a rod pointed at the pull and 1.1 to 1.5 bent (from memory)', () => {
    expect(estimatedGuideFactor(0).value).toBe(1);
    for (const degrees of [45, 60, 90]) {
      const { value } = estimatedGuideFactor((degrees * Math.PI) / 180);
      expect(value).toBeGreaterThan(1.1);
      expect(value).toBeLessThan(1.5);
    }
  });

  it('is bent over straight when measured, surer with more pulls', () => {
    const measured = (bentN: readonly number[], straightN: readonly number[]) => {
      const factor = measuredGuideFactor(bentN, straightN);
      if (!factor.ok) throw new Error(factor.reason);
      return factor.value;
    };
    const one = measured([24], [20]);
    const more = measured([24, 24.2, 23.8], [20, 20.1, 19.9]);
    expect(one).toMatchObject({ value: 1.2, source: 'measured' });
    // One pull each way is off by 3 % each, three by 1.7 % (the scale's own error, from memory).
    expect(one.sd / one.value).toBeCloseTo(0.03 * Math.SQRT2, 6);
    expect(more.sd / more.value).toBeCloseTo(0.03 * Math.sqrt(2 / 3), 6);
    // Pulls that scatter more than a scale does are believed less.
    expect(measured([20, 24, 28], [20, 20.1, 19.9]).sd).toBeGreaterThan(1.5 * more.sd);
    expect(() => measuredGuideFactor([24], [])).toThrow(/measuredGuideFactor/);
  });

  it('is never below 1: guides only hold back', () => {
    expect(measuredGuideFactor([19.6], [20])).toMatchObject({ ok: true, value: { value: 1 } });
    expect(measuredGuideFactor([16], [20])).toMatchObject({ ok: false, reason: 'guide-below-one' });
  });

  it('goes by what the line runs over, and what line it is (from memory)', () => {
    const at = (guides: Parameters<typeof guideFriction>[0], material: Parameters<typeof guideFriction>[1]) =>
      estimatedGuideFactor(1, guideFriction(guides, material), guides?.count ?? 0).value;
    const nylon = at({ kind: 'rings', count: 7 }, 'nylon');
    expect(at({ kind: 'rings', count: 7 }, 'braid')).toBeGreaterThan(nylon);
    expect(at({ kind: 'rollers', count: 7 }, 'nylon')).toBeLessThan(at({ kind: 'roller tip', count: 7 }, 'nylon'));
    expect(at({ kind: 'roller tip', count: 7 }, 'nylon')).toBeLessThan(nylon);
    expect(at({ kind: 'rings', count: 12 }, 'nylon')).toBeGreaterThan(nylon);
    expect(guideFriction(null, 'braid')).toMatchObject({ value: 0.15, source: 'default' });
    expect(() => estimatedGuideFactor(-0.1)).toThrow(/rodAngleRad/);
  });
});

describe('readDragPull', () => {
  const trace = Array.from({ length: 100 }, (_, i) => ({
    timeS: i / 40,
    forceN: i < 20 ? i * 1.5 : 20 + (i % 2 ? 0.1 : -0.1),
  }));

  it('takes the moving pull, not the jerk', () => {
    const read = readDragPull(trace);
    if (!read.ok) throw new Error(read.reason);
    expect(read.value.movingN).toBeCloseTo(20, 0);
    expect(read.value.breakawayN).toBeCloseTo(28.5, 6);
  });

  it('refuses a twitch and a slack scale', () => {
    expect(readDragPull(trace.slice(0, 5))).toMatchObject({ ok: false, reason: 'pull-too-short' });
    expect(readDragPull(trace.map((s) => ({ ...s, forceN: 0 })))).toMatchObject({
      ok: false,
      reason: 'no-pull-on-scale',
    });
    const turnedRound = trace.map((s, i) => ({ ...s, forceN: i < 60 ? s.forceN : -s.forceN }));
    expect(readDragPull(turnedRound)).toMatchObject({ ok: false, reason: 'mixed-sense' });
  });

  it('has a median for odd and even numbers, and none for nothing', () => {
    expect(median([3, 1, 2])).toBe(2);
    expect(median([4, 1, 2, 3])).toBe(2.5);
    expect(() => median([])).toThrow(RangeError);
  });
});

describe('judgeScaleSession', () => {
  const pull = (movingN: number, breakawayN = movingN * 1.1) => ({ movingN, breakawayN });

  it('leads from too little to set', () => {
    expect(judgeScaleSession([], 20)).toBeNull();
    // A jerk that nobody read says nothing, and is made up by nobody.
    const unread = { movingN: 20, breakawayN: null };
    expect(judgeScaleSession([unread, unread, unread], 20)).toMatchObject({
      verdict: 'set',
      breakawayRatio: null,
      sticky: false,
    });
    expect(judgeScaleSession([unread, { movingN: 20, breakawayN: 30 }], 20)).toMatchObject({
      breakawayRatio: 1.5,
      sticky: true,
    });
    expect(judgeScaleSession([pull(15)], 20)).toMatchObject({ verdict: 'tighten', toGoN: 5 });
    expect(judgeScaleSession([pull(24)], 20)).toMatchObject({ verdict: 'ease', toGoN: -4 });
    expect(judgeScaleSession([pull(20), pull(20.2)], 20)).toMatchObject({ verdict: 'pull-again' });
    expect(judgeScaleSession([pull(20), pull(20.2), pull(19.9)], 20)).toMatchObject({ verdict: 'set' });
  });

  it('does not call scattered pulls a setting, and tells a sticky drag', () => {
    expect(judgeScaleSession([pull(17.5), pull(20), pull(22.5)], 20)).toMatchObject({ verdict: 'scattered' });
    expect(judgeScaleSession([pull(20, 31), pull(20, 30), pull(20, 29)], 20)).toMatchObject({
      sticky: true,
      breakawayRatio: 1.5,
    });
    expect(judgeScaleSession([pull(20)], 20)?.sticky).toBe(false);
  });

  it('judges the last three pulls only', () => {
    expect(judgeScaleSession([pull(2), pull(20), pull(20), pull(20)], 20)).toMatchObject({ verdict: 'set' });
  });
});

describe('dragEnvelope', () => {
  const line = buildLoadedLine({ arborDiameterM: 0.032, widthM: 0.029 }, [
    { id: 'a', name: 'a', lengthM: 150, lineDiameterM: 0.0004, packing: 0.68, wound: true },
    { id: 'b', name: 'b', lengthM: 40, lineDiameterM: 0.0007, packing: 0.62, wound: true },
    { id: 'l', name: 'l', lengthM: 5, lineDiameterM: 0.0008, packing: 0.6, wound: false },
  ]);
  const strength = rigStrength(
    line.segments.map((s) => ({
      segmentId: s.id,
      name: s.name,
      lengthM: s.lengthM,
      strengthN: holds(s.id === 'l' ? 90 : 120),
      boundN: null,
    })),
    [],
  );
  const still = { ...USUAL_RUN, speedMS: 0 };
  const envelope = dragEnvelope(line, strength, { forceN: 40, plusMinusN: 2, lengthOutM: 0 }, still);

  it('rises to the full diameter over the arbor’s with everything out', () => {
    expect(envelope.points[0]).toMatchObject({ lengthOutM: 0, dragFactor: 1, tipForceN: 40 });
    expect(envelope.points.at(-1)?.dragFactor).toBeCloseTo(line.fullDiameterM / 0.032, 9);
    expect(envelope.points.at(-1)?.lengthOutM).toBeCloseTo(line.totalLengthM, 12);
  });

  it('stands still while the leader goes out by hand', () => {
    const byHand = envelope.points.filter((point) => point.lengthOutM <= 5);
    expect(byHand.length).toBeGreaterThan(3);
    expect(byHand.every((point) => point.dragFactor === 1)).toBe(true);
  });

  it('says where shares of the weakest place are passed', () => {
    const half = envelope.passes.find((pass) => pass.share === 0.5)?.lengthOutM;
    const point = envelope.points.find((candidate) => candidate.lengthOutM === half);
    expect(point?.share).toBeGreaterThanOrEqual(0.5);
    expect(envelope.passes.find((pass) => pass.share === 1)?.lengthOutM).toBeNull();
  });

  it('takes the setting’s own diameter when it was set with line out', () => {
    const later = dragEnvelope(line, strength, { forceN: 40, plusMinusN: 2, lengthOutM: 100 }, still);
    expect(later.points[0]?.tipForceN).toBeLessThan(40);
  });

  it('adds the water’s pull towards the fish, and holds every place against the tension where it is', () => {
    const swum = dragEnvelope(line, strength, { forceN: 40, plusMinusN: 2, lengthOutM: 0 }, USUAL_RUN);
    const last = swum.points.at(-1);
    // ½ρ·πδ·Cf·u² for each metre, worked out by hand for the three lines.
    const perM = (diameterM: number): number => 0.5 * 1025 * Math.PI * diameterM * 0.0075 * 9;
    const water = 150 * perM(0.0004) + 40 * perM(0.0007) + 5 * perM(0.0008);
    expect((last?.fishForceN ?? 0) - (last?.tipForceN ?? 0)).toBeCloseTo(water, 9);
    expect(last?.fishPlusMinusN).toBeGreaterThan(last?.tipPlusMinusN ?? 0);
    expect(last?.tensionN).toBeGreaterThan(last?.tipForceN ?? 0);
    expect(swum.points[0]?.fishForceN).toBe(40);
  });

  it('knows how far it may be left alone, in the mean and by bound', () => {
    const bound = {
      ...strength,
      places: strength.places.map((place) => ({ ...place, boundN: place.id === 'a' ? 52 : 80 })),
    };
    const tight = dragEnvelope(line, bound, { forceN: 48, plusMinusN: 1, lengthOutM: 0 }, still);
    expect(tight.safeLengthM).toBeGreaterThan(tight.safeByBoundM ?? 0);
    expect(tight.points.find((point) => point.lengthOutM > (tight.safeByBoundM ?? 0))?.boundShare).toBeGreaterThan(1);
    expect(dragEnvelope(line, strength, { forceN: 95, plusMinusN: 1, lengthOutM: 0 }, still).safeLengthM).toBeNull();
    // A place without a bound is never safe by it, whatever the others hold.
    const open = {
      ...bound,
      places: bound.places.map((place, index) => (index === 0 ? { ...place, boundN: null } : place)),
    };
    const unknown = dragEnvelope(line, open, { forceN: 10, plusMinusN: 1, lengthOutM: 0 }, still);
    expect(unknown.safeByBoundM).toBeNull();
    expect(unknown.points[0]?.isBoundWhole).toBe(false);
    // The true end may lie nearer and farther, the more so the less is known.
    const between = (plusMinusN: number, sd: number) =>
      dragEnvelope(line, strength, { forceN: 48, plusMinusN, lengthOutM: 0 }, still, 400, () => sd).safeBetweenM;
    const [sure, unsure, vague] = [between(0.1, 0), between(4, 0), between(4, 0.05)];
    for (const [least, most] of [sure, unsure, vague]) expect(least ?? -1).toBeLessThanOrEqual(most ?? -1);
    expect(unsure[0] ?? -1).toBeLessThanOrEqual(sure[0] ?? -1);
    expect((vague[1] ?? -1) - (vague[0] ?? -1)).toBeGreaterThan((sure[1] ?? -1) - (sure[0] ?? -1));
  });

  it('has a table that says how far to ease it', () => {
    const at = envelopeAt(line, strength, { forceN: 40, plusMinusN: 1, lengthOutM: 0 }, still);
    const table = backOffTable(at, [0, 100.3]);
    expect(table[0]).toMatchObject({ leftAloneN: 40, easeTo: 1 });
    // Its own length, and not that of the next station.
    const { diameterM } = spoolStateAt(line, 100.3 - line.handLinedLengthM);
    expect(table[1]).toMatchObject({ lengthOutM: 100.3, easeTo: expect.closeTo(diameterM / line.fullDiameterM, 12) });
    expect((table[1]?.leftAloneN ?? 0) * (table[1]?.easeTo ?? 0)).toBeCloseTo(40, 9);
  });
});
