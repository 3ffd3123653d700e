import { leverCurve, leverPlace, presetGain, type LeverPoint } from './leverCurve';
import { PRESET_AT_START, stepPreset, type PresetAct, type PresetState } from './presetState';

const at = (position: number, forceN: number, presetTurns = 0): LeverPoint => ({ position, forceN, presetTurns });
const SWEEP = [at(0, 0.5), at(0.25, 18), at(0.5, 48), at(0.75, 70), at(1, 82)];
const curveOf = (points: readonly LeverPoint[]) => {
  const curve = leverCurve(points);
  if (!curve.ok) throw new Error(curve.reason);
  return curve.value;
};

describe('a lever over its sweep', () => {
  it('goes through its points, never falls and never overshoots between them', () => {
    const curve = curveOf(SWEEP);
    for (const { position, forceN } of SWEEP) expect(curve.forceAt(position)).toBeCloseTo(forceN, 9);
    let before = -Infinity;
    for (let step = 0; step <= 1000; step += 1) {
      const now = curve.forceAt(step / 1000) ?? NaN;
      expect(now).toBeGreaterThanOrEqual(before - 1e-9);
      before = now;
    }
    expect(before).toBeCloseTo(82, 9);
    // Outside of what was pulled there is no figure.
    const middle = curveOf([at(0.25, 20), at(0.5, 40), at(0.75, 60)]);
    expect([0, 0.2, 0.8, 1].map((place) => middle.forceAt(place))).toEqual([null, null, null, null]);
    expect(middle.forceAt(0.25)).toBeCloseTo(20, 9);
    expect(middle.positionFor(70)).toBeNull();
    // A flat stretch stays flat: no cubic swings past its ends.
    const flat = curveOf([at(0, 1), at(0.4, 40), at(0.6, 40), at(1, 90)]);
    for (const position of [0.42, 0.5, 0.58]) expect(flat.forceAt(position)).toBeCloseTo(40, 9);
  });

  it('says where the lever stands for a pull, and where the sweep does not reach', () => {
    const curve = curveOf(SWEEP);
    for (const forceN of [5, 30, 60, 81])
      expect(curve.forceAt(curve.positionFor(forceN) ?? NaN)).toBeCloseTo(forceN, 3);
    expect(curve.positionFor(200)).toBeNull();
  });

  it('says how well that place is known: by the pulls behind the curve, and the pull that is asked for', () => {
    const curve = curveOf([at(0, 0), at(0.5, 40), at(1, 80)]);
    // A straight lever: what a pull is off by, the place is off by in the same share.
    expect(leverPlace(curve, 40)).toEqual({
      position: expect.closeTo(0.5, 4) as number,
      plusMinus: expect.closeTo(0.5 * 1.96 * 0.03, 4) as number,
      pulls: 1,
    });
    // Four pulls at the place that is nearest: half as far off.
    const often = curveOf([at(0, 0), at(0.5, 39), at(0.5, 41), at(0.5, 38), at(0.5, 42), at(1, 80)]);
    expect(leverPlace(often, 40)).toMatchObject({
      pulls: 4,
      plusMinus: expect.closeTo(0.25 * 1.96 * 0.03, 4) as number,
    });
    expect(leverPlace(curve, 40, 8)?.plusMinus).toBeCloseTo(Math.hypot(0.1, 0.5 * 1.96 * 0.03), 4);
    expect(leverPlace(curve, 90)).toBeNull();
    // Beyond the ends of the sweep nothing is claimed.
    expect(leverPlace(curve, 79.9)?.plusMinus).toBeLessThan(1.96 * 0.03);
  });

  it('means several pulls of one place, and levels what the scale scatters', () => {
    const curve = curveOf([at(0, 1), at(0.5, 49), at(0.5, 51), at(0.7, 49), at(1, 80)]);
    expect(curve.forceAt(0.5)).toBeCloseTo(50, 9);
    expect(curve.forceAt(0.7)).toBeCloseTo(50, 9);
  });

  it('refuses a free that is not free, a fall, and a few', () => {
    expect(leverCurve([at(0, 14), at(0.5, 40), at(1, 80)])).toMatchObject({ ok: false, reason: 'free-not-free' });
    expect(leverCurve([at(0, 1), at(0.5, 60), at(1, 40)])).toMatchObject({
      reason: 'not-monotone',
      figures: { position: 1 },
    });
    expect(leverCurve([at(0, 1), at(1, 40)])).toMatchObject({ reason: 'too-few-places' });
    expect(leverCurve([at(0.2, 30), at(0.5, 30), at(1, 30)])).toMatchObject({ reason: 'no-sweep' });
  });

  it('learns newtons for each turn of the preset', () => {
    expect(presetGain([at(0.5, 40), at(0.5, 41)])).toBeNull();
    expect(presetGain([at(0.5, 40), at(0.5, 52, 1.5)])).toEqual({ newtonsPerTurn: 8, plusMinusN: null });
    const gain = presetGain([at(0.5, 40), at(0.5, 48.2, 1), at(0.5, 56, 2), at(0.5, 63.8, 3)]);
    expect(gain?.newtonsPerTurn).toBeCloseTo(7.92, 6);
    expect(gain?.plusMinusN).toBeGreaterThan(0);
  });
});

describe('the preset', () => {
  const after = (...acts: readonly PresetAct[]) =>
    acts.reduce<PresetState>((state, act) => {
      const next = stepPreset(state, act);
      if (!next.ok) throw new Error(next.reason);
      return next.value;
    }, PRESET_AT_START);

  it('is turned in free spool only', () => {
    expect(after({ act: 'turn', turns: 1 }, { act: 'into-gear' })).toEqual({
      lever: 'in gear',
      turns: 1,
      wrongTurns: 0,
    });
    expect(stepPreset(after({ act: 'into-gear' }), { act: 'turn', turns: 1 })).toMatchObject({
      ok: false,
      reason: 'in-gear',
    });
  });

  it('once turned in gear, is undone by as much before anything else', () => {
    const wrong = after({ act: 'into-gear' }, { act: 'was-turned-in-gear', turns: 2 });
    expect(stepPreset(wrong, { act: 'into-gear' })).toMatchObject({ reason: 'undo-first' });
    const back = stepPreset(wrong, { act: 'to-free' });
    const free = back.ok ? back.value : wrong;
    expect(stepPreset(free, { act: 'turn', turns: 1 })).toMatchObject({
      reason: 'undo-first',
      figures: { wrongTurns: 2 },
    });
    expect(stepPreset(free, { act: 'turn', turns: -2 })).toMatchObject({
      ok: true,
      value: { turns: 0, wrongTurns: 0 },
    });
    expect(stepPreset(PRESET_AT_START, { act: 'was-turned-in-gear', turns: 1 })).toMatchObject({
      reason: 'not-in-gear',
    });
    expect(stepPreset(PRESET_AT_START, { act: 'turn', turns: 40 })).toMatchObject({ reason: 'too-many-turns' });
    expect(stepPreset(PRESET_AT_START, { act: 'turn', turns: 0 })).toMatchObject({ reason: 'too-many-turns' });
  });
});
