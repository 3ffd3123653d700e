import { lengthPaidOutM, lengthWoundOnM, turnsPayingOut } from './turns';

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

  it('throw when asked for more than the spool holds', () => {
    expect(() => turnsPayingOut(1e6, 0.06, AREA, WIDTH)).toThrow(/more than the spool holds/);
    expect(() => lengthPaidOutM(1e6, 0.06, AREA, WIDTH)).toThrow(/more than the spool holds/);
    expect(() => turnsPayingOut(-1, 0.06, AREA, WIDTH)).toThrow(RangeError);
    expect(() => lengthWoundOnM(-1, 0.06, AREA, WIDTH)).toThrow(RangeError);
  });
});
