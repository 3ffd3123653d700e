import { buildLoadedLine } from '../spool/loadedLine';
import { rigStrength } from '../strength/rigStrength';
import { dragNow, startFight, stepFight, type FightSetup, type FightState } from './fight';
import { LINE_FRICTION, WATER_DENSITY } from './waterPull';

const line = (topM: number) =>
  buildLoadedLine({ arborDiameterM: 0.04, widthM: 0.035 }, [
    { id: 'a', name: 'braid', lengthM: 350, lineDiameterM: 0.0004, packing: 0.65, wound: true },
    { id: 'b', name: 'top', lengthM: topM, lineDiameterM: 0.0007, packing: 0.68, wound: true },
  ]);
const LINE = line(100);
const exact = (value: number) => ({ value, sd: 0, source: 'measured' as const });
const STRENGTH = rigStrength(
  [
    { segmentId: 'a', name: 'braid', lengthM: 350, strengthN: exact(380), boundN: null },
    { segmentId: 'b', name: 'top', lengthM: 100, strengthN: exact(340), boundN: null },
  ],
  [{ joinId: 'j', name: 'join', innerSegmentId: 'a', outerSegmentId: 'b', efficiency: exact(0.85), boundShare: null }],
);
const SETUP: FightSetup = {
  ...{ line: LINE, strength: STRENGTH, setForceN: 72, breakawayRatio: 1.25, rodStiffnessNPerM: 80 },
  // No stretch in the line: the rod alone gives, an eightieth of a metre for a newton.
  pieces: [
    { lengthM: 350, material: 'braid', strengthN: 1e12 },
    { lengthM: 100, material: 'nylon', strengthN: 1e12 },
  ],
  water: { densityKgM3: WATER_DENSITY.sea, friction: LINE_FRICTION },
  fish: { pullN: 180, speedMS: 8, massKg: 60 },
};
const STEP_S = 1 / 60;
const never = (): number => {
  throw new Error('no chance was to be drawn');
};
const state = (change: Partial<FightState>): FightState => ({
  ...startFight(SETUP),
  lineOutM: 150,
  distanceM: 150,
  ...change,
});
const step = (change: Partial<FightState>, drag = 50, winding = false, setup = SETUP, chance = never): FightState =>
  stepFight(setup, state(change), { drag, winding }, STEP_S, chance);
/** What the water holds back of so much line (N): ½ρ·π·δ·Cf·u² over each length, as the model states it. */
const waterN = (speedMS: number, pieces: readonly (readonly [lengthM: number, diameterM: number])[]) =>
  pieces.reduce(
    (sum, [lengthM, diameterM]) =>
      sum + 0.5 * WATER_DENSITY.sea * Math.PI * diameterM * LINE_FRICTION.value * speedMS ** 2 * lengthM,
    0,
  );

describe('a fight begins', () => {
  it('with thirty metres out, or half of a short line, at its place nearest to the hook', () => {
    expect(startFight(SETUP)).toMatchObject({
      ...{ lineOutM: 30, distanceM: 30, speedMS: 0, mood: 'run', moodEndsS: 8, stamina: 1, slipping: false },
      ...{ tipForceN: 0, fishForceN: 0, headroom: Infinity, joins: [], closest: null, end: null },
    });
    expect(startFight(SETUP).nearest.name).toBe('top');
    const short = buildLoadedLine({ arborDiameterM: 0.04, widthM: 0.035 }, [
      { id: 'b', name: 'top', lengthM: 40, lineDiameterM: 0.0007, packing: 0.68, wound: true },
    ]);
    expect(startFight({ ...SETUP, line: short }).lineOutM).toBe(20);
  });
});

