import { lengthPaidOutM, lengthWoundOnM, turnsBetween, turnsPayingOut, turnsWindingOn } from './turns';

const AREA = 2e-7;
const WIDTH = 0.03;

describe('turns and lengths', () => {
  it('are each other’s inverse paying out', () => {
    for (const lengthM of [0, 0.001, 1, 30, 150]) {
      const turns = turnsPayingOut(lengthM, 0.06, AREA, WIDTH);
      expect(lengthPaidOutM(turns, 0.06, AREA, WIDTH)).toBeCloseTo(lengthM, 10);
    }
  });

  it('winding on is paying out run backwards', () => {
    const turns = turnsPayingOut(100, 0.06, AREA, WIDTH);
    const inner = 0.06 - (2 * AREA * turns) / WIDTH;
    expect(lengthWoundOnM(turns, inner, AREA, WIDTH)).toBeCloseTo(100, 10);
  });

  it('of a line without thickness are length over circumference', () => {
    expect(turnsPayingOut(100, 0.05, 1e-16, WIDTH)).toBeCloseTo(100 / (Math.PI * 0.05), 6);
  });

  it('keep their digits for a hair-thin line where the textbook form loses them', () => {
    const areaM2 = 1e-18;
    const textbook = (WIDTH / (2 * areaM2)) * (0.06 - Math.sqrt(0.06 ** 2 - (4 * areaM2 * 10) / (Math.PI * WIDTH)));
    const exact = 10 / (Math.PI * 0.06);
    expect(Math.abs(turnsPayingOut(10, 0.06, areaM2, WIDTH) / exact - 1)).toBeLessThan(1e-9);
    expect(Math.abs(textbook / exact - 1)).toBeGreaterThan(1e-9);
  });

  it('wind on what was wound on, from the arbor as from a half-full spool', () => {
    for (const inner of [0.03, 0.045]) {
      for (const lengthM of [0, 2, 40, 120]) {
        const turns = turnsWindingOn(lengthM, inner, AREA, WIDTH);
        expect(lengthWoundOnM(turns, inner, AREA, WIDTH)).toBeCloseTo(lengthM, 10);
        const outer = inner + (2 * AREA * turns) / WIDTH;
        expect(turnsBetween(lengthM, inner, outer)).toBeCloseTo(turns, 10);
      }
    }
  });

  it('reach the very middle of a spool, and no further', () => {
    // All of a solid spool: D² = 4aL/(πw).
    const allM = (Math.PI * WIDTH * 0.06 ** 2) / (4 * AREA);
    const turns = (0.06 * WIDTH) / (2 * AREA);
    expect(turnsPayingOut(allM * (1 - 1e-12), 0.06, AREA, WIDTH)).toBeCloseTo(turns, -1);
    expect(lengthPaidOutM(turns, 0.06, AREA, WIDTH)).toBeCloseTo(allM, 6);
    expect(() => lengthPaidOutM(turns * 1.001, 0.06, AREA, WIDTH)).toThrow(/more than the spool holds/);
  });

  it.each([
    ['turnsPayingOut', turnsPayingOut],
    ['lengthPaidOutM', lengthPaidOutM],
    ['turnsWindingOn', turnsWindingOn],
    ['lengthWoundOnM', lengthWoundOnM],
  ])('%s names itself when a figure cannot be', (name, f) => {
    const good: readonly [number, number, number, number] = [1, 0.06, AREA, WIDTH];
    for (const place of [0, 1, 2, 3]) {
      for (const bad of place === 0 ? [-1, NaN] : [0, -1, NaN, Infinity]) {
        const [a, b, c, d] = good.with(place, bad) as unknown as typeof good;
        expect(() => f(a, b, c, d)).toThrow(new RegExp(`^${name}: `));
      }
    }
  });

  it('between two diameters ask for both', () => {
    expect(() => turnsBetween(-1, 0.03, 0.06)).toThrow(/turnsBetween: lengthM/);
    expect(() => turnsBetween(1, 0, 0.06)).toThrow(/turnsBetween: innerDiameterM/);
    expect(() => turnsBetween(1, 0.03, NaN)).toThrow(/turnsBetween: outerDiameterM/);
  });

  it('throw when asked for more than the spool holds', () => {
    expect(() => turnsPayingOut(1e6, 0.06, AREA, WIDTH)).toThrow(/more than the spool holds/);
    expect(() => lengthPaidOutM(1e6, 0.06, AREA, WIDTH)).toThrow(/more than the spool holds/);
    expect(() => turnsPayingOut(-1, 0.06, AREA, WIDTH)).toThrow(RangeError);
    expect(() => lengthWoundOnM(-1, 0.06, AREA, WIDTH)).toThrow(RangeError);
  });
});
