import { leverCurve } from '../leverCurve';
import { CREEP_ALTERNATIVES, CREEP_STEPS, leverAdvice, planerAdvice } from './planerAdvice';
import { leverBracket, planerBracket, pullAtSpeed } from './planerBracket';
import {
  outingNumbers,
  PLANER_SPEED_MS,
  waterOf,
  type Creep,
  type CreepObservation,
  type HandPull,
  type LeverLook,
} from './planerLooks';
import { unheardAbove } from './strikesHeard';
import { towPlaner, type Tow } from './towPlaner';

const seen = (creep: Creep) => ({
  ...{ speedMS: PLANER_SPEED_MS, water: 'ordinary' as const, creep, isSet: true, outing: null },
});
const look = (holdsN: number, creep: Creep, change: Partial<CreepObservation> = {}): CreepObservation => ({
  ...{ ...seen(creep), holdsN, ...change },
});
const at = (percent: number, creep: Creep, change: Partial<LeverLook> = {}): LeverLook => ({
  ...{ ...seen(creep), position: percent / 100, ...change },
});
const bracketOf = (observations: readonly CreepObservation[]) => {
  const bracket = planerBracket(observations);
  if (!bracket.ok) throw new Error(bracket.reason);
  return bracket.value;
};
const CLOSING = [at(30, 'much'), at(70, 'none'), at(50, 'some'), at(45, 'much'), at(60, 'none')];

