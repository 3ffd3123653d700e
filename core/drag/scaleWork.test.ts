import type { ForceSample } from '../force/forceSample';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import { buildLoadedLine } from '../spool/loadedLine';
import { estimatedGuideFactor, guideFriction, measuredGuideFactor } from './guideFactor';
import { PRESET_AT_START, stepPreset, type PresetAct, type PresetState } from './presetState';
import { quickDrag, type QuickQuestion } from './quickDrag';
import { readDragPull } from './readPull';
import { LINE_FRICTION, waterAlong, WATER_DENSITY, waterPullPerM } from './waterPull';

const trace = (...forces: readonly number[]): ForceSample[] =>
  forces.map((forceN, index) => ({ timeS: index / 10, forceN }));
const many = (count: number, forceN: number): readonly number[] => Array.from({ length: count }, () => forceN);

describe('a pull read from a trace', () => {
  it('is the median of its second half, the jerk of its first half beside it', () => {
    const read = readDragPull(trace(5, 40, 30, 20, 20, 22, 22, 21, 23, 60));
    // Second half: 22, 22, 21, 23, 60.
    expect(read).toEqual({ ok: true, value: { movingN: 22, breakawayN: 40 } });
    // What the second half jumps to is no breakaway, and a breakaway is never under the moving pull.
    expect(readDragPull(trace(...many(5, 10), ...many(5, 22)))).toMatchObject({
      value: { movingN: 22, breakawayN: 22 },
    });
    expect(readDragPull(trace(...many(9, 22)))).toMatchObject({ reason: 'pull-too-short' });
  });

  it('pulled both ways is said to be, noise about the tare is not, and a pull the other way is none', () => {
    expect(readDragPull(trace(...many(6, 20), ...many(6, -3)))).toMatchObject({ reason: 'mixed-sense' });
    expect(readDragPull(trace(...many(6, -1.9), ...many(6, 20)))).toMatchObject({ ok: true });
    expect(readDragPull(trace(...many(6, -2.1), ...many(6, 20)))).toMatchObject({ reason: 'mixed-sense' });
    expect(readDragPull(trace(...many(6, 1.9), ...many(6, -20)))).toMatchObject({ reason: 'no-pull-on-scale' });
    expect(readDragPull(trace(...many(6, 2.1), ...many(6, -20)))).toMatchObject({ reason: 'mixed-sense' });
    expect(readDragPull(trace(...many(12, 0)))).toMatchObject({ reason: 'no-pull-on-scale' });
  });
});

describe('water along a line', () => {
  const run = { speedMS: 2, densityKgM3: WATER_DENSITY.sea, friction: LINE_FRICTION };
  const line = buildLoadedLine({ arborDiameterM: 0.04, widthM: 0.035 }, [
    { id: 'a', name: 'backing', lengthM: 200, lineDiameterM: 0.0004, packing: 0.65, wound: true },
    { id: 'b', name: 'top', lengthM: 50, lineDiameterM: 0.0008, packing: 0.68, wound: true },
  ]);

  it('adds up from the hook by ½ρ·πδ·Cf·u², and its SD with it', () => {
    const perM = (diameterM: number): number => 0.5 * 1025 * Math.PI * diameterM * 0.0075 * 4;
    expect(waterPullPerM(0.0008, run)).toEqual({
      value: expect.closeTo(perM(0.0008), 12),
      sd: expect.closeTo((perM(0.0008) * 0.0013) / 0.0075, 12),
    });
    const at = waterAlong(line, run);
    for (const [lengthM, valueN] of [
      [0, 0],
      [20, 20 * perM(0.0008)],
      [50, 50 * perM(0.0008)],
      [80, 50 * perM(0.0008) + 30 * perM(0.0004)],
      [999, 50 * perM(0.0008) + 200 * perM(0.0004)],
    ] as const) {
      expect(at(lengthM).value).toBeCloseTo(valueN, 9);
      expect(at(lengthM).sd).toBeCloseTo((valueN * 0.0013) / 0.0075, 9);
    }
    expect(() => waterPullPerM(0, run)).toThrow(/lineDiameterM/);
    expect(() => waterPullPerM(0.0004, { ...run, densityKgM3: 0 })).toThrow(/densityKgM3/);
    expect(() => waterPullPerM(0.0004, { ...run, speedMS: -1 })).toThrow(/speedMS/);
  });
});

