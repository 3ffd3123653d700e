import { enoughOf, isUseless, lengthByHandM, NEARLY } from './enough';

describe('a figure whose ± makes it useless', () => {
  it('is one that is known to no third of itself, a strength to no half', () => {
    expect(isUseless('length', 100, 29)).toBe(false);
    expect(isUseless('length', 100, 31)).toBe(true);
    expect(isUseless('strength', 40, 19)).toBe(false);
    expect(isUseless('strength', 40, 21)).toBe(true);
    expect(isUseless('level', 0.002, 0.0039)).toBe(false);
    expect(isUseless('level', 0.002, 0.0041)).toBe(true);
  });

  it('is none where no hand does better: a thin line to a level that is read to half a millimetre', () => {
    // By volume: a millimetre of level on a spool 57 mm across and 28 mm wide takes 28.2 m of a line that takes 0.178 mm².
    const byHandM = lengthByHandM({ fullDiameterM: 0.057, widthM: 0.028 }, 1.778e-7);
    expect(byHandM).toBeCloseTo(28.2 * (enoughOf('level', 0.002).plusMinus / 0.001), 1);
    expect(byHandM).toBeGreaterThan(0.3 * 21);
    expect(isUseless('length', 21, byHandM)).toBe(true);
    expect(isUseless('length', 21, byHandM, byHandM)).toBe(false);
    expect(isUseless('length', 21, 1.01 * NEARLY * byHandM, byHandM)).toBe(true);
    // Never called useless where more measuring is called not worth it.
    for (const kind of ['length', 'counter', 'strength', 'target', 'straight', 'lever', 'depth'] as const) {
      for (const value of [0.2, 1, 7, 60]) {
        const { plusMinus } = enoughOf(kind, value);
        expect([kind, value, isUseless(kind, value, plusMinus)]).toEqual([kind, value, false]);
      }
    }
  });
});