describe('the bracket of a planer’s pull in newtons', () => {
  it('closes in between what creeps and what holds', () => {
    const loose = bracketOf([look(100, 'much')]);
    const tight = bracketOf([look(100, 'much'), look(180, 'none'), look(120, 'much'), look(150, 'some')]);
    expect(tight.lowN).toBeGreaterThan(90);
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

  it('keeps what a scale ashore leaves open, however many looks there are', () => {
    const many = Array.from({ length: 40 }, (_, index) => look(index % 2 ? 140 : 175, index % 2 ? 'some' : 'none'));
    const { lowN, highN } = bracketOf(many);
    // 1.64 SDs of 0.17 to either side.
    expect(Math.log(highN / lowN)).toBeGreaterThan(2 * 1.64 * 0.17 * 0.95);
  });

  it('takes contradictions without losing its head, and names the worst', () => {
    const torn = bracketOf([
      look(100, 'none'),
      look(150, 'much'),
      look(150, 'much'),
      look(160, 'much'),
      look(220, 'none'),
    ]);
    expect(torn.lowN).toBeGreaterThan(0);
    expect(torn.conflicts[0]).toMatchObject({ look: 0, worst: true });
    const apart = bracketOf(
      Array.from({ length: 120 }, (_, index) => look(index % 2 ? 20 : 900, index % 2 ? 'none' : 'much')),
    );
    expect(Number.isFinite(apart.midN) && apart.highN > apart.lowN).toBe(true);
  });
});

describe('the place of the lever that stops the creep, by feel', () => {
  it('begins at half of the sweep within a wide range, and closes in', () => {
    const before = leverBracket([]);
    expect(before.stops.mid).toBeCloseTo(0.5, 2);
    // 1.64 SDs of 0.6: the prior of the model.
    expect(before.stops.low).toBeCloseTo(0.5 * Math.exp(-1.645 * 0.6), 2);
    const after = leverBracket(CLOSING);
    expect(after.stops.low).toBeGreaterThan(0.4);
    expect(after.stops.high).toBeLessThan(0.7);
    expect(after.conflicts).toEqual([]);
  });

  it('needs the lever further forward when it is faster, and in a hard sea', () => {
    const bracket = leverBracket(CLOSING);
    const usual = bracket.placeFor(PLANER_SPEED_MS, 'ordinary');
    expect(usual.mid).toBeCloseTo(bracket.stops.mid, 2);
    // A day of its own is in the place, not in the bracket.
    expect(usual.high / usual.low).toBeGreaterThan(bracket.stops.high / bracket.stops.low);
    expect(bracket.placeFor(1.2 * PLANER_SPEED_MS, 'ordinary').mid).toBeGreaterThan(1.15 * usual.mid);
    expect(bracket.placeFor(PLANER_SPEED_MS, 'hard').mid).toBeGreaterThan(1.1 * usual.mid);
  });

  it('learns what a hard sea adds from looks in it', () => {
    const calm = leverBracket([...CLOSING, at(62, 'none', { water: 'hard' }), at(60, 'none', { water: 'hard' })]);
    const rough = leverBracket([...CLOSING, at(85, 'much', { water: 'hard' }), at(90, 'much', { water: 'hard' })]);
    expect(calm.hardSea.mid).toBeLessThan(leverBracket(CLOSING).hardSea.mid);
    expect(rough.hardSea.low).toBeGreaterThan(1.2);
  });

  it('takes eight looks in a row for one outing, which leave a day’s share open; eight days leave less', () => {
    expect(outingNumbers([{ outing: null }, { outing: 'b' }, { outing: null }, { outing: 'b' }])).toEqual([0, 1, 0, 1]);
    expect(new Set(outingNumbers(Array.from({ length: 17 }, () => ({ outing: null })))).size).toBe(3);
    const looks = [...CLOSING, ...CLOSING, ...CLOSING].slice(0, 8);
    const width = (outings: readonly LeverLook[]) => {
      const { low, high } = leverBracket(outings).stops;
      return high / low;
    };
    expect(width(looks.map((each, index) => ({ ...each, outing: `day ${index}` })))).toBeLessThan(width(looks));
  });

  it('takes a hand pull for a weak look', () => {
    const felt = (pull: HandPull) => leverBracket([], [{ position: 0.5, pull }]).stops;
    expect(felt('freely').mid).toBeGreaterThan(0.55);
    expect(felt('not at all').mid).toBeLessThan(0.45);
    expect(felt('reluctantly').mid).toBeCloseTo(0.5, 1);
    // Less than a look with the planer in tow.
    const looked = leverBracket([at(50, 'much')]).stops;
    expect(looked.low).toBeGreaterThan(felt('freely').low);
  });

  it('carries what it learned to the next size or preset, wider by the stated factor', () => {
    const { carried, stops } = leverBracket(CLOSING);
    const next = leverBracket([], [], carried).stops;
    expect(next.mid).toBeCloseTo(stops.mid, 1);
    const sd = Math.log(stops.high / stops.low) / 3.29;
    expect(Math.log(next.high / next.low) / 3.29).toBeCloseTo(Math.hypot(sd, Math.log(1.4)), 1);
    expect(next.high / next.low).toBeLessThan(leverBracket([]).stops.high / leverBracket([]).stops.low);
  });

  it('names the look that contradicts the others, and only that one as the worst', () => {
    const { conflicts } = leverBracket([...CLOSING, at(20, 'none')]);
    expect(conflicts[0]).toMatchObject({ look: 5, worst: true });
    expect(conflicts.filter((each) => each.worst)).toHaveLength(1);
    expect(leverBracket([at(40, 'much'), at(41, 'some')]).conflicts).toEqual([]);
  });

  it('throws on a lever that is back: nothing is towed in free', () => {
    expect(() => leverBracket([at(0, 'none')])).toThrow(/position/);
  });
});

describe('strikes heard and missed', () => {
  it('say nothing of the upper side where there is none, and bracket it where there are', () => {
    expect(unheardAbove([])).toBeNull();
    const strikes = [
      { position: 0.4, isHeard: true },
      { position: 0.5, isHeard: true },
      { position: 0.75, isHeard: false },
    ];
    const range = unheardAbove(strikes);
    expect(range?.mid).toBeGreaterThan(0.5);
    expect(range?.mid).toBeLessThan(0.75);
    expect(range?.low).toBeGreaterThan(0.35);
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
    ...{ speedMS: PLANER_SPEED_MS, lowN: 0.8 * midN, midN, highN: 1.2 * midN, counted: 5, conflicts: [] },
  });
  const gain = { newtonsPerTurn: 30, plusMinusN: 4 };

  it('puts the lever beyond what stops it, with a reserve, and says where the sweep ends', () => {
    const found = leverBracket(CLOSING);
    const { marks, preset } = leverAdvice(found, PLANER_SPEED_MS);
    const [usual, hard] = marks;
    expect(preset).toBe('right');
    expect(usual?.position).toBeGreaterThan(usual?.stops.high ?? 1);
    expect(hard?.stops.mid).toBeGreaterThan(usual?.stops.mid ?? 1);
    const full = leverAdvice(leverBracket([at(95, 'much'), at(100, 'much')]), PLANER_SPEED_MS);
    expect(full.marks[0]?.position).toBeNull();
    expect(full.preset).toBe('tighter');
    expect(leverAdvice(leverBracket([at(15, 'none'), at(12, 'some')]), PLANER_SPEED_MS).preset).toBe('looser');
    expect(leverAdvice(leverBracket([]), PLANER_SPEED_MS).preset).toBe('unknown');
  });

  it('is content with a preset that stops creep at about half of the sweep', () => {
    const advice = planerAdvice(bracket(135), PLANER_SPEED_MS, lever, gain, 250);
    expect(advice).toMatchObject({ preset: 'right', presetTurns: null, isOverLimit: false });
    // It holds the highest likely pull, its waves and a reserve.
    expect(lever?.forceAt(advice.position ?? 0)).toBeCloseTo(135 * 1.2 * 1.15 * 1.15, 0);
  });

  it('says where that is more than the maker of the reel allows', () => {
    expect(planerAdvice(bracket(135), PLANER_SPEED_MS, lever, gain, 200).isOverLimit).toBe(true);
    expect(planerAdvice(bracket(135), PLANER_SPEED_MS, lever, gain, null).isOverLimit).toBe(false);
  });

  it('turns it tighter or looser by what a turn was found to do, and says nothing without a curve', () => {
    const tighter = planerAdvice(bracket(220), PLANER_SPEED_MS, lever, gain, null);
    expect(tighter.preset).toBe('tighter');
    expect(tighter.presetTurns).toBeGreaterThan(0);
    expect(tighter.position).toBeNull();
    expect(planerAdvice(bracket(60), PLANER_SPEED_MS, lever, gain, null)).toMatchObject({ preset: 'looser' });
    expect(planerAdvice(bracket(60), PLANER_SPEED_MS, null, null, null)).toMatchObject({
      preset: 'unknown',
      position: null,
    });
  });

  it('holds the spool before the lever goes to free, as a deck does (common practice, no source)', () => {
    const steps = CREEP_STEPS.map(({ what }) => what.reason);
    expect(steps).toEqual([
      'creep-slow-down',
      'creep-hold-spool',
      'creep-free',
      'creep-preset',
      'creep-in-gear',
      'creep-look-again',
    ]);
    expect(CREEP_ALTERNATIVES.map(({ what }) => what.reason)).toContain('creep-smaller-planer');
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