describe('a preset', () => {
  const after = (state: PresetState, act: PresetAct) => stepPreset(state, act);
  const inGear: PresetState = { ...PRESET_AT_START, lever: 'in gear' };

  it('goes free and into gear once', () => {
    expect(after(PRESET_AT_START, { act: 'to-free' })).toMatchObject({ reason: 'already-free' });
    expect(after(inGear, { act: 'to-free' })).toMatchObject({ value: { lever: 'free' } });
    expect(after(inGear, { act: 'into-gear' })).toMatchObject({ reason: 'already-in-gear' });
    expect(after(PRESET_AT_START, { act: 'into-gear' })).toMatchObject({ value: inGear });
  });

  it('is turned in free spool by up to ten turns, and by something', () => {
    for (const turns of [10, -10, 0.25])
      expect(after(PRESET_AT_START, { act: 'turn', turns })).toMatchObject({ value: { turns, wrongTurns: 0 } });
    for (const turns of [0, 10.1, -10.1, NaN])
      expect(after(PRESET_AT_START, { act: 'turn', turns })).toMatchObject({
        ...{ reason: 'too-many-turns', figures: { most: 10 } },
      });
    expect(after(inGear, { act: 'turn', turns: 1 })).toMatchObject({ reason: 'in-gear' });
  });

  it('that was turned in gear has to be turned back by as much, before anything else', () => {
    expect(after(PRESET_AT_START, { act: 'was-turned-in-gear', turns: 1 })).toMatchObject({ reason: 'not-in-gear' });
    for (const turns of [0, 10.1, -10.1])
      expect(after(inGear, { act: 'was-turned-in-gear', turns })).toMatchObject({ reason: 'too-many-turns' });
    expect(after(inGear, { act: 'was-turned-in-gear', turns: 10 })).toMatchObject({
      value: { wrongTurns: 10, turns: 10 },
    });
    const wrong: PresetState = { lever: 'free', turns: 2, wrongTurns: 1.5 };
    expect(after(wrong, { act: 'into-gear' })).toMatchObject({ reason: 'undo-first', figures: { wrongTurns: 1.5 } });
    expect(after(wrong, { act: 'turn', turns: -1 })).toMatchObject({
      reason: 'undo-first',
      figures: { wrongTurns: 1.5 },
    });
    expect(after(wrong, { act: 'turn', turns: -1.5 })).toMatchObject({ value: { turns: 0.5, wrongTurns: 0 } });
  });
});

describe('guides', () => {
  it('hold braid back more than nylon, and what is not known lies between, as open as the opener', () => {
    const rings = { kind: 'rings', count: 8 } as const;
    const [nylon, braid, any] = (['nylon', 'braid', null] as const).map((material) => guideFriction(rings, material));
    expect(braid?.value).toBeGreaterThan(nylon?.value ?? Infinity);
    expect(any?.value).toBeCloseTo(((nylon?.value ?? NaN) + (braid?.value ?? NaN)) / 2, 12);
    expect(any?.sd).toBe(Math.max(nylon?.sd ?? NaN, braid?.sd ?? NaN));
  });

  it('follow the capstan law (belt friction, any mechanics handbook), each guide adding a little bend', () => {
    const friction = { value: 0.15, sd: 0.03, source: 'measured' as const };
    const plain = estimatedGuideFactor(1.2, friction);
    expect(plain.value).toBeCloseTo(Math.exp(0.15 * 1.2), 12);
    expect(plain.sd).toBeCloseTo(Math.exp(0.15 * 1.2) * 1.2 * 0.03, 12);
    expect(plain.source).toBe('measured');
    // Nine guides at a right angle: 0.18 rad more.
    expect(estimatedGuideFactor(Math.PI / 2, friction, 9).value).toBeCloseTo(Math.exp(0.15 * (Math.PI / 2 + 0.18)), 12);
  });

  it('as measured carry the scatter of the pulls, and never less than a scale’s', () => {
    const found = measuredGuideFactor([50, 54, 52], [40, 40, 40], 0.01);
    if (!found.ok) throw new Error(found.reason);
    expect(found.value.value).toBeCloseTo(1.3, 12);
    const relative = Math.hypot(2 / 52 / Math.sqrt(3), 0.01 / Math.sqrt(3));
    expect(found.value.sd).toBeCloseTo(1.3 * relative, 12);
    const open = PLUS_MINUS_SDS * Math.hypot(0.01, 0.01);
    // Under 1 by more than the scatter is refused; by less it is 1.
    expect(measuredGuideFactor([40], [40 * (1 + open) * 1.001], 0.01)).toMatchObject({ reason: 'guide-below-one' });
    expect(measuredGuideFactor([40], [40 * (1 + open) * 0.999], 0.01)).toMatchObject({ value: { value: 1 } });
    expect(measuredGuideFactor([30], [40], 0.01)).toMatchObject({ figures: { ratio: 0.75 } });
  });

  it('count in a hurry too: their number, and the line over them', () => {
    const asked: QuickQuestion = {
      strengthN: { value: 100, sd: 20, source: 'label' },
      ...{ material: 'braid', fraction: 0.25, rodAngleRad: 1, makerLimitN: null },
      guides: { kind: 'rings', count: 8 },
    };
    const guideOf = (change: Partial<QuickQuestion>) => {
      const answer = quickDrag({ ...asked, ...change });
      return answer.ok ? answer.value.guide.value : NaN;
    };
    expect(guideOf({})).toBeCloseTo(estimatedGuideFactor(1, guideFriction(asked.guides, 'braid'), 8).value, 12);
    expect(guideOf({ material: 'nylon' })).toBeLessThan(guideOf({}));
    expect(guideOf({ guides: null })).toBeCloseTo(estimatedGuideFactor(1).value, 12);
  });
});
