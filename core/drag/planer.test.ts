import { leverCurve } from './leverCurve';
import { CREEP_GUIDE, planerAdvice } from './planerAdvice';
import {
  planerBracket,
  PLANER_SPEED_MS,
  pullAtSpeed,
  waterOf,
  type Creep,
  type CreepObservation,
} from './planerBracket';
import { towPlaner, type Tow } from './towPlaner';

const look = (holdsN: number, creep: Creep, change: Partial<CreepObservation> = {}): CreepObservation => ({
  speedMS: PLANER_SPEED_MS,
  holdsN,
  water: 'ordinary',
  creep,
  isSet: true,
  ...change,
});
const bracketOf = (observations: readonly CreepObservation[]) => {
  const bracket = planerBracket(observations);
  if (!bracket.ok) throw new Error(bracket.reason);
  return bracket.value;
};

describe('the bracket of a planer’s pull', () => {
  it('closes in between what creeps and what holds', () => {
    const loose = bracketOf([look(100, 'much')]);
    const tight = bracketOf([look(100, 'much'), look(180, 'none'), look(120, 'much'), look(150, 'some')]);
    expect(tight.lowN).toBeGreaterThan(100);
    expect(tight.highN).toBeLessThan(200);
    expect((tight.highN - tight.lowN) / tight.midN).toBeLessThan((loose.highN - loose.lowN) / loose.midN);
  });

  it('does not count a planer that was not set: one that never dived does not creep either', () => {
    expect(planerBracket([look(40, 'none', { isSet: false })])).toMatchObject({ ok: false, reason: 'nothing-counts' });
    const fooled = [look(120, 'much'), look(40, 'none', { isSet: false })];
    expect(bracketOf(fooled)).toEqual(bracketOf([look(120, 'much')]));
  });

  it('knows that the pull goes with the square of the speed', () => {
    expect(pullAtSpeed(100, 2 * PLANER_SPEED_MS)).toBeCloseTo(400, 9);
    const slow = bracketOf([look(100, 'some', { speedMS: 0.9 * PLANER_SPEED_MS })]);
    expect(slow.midN).toBeGreaterThan(bracketOf([look(100, 'some')]).midN);
  });

  it('calls a following sea or a head current hard, and anything else ordinary', () => {
    expect(waterOf('into the waves', 'with you')).toBe('ordinary');
    expect(waterOf('across', 'none')).toBe('ordinary');
    expect(waterOf('following sea', 'with you')).toBe('hard');
    expect(waterOf('into the waves', 'against you')).toBe('hard');
  });

  it('learns less from a hard water than from an ordinary one', () => {
    const width = (water: CreepObservation['water']): number => {
      const { lowN, midN, highN } = bracketOf([look(100, 'much', { water }), look(150, 'none', { water })]);
      return (highN - lowN) / midN;
    };
    expect(width('hard')).toBeGreaterThan(width('ordinary'));
  });
});

describe('advice for lever and preset', () => {
  const curve = leverCurve([
    { position: 0, forceN: 0, presetTurns: 0 },
    { position: 0.5, forceN: 150, presetTurns: 0 },
    { position: 1, forceN: 300, presetTurns: 0 },
  ]);
  const lever = curve.ok ? curve.value : null;
  const bracket = (midN: number) => ({
    speedMS: PLANER_SPEED_MS,
    lowN: 0.8 * midN,
    midN,
    highN: 1.2 * midN,
    counted: 5,
  });
  const gain = { newtonsPerTurn: 30, plusMinusN: 4 };

  it('is content with a preset that stops creep at about half of the sweep', () => {
    const advice = planerAdvice(bracket(135), PLANER_SPEED_MS, lever, gain);
    expect(advice).toMatchObject({ preset: 'right', presetTurns: null });
    // It holds the highest likely pull, its waves and a reserve.
    expect(lever?.forceAt(advice.position ?? 0)).toBeCloseTo(135 * 1.2 * 1.15 * 1.15, 0);
    expect(advice.unheardAboveN).toBeGreaterThan(135);
  });

  it('turns it tighter or looser by what a turn was found to do, and says nothing without a curve', () => {
    const tighter = planerAdvice(bracket(220), PLANER_SPEED_MS, lever, gain);
    expect(tighter.preset).toBe('tighter');
    expect(tighter.presetTurns).toBeGreaterThan(0);
    expect(tighter.position).toBeNull();
    expect(planerAdvice(bracket(60), PLANER_SPEED_MS, lever, gain)).toMatchObject({ preset: 'looser' });
    expect(planerAdvice(bracket(60), PLANER_SPEED_MS, null, null)).toMatchObject({ preset: 'unknown', position: null });
    expect(CREEP_GUIDE[0]?.what.reason).toBe('creep-slow-down');
  });
});

describe('ten minutes in tow', () => {
  const tow: Tow = { pullAt6KnN: 120, speedMS: PLANER_SPEED_MS, waveSpeedMS: 0.2, wavePeriodS: 5, holdsN: 150 };
  const even = (): number => 0.5;

  it('does not creep while the drag holds every wave, and creeps the more the less it holds', () => {
    const held = towPlaner({ ...tow, holdsN: 200 }, even);
    expect(held).toMatchObject({ creptM: 0, creep: 'none', slipping: 0 });
    const amounts = [150, 130, 118, 100].map((holdsN) => towPlaner({ ...tow, holdsN }, even).creptM);
    expect(amounts).toEqual(amounts.toSorted((a, b) => a - b));
    expect(towPlaner({ ...tow, holdsN: 90 }, even).creep).toBe('much');
  });

  it('never pulls more than the drag holds, and slips as far as the planer falls behind', () => {
    const calm = towPlaner({ ...tow, waveSpeedMS: 0, holdsN: 30 }, even);
    expect(calm.peakN).toBe(30);
    // Held to a quarter of its pull a planer goes at half of the speed: the line pays out at the other half.
    expect(calm.creptM / 600).toBeCloseTo(PLANER_SPEED_MS / 2, 2);
    expect(calm.slipping).toBe(1);
  });
});
