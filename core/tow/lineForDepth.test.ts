import type { LineDragBy } from './lineDrag';
import { lineForDepth } from './lineForDepth';
import { AIR, waterOf } from './medium';
import { towProfile } from './towProfile';
import type { Tow } from './towStack';
import type { TowedPiece } from './towedLine';

const LAKE = waterOf('fresh', 15);
const BY: LineDragBy = { law: 'reynolds', cn: 1.2, ct: 0.01, humFactor: 1 };
const MPH = 0.44704;
const FOOT = 0.3048;

const piece = (lengthM: number, diameterM: number, weight: number): TowedPiece => ({
  ...{ lengthM, diameterM, submergedWeightNPerM: weight },
  dryWeightNPerM: weight + (LAKE.densityKgM3 * 9.80665 * Math.PI * diameterM ** 2) / 4,
});
const leader = (lengthM: number): TowedPiece => piece(lengthM, 0.0003, 0.0001);
const leadCore = (lengthM: number): TowedPiece => piece(lengthM, 0.00082, 0.0125);
const braid = (lengthM: number): TowedPiece => piece(lengthM, 0.00025, -0.00001);

const tow = (over: Partial<Tow>): Tow => ({
  ...{ speedMS: 0.85, water: LAKE, air: AIR, by: BY, lure: { dragN: 0.8, downN: 0.05 } },
  ...{ pieces: [leader(6), leadCore(30), braid(30)], loads: [], tipHeightM: 1.3, bottomM: null },
  ...over,
});

describe('the other way round', () => {
  test.each([0, 1.3])('the length for a depth is the one whose depth it is, with the tip %d m up', (tipHeightM) => {
    for (const lengthM of [5, 30, 80]) {
      const whole = towProfile(tow({ tipHeightM, pieces: [leader(6), leadCore(30), braid(lengthM)] }));
      const found = lineForDepth(tow({ tipHeightM }), { depthM: whole.depthM ?? NaN });
      expect(found).toMatchObject({ ok: true, value: { lengthM: expect.closeTo(lengthM, 4) } });
      const back = lineForDepth(tow({ tipHeightM }), { setbackM: whole.setbackM ?? NaN });
      expect(back).toMatchObject({ ok: true, value: { lengthM: expect.closeTo(lengthM, 5) } });
    }
  });

  test('says what stands in the way: too deep, already too deep, a line that floats', () => {
    expect(lineForDepth(tow({}), { depthM: 400 })).toMatchObject({ reason: 'goal-too-deep' });
    const short = towProfile(tow({ pieces: [leader(6), leadCore(20)] })).depthM ?? NaN;
    const near = lineForDepth(tow({}), { depthM: short });
    expect(near).toMatchObject({ reason: 'goal-too-near', figures: { shortByM: expect.closeTo(10, 1) } });
    const floats = tow({ pieces: [piece(30, 0.001, -0.004)], lure: { dragN: 1, downN: 0.3 }, speedMS: 0.5 });
    expect(lineForDepth(floats, { depthM: 20 })).toMatchObject({ reason: 'goal-floats' });
  });
});

describe('states', () => {
  test('a tip that is too high lifts the lure out; line of no weight that floats lies on the surface; water can be too shallow', () => {
    expect(towProfile(tow({ pieces: [leader(1)], tipHeightM: 1.3 }))).toMatchObject({
      status: 'lifted out',
      depthM: null,
    });
    const floating = tow({ pieces: [piece(200, 0.001, -0.004)], lure: { dragN: 1, downN: 0.3 }, speedMS: 0.5 });
    const laid = towProfile({ ...floating, tipHeightM: 1 });
    expect(laid.status).toBe('lies on the surface');
    // What is told is all of the line: in the water, on it, and in the air.
    const inAirM = 200 - (laid.immersedM ?? NaN);
    expect(inAirM).toBeGreaterThan(1);
    expect(laid.setbackM).toBeLessThan(200);
    expect(towProfile(tow({ bottomM: 4 })).status).toBe('on the bottom');
    expect(towProfile(tow({ bottomM: 40 })).status).toBe('settled');
  });

  test('a lure that lifts a heavy line can leave it slack', () => {
    const line = [piece(20, 0.0008, 0.02)];
    expect(towProfile(tow({ pieces: line, lure: { dragN: 1e-12, downN: -0.35 }, speedMS: 0 })).status).toBe('slack');
  });
});

describe('figures of the trade (common practice, no source)', () => {
  const depthFt = (over: Partial<Tow>): number => (towProfile(tow(over)).depthM ?? NaN) / FOOT;
  const COLOUR_M = 9.144;

  test('lead core gives 4 to 5 ft a colour at 1.8 to 2 mph, five colours about 25 ft', () => {
    for (const mph of [1.8, 2]) {
      const five = depthFt({ speedMS: mph * MPH, pieces: [leader(6), leadCore(5 * COLOUR_M), braid(3)] });
      expect(five / 5).toBeGreaterThan(3.6);
      expect(five / 5).toBeLessThan(6.2);
    }
  });

  test('three colours with a hundred feet of thin braid behind them swim at about 30 ft at 2 mph', () => {
    const three = depthFt({ speedMS: 2 * MPH, pieces: [leader(6), leadCore(3 * COLOUR_M), braid(100 * FOOT)] });
    expect(three).toBeGreaterThan(20);
    expect(three).toBeLessThan(36);
  });
});