describe('a moment of a fight', () => {
  it('follows from thrust, rod and water: a locked drag', () => {
    const speedMS = 3;
    const after = step({ speedMS, tipForceN: 50, distanceM: 151 });
    // 100 m of top shot and 50 m of braid are out.
    const water = waterN(speedMS, [
      [100, 0.0007],
      [50, 0.0004],
    ]);
    const thrustN = 180 * (1 - (speedMS / 8) ** 2);
    expect(after.speedMS).toBeCloseTo(speedMS + ((thrustN - 50 - water) / 60) * STEP_S, 6);
    expect(after.distanceM).toBeCloseTo(151 + after.speedMS * STEP_S, 9);
    expect(after.lineOutM).toBe(150);
    expect(after.tipForceN).toBeCloseTo(80 * (after.distanceM - 150), 3);
    expect(after.fishForceN).toBeCloseTo(after.tipForceN + water, 6);
    expect(after.slipping).toBe(false);
    // The join bears what lies between it and the spool no more: only the braid's water is missing there.
    const [join] = after.joins;
    expect(join?.id).toBe('j');
    expect(join?.tensionN).toBeCloseTo(after.tipForceN + waterN(speedMS, [[50, 0.0004]]), 3);
    // The top shot bears all of it at the hook.
    expect(after.headroom).toBeCloseTo(
      Math.min(340 / after.fishForceN, (0.85 * 340) / (join?.tensionN ?? NaN), 380 / (join?.tensionN ?? NaN)),
      6,
    );
  });

  it('tires the fish by its pull over its way, and by holding', () => {
    const [speedMS, tipForceN] = [2, 60];
    const thrustN = 180 * (1 - (speedMS / 8) ** 2);
    const after = step({ speedMS, tipForceN });
    expect(after.stamina).toBeCloseTo(1 - ((tipForceN * after.speedMS + thrustN) * STEP_S) / (180 * 900), 12);
    expect(step({ stamina: 0.15, speedMS, tipForceN }).stamina).toBe(0.15);
  });

  it('has no join in it that is not out', () => {
    expect(step({ lineOutM: 99, distanceM: 99 }).joins).toEqual([]);
    expect(step({ lineOutM: 100, distanceM: 100 }).joins).toHaveLength(1);
  });

  it('gains line by winding while nothing slips, down to the last metre', () => {
    expect(step({}, 50, true).lineOutM).toBeCloseTo(150 - 0.9 * STEP_S, 9);
    expect(step({}, 50, false).lineOutM).toBe(150);
    expect(step({ slipping: true }, 50, true).lineOutM).toBe(150);
    expect(step({ lineOutM: 1.005, distanceM: 1 }, 50, true).lineOutM).toBeCloseTo(1, 9);
  });

  it('slips from a standing drag only past its breakaway, from a moving one past its moving pull, and to that', () => {
    const holdsN = dragNow(SETUP, 150, 1);
    // Between the two: 1.1 times the moving pull.
    const between = { distanceM: 150 + (1.1 * holdsN) / 80, tipForceN: 180 };
    expect(step(between, 1)).toMatchObject({ slipping: false, lineOutM: 150 });
    const moving = step({ ...between, slipping: true }, 1);
    expect(moving.slipping).toBe(true);
    expect(moving.tipForceN).toBeCloseTo(holdsN, 3);
    expect(step({ ...between, distanceM: 150 + (1.4 * holdsN) / 80 }, 1).slipping).toBe(true);
  });

  it('ends when it breaks, when the spool is bare, and when the fish is at hand; an ended one stays', () => {
    const torn = step({ distanceM: 155 });
    expect(torn.end).toBe('broken');
    expect(torn.headroom).toBeLessThan(1);
    expect(stepFight(SETUP, torn, { drag: 1, winding: false }, STEP_S, never)).toBe(torn);
    expect(step({ lineOutM: LINE.totalLengthM, distanceM: LINE.totalLengthM }).end).toBe('spooled');
    expect(step({ lineOutM: 5, distanceM: 4 }).end).toBe('landed');
    expect(step({ lineOutM: 5.1, distanceM: 4 }).end).toBeNull();
  });

  it('keeps the moment in which a locked drag would most surely have broken it', () => {
    const setup = { ...SETUP, fish: { pullN: 420, speedMS: 12, massKg: 150 } };
    const holdsN = dragNow(SETUP, 150, 1);
    const at = { distanceM: 150 + (1.5 * holdsN) / 80, tipForceN: holdsN, speedMS: 4, slipping: true };
    const after = step(at, 1, false, setup);
    const thrustN = 420 * (1 - (4 / 12) ** 2);
    const lockedN = thrustN + after.speedMS * Math.sqrt(150 * 80);
    expect(after.closest).toMatchObject({ timeS: STEP_S, lineOutM: after.lineOutM, place: after.nearest.name });
    expect(after.closest?.lockedShare).toBeCloseTo(lockedN / after.nearest.strengthN.value, 3);
    expect(after.closest?.tighter).toBe(after.headroom);
    // A surer one before it stays; one that could not have broken it is none.
    const surer = { ...(after.closest ?? fail()), lockedShare: 99 };
    expect(step({ ...at, closest: surer }, 1, false, setup).closest).toBe(surer);
    expect(step({ ...at, speedMS: 0 }, 1).closest).toBeNull();
    expect(step({ ...at, slipping: false, distanceM: 150 }, 1, false, setup).closest).toBeNull();
  });
});

