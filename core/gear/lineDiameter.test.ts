import { arborFromPlainLoad } from './arborFromPlainLoad';
import { diameterFromBraidNumber, diameterFromWraps, guessedDiameter } from './lineDiameter';

describe('diameterFromWraps', () => {
  it('divides the row by its wraps, to about 3 %', () => {
    const { value, sd, source } = diameterFromWraps(0.008, 20);
    expect(value).toBeCloseTo(0.0004, 9);
    expect(sd / value).toBeGreaterThan(0.03);
    // On the space that the line takes this is about 6 to 10 %.
    expect(sd / value).toBeLessThan(0.06);
    expect(source).toBe('measured');
    expect(() => diameterFromWraps(0.008, 0)).toThrow(/wraps/);
  });
});

describe('diameterFromBraidNumber', () => {
  // The published Japanese line standard, from memory: #1 0.165 mm, #2 0.235, #4 0.330, #8 0.470 (diameter with the root).
  it.each([
    [1, 0.165],
    [2, 0.235],
    [4, 0.33],
    [8, 0.47],
  ])('number %d is about %d mm', (number, mm) => {
    expect(diameterFromBraidNumber(number).value * 1000).toBeCloseTo(mm, 2);
  });
});

describe('guessedDiameter', () => {
  it('is a guess, wide, and grows with the root of the strength', () => {
    const ten = guessedDiameter('nylon', 45);
    expect(ten.source).toBe('default');
    expect(ten.sd / ten.value).toBeGreaterThan(0.1);
    expect(guessedDiameter('nylon', 180).value / ten.value).toBeCloseTo(2, 9);
    expect(guessedDiameter('braid', 45).value).toBeLessThan(ten.value);
  });

  it('is about right for common lines (from memory): nylon of 20 lb 0.36 to 0.48 mm, braid of 30 lb 0.2 to 0.32 mm', () => {
    const nylon = guessedDiameter('nylon', 20 * 4.448);
    const braid = guessedDiameter('braid', 30 * 4.448);
    expect(nylon.value).toBeGreaterThan(0.00036);
    expect(nylon.value).toBeLessThan(0.00048);
    expect(braid.value).toBeGreaterThan(0.0002);
    expect(braid.value).toBeLessThan(0.00032);
  });
});

describe('arborFromPlainLoad', () => {
  const known = (value: number, sd: number) => ({ value, sd, source: 'measured' as const });

  it('gives the arbor back, whatever the packing', () => {
    // Worked by hand: 300 m in 2000 turns is a mean circumference of 0.15 m, a mean diameter of 47.75 mm.
    const arbor = arborFromPlainLoad(known(300, 0.9), known(2000, 2), known(0.06, 0.0003));
    expect(arbor.ok && arbor.value.value * 1000).toBeCloseTo(2 * 47.7465 - 60, 3);
    expect(arbor.ok && arbor.value.sd).toBeGreaterThan(0.0003);
  });

  it('refuses turns of the handle', () => {
    expect(arborFromPlainLoad(known(300, 1), known(500, 1), known(0.06, 0.0003))).toMatchObject({ reason: 'no-arbor' });
    expect(arborFromPlainLoad(known(100, 1), known(2000, 1), known(0.06, 0.0003))).toMatchObject({ ok: false });
  });
});
