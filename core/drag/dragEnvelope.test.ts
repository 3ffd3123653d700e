import { PLUS_MINUS_SDS } from '../numerics/propagate';
import { buildLoadedLine, spoolStateAt } from '../spool/loadedLine';
import { turnSpreadSd } from '../spool/turnSpread';
import { rigStrength } from '../strength/rigStrength';
import { backOffTable, dragEnvelope, envelopeAt } from './dragEnvelope';
import { LINE_FRICTION, WATER_DENSITY } from './waterPull';

const LINE = buildLoadedLine({ arborDiameterM: 0.04, widthM: 0.035 }, [
  { id: 'a', name: 'backing', lengthM: 300, lineDiameterM: 0.0004, packing: 0.65, wound: true },
  { id: 'b', name: 'top', lengthM: 100, lineDiameterM: 0.0007, packing: 0.68, wound: true },
]);
const known = (value: number, sd = 0) => ({ value, sd, source: 'measured' as const });
/** Places with exact strengths; bounds where they are given. */
const rig = (topN: number, backingN: number, bounds: readonly [number | null, number | null] = [null, null], sd = 0) =>
  rigStrength(
    [
      { segmentId: 'a', name: 'backing', lengthM: 300, strengthN: known(backingN, sd), boundN: bounds[1] },
      { segmentId: 'b', name: 'top', lengthM: 100, strengthN: known(topN, sd), boundN: bounds[0] },
    ],
    [],
  );
const SET = { forceN: 70, plusMinusN: 3, lengthOutM: 0 };
const STILL = { densityKgM3: WATER_DENSITY.sea, friction: LINE_FRICTION, speedMS: 0 };
const factorAt = (lengthOutM: number): number =>
  spoolStateAt(LINE, 0).diameterM / spoolStateAt(LINE, lengthOutM).diameterM;

describe('a drag left alone at one length', () => {
  it('pulls as its torque on the smaller spool does, and is what it was set to where it was set', () => {
    const at = envelopeAt(LINE, rig(300, 400), SET, STILL);
    const point = at(250);
    expect(point.tipForceN).toBeCloseTo(70 * factorAt(250), 9);
    expect(point.dragFactor).toBeCloseTo(factorAt(250), 12);
    // Where it was set nothing is added to its own ±; elsewhere the turns at both places are.
    expect(at(0)).toMatchObject({ factorPlusMinusShare: 0, tipForceN: 70, tipPlusMinusN: 3 });
    const spread = PLUS_MINUS_SDS * Math.hypot(turnSpreadSd(LINE, 0), turnSpreadSd(LINE, 250));
    expect(point.factorPlusMinusShare).toBeCloseTo(spread, 12);
    expect(point.tipPlusMinusN).toBeCloseTo(Math.hypot(3 * factorAt(250), point.tipForceN * spread), 9);
    const unsure = envelopeAt(LINE, rig(300, 400), SET, STILL, () => 0.02)(250);
    expect(unsure.factorPlusMinusShare).toBeCloseTo(Math.hypot(spread, PLUS_MINUS_SDS * 0.02), 12);
  });

  it('adds the water’s pull outside of each place, and no more', () => {
    const run = { ...STILL, speedMS: 5 };
    const point = envelopeAt(LINE, rig(1e6, 400), SET, run)(250);
    const pull = (lengthM: number, diameterM: number): number =>
      0.5 * WATER_DENSITY.sea * Math.PI * diameterM * LINE_FRICTION.value * 25 * lengthM;
    const [top, backing] = [pull(100, 0.0007), pull(150, 0.0004)];
    expect(point.fishForceN).toBeCloseTo(70 * factorAt(250) + top + backing, 6);
    expect(point.fishPlusMinusN).toBeCloseTo(
      Math.hypot(point.tipPlusMinusN, PLUS_MINUS_SDS * (top + backing) * (LINE_FRICTION.sd / LINE_FRICTION.value)),
      6,
    );
    // The backing bears the water on what of it is out, where the top shot begins; the top shot bears all of it.
    expect(point.weakest.name).toBe('backing');
    expect(point.tensionN).toBeCloseTo(point.tipForceN + backing, 6);
    expect(point.share).toBeCloseTo(point.tensionN / 400, 9);
    expect(envelopeAt(LINE, rig(300, 1e6), SET, run)(250).tensionN).toBeCloseTo(point.fishForceN, 6);
  });

  it('judges what is out and nothing else, the place nearest to the hook always', () => {
    const at = envelopeAt(LINE, rig(300, 100), SET, STILL);
    expect(at(0).weakest.name).toBe('top');
    expect(at(99).weakest.name).toBe('top');
    expect(at(100).weakest.name).toBe('backing');
    // Of two that bear the same share the outer one is named.
    expect(envelopeAt(LINE, rig(300, 300), SET, STILL)(200).weakest.name).toBe('top');
    expect(() => envelopeAt(LINE, { ...rig(300, 100), places: [] }, SET, STILL)(10)).toThrow(/places/);
  });

  it('has a bound of what is out only where every place has one', () => {
    const at = envelopeAt(LINE, rig(300, 400, [200, 150]), SET, STILL);
    expect(at(50)).toMatchObject({ isBoundWhole: true, boundShare: expect.closeTo((70 * factorAt(50)) / 200, 9) });
    expect(at(200).boundShare).toBeCloseTo((70 * factorAt(200)) / 150, 9);
    const partly = envelopeAt(LINE, rig(300, 400, [200, null]), SET, STILL);
    expect(partly(50).isBoundWhole).toBe(true);
    expect(partly(200)).toMatchObject({
      isBoundWhole: false,
      boundShare: expect.closeTo((70 * factorAt(200)) / 200, 9),
    });
    expect(envelopeAt(LINE, rig(300, 400), SET, STILL)(50)).toMatchObject({ isBoundWhole: false, boundShare: null });
  });
});