describe('the moods of a fish', () => {
  const draws = (...numbers: readonly number[]) => {
    const left = [...numbers];
    return () => left.shift() ?? never();
  };
  const timeS = 10;
  const mood = (before: Partial<FightState>, ...numbers: readonly number[]) => {
    const after = step({ timeS, moodEndsS: timeS, ...before }, 50, false, SETUP, draws(...numbers));
    return { mood: after.mood, lastsS: after.moodEndsS - after.timeS };
  };

  it('stay until they end', () => {
    expect(step({ timeS, moodEndsS: timeS + 1, mood: 'rest' })).toMatchObject({ mood: 'rest', moodEndsS: timeS + 1 });
  });

  it('change by chance: a surge is short and goes on as a run; a tired fish rests more', () => {
    expect(mood({ mood: 'run' }, 0.29)).toEqual({ mood: 'surge', lastsS: expect.closeTo(0.5, 9) });
    expect(mood({ mood: 'run' }, 0.5, 0.5)).toEqual({ mood: 'run', lastsS: expect.closeTo(6.5, 9) });
    expect(mood({ mood: 'run' }, 0.66, 0.5)).toEqual({ mood: 'rest', lastsS: expect.closeTo(6, 9) });
    expect(mood({ mood: 'run', stamina: 0.2 }, 0.5, 0.5)).toEqual({ mood: 'rest', lastsS: expect.closeTo(6, 9) });
    expect(mood({ mood: 'surge' }, 0.5)).toEqual({ mood: 'run', lastsS: expect.closeTo(4, 9) });
  });

  it('thrust as they are: a surge 2.6 times a run, a rest hardly, less the faster it swims, and back against the way', () => {
    const gain = (of: FightState['mood'], speedMS = 0) =>
      ((step({ mood: of, moodEndsS: 99, speedMS }).speedMS - speedMS) * 60) / STEP_S;
    expect(gain('run')).toBeCloseTo(180, 6);
    expect(gain('surge')).toBeCloseTo(2.6 * 180, 6);
    expect(gain('rest')).toBeCloseTo(0.15 * 180, 6);
    const water = (speedMS: number) =>
      waterN(speedMS, [
        [100, 0.0007],
        [50, 0.0004],
      ]);
    expect(gain('run', 8) + water(8)).toBeCloseTo(0, 3);
    // Pulled backwards, its thrust and the way it makes are one against the other.
    expect(gain('run', -4) + water(4)).toBeCloseTo(180 * 1.25, 3);
    expect(gain('run', 16) + water(16)).toBeCloseTo(-180, 3);
  });
});

function fail(): never {
  throw new Error('there is no such moment');
}