describe('an envelope', () => {
  /** First of the equal steps at which a share of what holds is reached. */
  const firstFrom = (holdsN: number, share: number, stations = 100): number | null => {
    for (let index = 0; index <= stations; index += 1) {
      const lengthOutM = (400 * index) / stations;
      if ((70 * factorAt(lengthOutM)) / holdsN >= share) return lengthOutM;
    }
    return null;
  };

  it('says where shares of the strength are passed, and up to where it holds', () => {
    const { points, passes, safeLengthM } = dragEnvelope(LINE, rig(80, 80), SET, STILL, 100);
    expect(points).toHaveLength(101);
    expect(points.at(-1)?.lengthOutM).toBe(LINE.totalLengthM);
    expect(passes.map(({ share }) => share)).toEqual([0.5, 0.8, 1]);
    for (const { share, lengthOutM } of passes) expect(lengthOutM).toBe(firstFrom(80, share));
    const whole = firstFrom(80, 1) ?? NaN;
    expect(safeLengthM).toBeCloseTo(whole - 4, 9);
    // Never half of it: no such length, and all the way.
    const light = dragEnvelope(LINE, rig(1000, 1000), SET, STILL, 100);
    expect(light.passes.map(({ lengthOutM }) => lengthOutM)).toEqual([null, null, null]);
    expect(light.safeLengthM).toBe(400);
    expect(dragEnvelope(LINE, rig(60, 60), SET, STILL, 100).safeLengthM).toBeNull();
    // Just what it holds is not held.
    expect(dragEnvelope(LINE, rig(70, 70), SET, STILL, 100).safeLengthM).toBeNull();
  });

  it('ends where it is told to, and by the bound only while all of it has one', () => {
    const envelope = dragEnvelope(LINE, rig(300, 400, [200, null]), SET, STILL, 100, undefined, 250);
    expect(envelope.points.at(-1)?.lengthOutM).toBe(250);
    expect(envelope.safeByBoundM).toBe(97.5);
    expect(dragEnvelope(LINE, rig(300, 400, [200, 200]), SET, STILL, 100).safeByBoundM).toBe(400);
    expect(dragEnvelope(LINE, rig(300, 400, [70, 200]), SET, STILL, 100).safeByBoundM).toBeNull();
    expect(dragEnvelope(LINE, rig(300, 400, [null, 200]), SET, STILL, 100).safeByBoundM).toBeNull();
  });

  it('says between which lengths its safe end lies, by the ± of pull and strength', () => {
    const { safeBetweenM, safeLengthM, points } = dragEnvelope(LINE, rig(85, 85, [null, null], 4), SET, STILL, 100);
    const ends = [1, -1].map((sign) => {
      const over = points.find(({ share, fishPlusMinusN, fishForceN }) => {
        const open = Math.hypot(fishPlusMinusN / fishForceN, (PLUS_MINUS_SDS * 4) / 85);
        return share * (1 + sign * open) >= 1;
      });
      return over ? over.lengthOutM - 4 : 400;
    });
    const [least, most] = [ends[0] === -4 ? null : ends[0], ends[1]];
    expect(safeBetweenM[0]).toBe(least);
    expect(safeBetweenM[1]).toBe(most);
    expect(safeBetweenM[0] ?? 0).toBeLessThan(safeLengthM ?? 0);
    expect(safeBetweenM[1]).toBeGreaterThan(safeLengthM ?? Infinity);
  });
});

describe('a back-off table', () => {
  it('leaves of the setting what keeps the pull, with its ±', () => {
    const at = envelopeAt(LINE, rig(300, 400), SET, STILL, () => 0.02);
    const [none, far] = backOffTable(at, [0, 250]);
    expect(none).toMatchObject({ lengthOutM: 0, leftAloneN: 70, easeTo: 1 });
    const point = at(250);
    expect(far).toEqual({
      lengthOutM: 250,
      leftAloneN: point.tipForceN,
      plusMinusN: point.tipPlusMinusN,
      easeTo: 1 / point.dragFactor,
      easeToPlusMinus: point.factorPlusMinusShare / point.dragFactor,
    });
    expect((far?.easeTo ?? NaN) * (far?.leftAloneN ?? NaN)).toBeCloseTo(70, 9);
  });
});
