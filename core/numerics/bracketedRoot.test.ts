import { bracketedRoot } from './bracketedRoot';

describe('bracketedRoot', () => {
  it('finds a root to its tolerance, with the bracket as error estimate', () => {
    const outcome = bracketedRoot((x) => x * x - 2, 0, 2, 1e-12);
    expect(outcome.ok).toBe(true);
    if (!outcome.ok) return;
    expect(Math.abs(outcome.value.root - Math.SQRT2)).toBeLessThanOrEqual(outcome.value.errorEstimate + 1e-15);
    // By halving it would take 41 steps; on a smooth function a handful are enough.
    expect(outcome.value.iterations).toBeLessThan(14);
  });

  it('takes a falling function, and a root that stands at an end', () => {
    expect(bracketedRoot((x) => 1 - x, 0, 5, 1e-9)).toMatchObject({ ok: true, value: { root: expect.closeTo(1, 8) } });
    expect(bracketedRoot((x) => x, 0, 5, 1e-9)).toMatchObject({ ok: true, value: { root: 0, iterations: 0 } });
    expect(bracketedRoot((x) => x - 5, 0, 5, 1e-9)).toMatchObject({ ok: true, value: { root: 5 } });
  });

  it('never takes more than one step over halving, on smooth, flat, steep and broken functions alike', () => {
    const functions: readonly (readonly [string, (x: number) => number])[] = [
      ['smooth', (x) => x ** 3 - x - 2],
      ['flat at its root', (x) => (x - 1.521) ** 9],
      ['flat elsewhere', (x) => Math.exp(-40 * x) - Math.exp(-60)],
      ['steep at an end', (x) => Math.log(x - 0.999) + 6],
      ['a step', (x) => (x > 1.7 ? 1 : -1)],
      ['a bent step', (x) => Math.atan(1e6 * (x - 1.3)) + x / 10],
    ];
    for (const [name, f] of functions) {
      for (const tolerance of [1e-2, 1e-5, 1e-9]) {
        const outcome = bracketedRoot(f, 1, 2, tolerance);
        if (!outcome.ok) throw new Error(name);
        const { root, errorEstimate, iterations } = outcome.value;
        expect([name, tolerance, iterations <= Math.ceil(Math.log2(1 / tolerance)) + 1]).toEqual([
          name,
          tolerance,
          true,
        ]);
        expect(errorEstimate).toBeLessThanOrEqual(tolerance / 2 + 1e-15);
        // The sign changes within the error.
        expect(f(Math.max(root - errorEstimate - 1e-15, 1)) * f(root + errorEstimate + 1e-15)).toBeLessThanOrEqual(0);
      }
    }
    // The root of x³ − x − 2, the usual example of textbooks.
    expect(bracketedRoot((x) => x ** 3 - x - 2, 1, 2, 1e-9)).toMatchObject({
      value: { root: expect.closeTo(1.5213797, 7) },
    });
  });

  it('takes no step where the bracket has the very width that was asked for', () => {
    expect(bracketedRoot((x) => x - 0.3, 0, 1, 1)).toMatchObject({ ok: true, value: { root: 0.5, iterations: 0 } });
  });

  it('goes to the last bit of a double, and no further, when no width is wide enough', () => {
    const outcome = bracketedRoot((x) => x * x - 2, 1, 2, 0);
    expect(outcome).toMatchObject({ ok: true, value: { root: expect.closeTo(Math.SQRT2, 15) } });
    expect(outcome.ok && outcome.value.iterations).toBeLessThanOrEqual(53);
  });

  it('says when the bracket holds no sign change', () => {
    expect(bracketedRoot((x) => x * x + 1, -1, 1, 1e-6)).toMatchObject({
      ok: false,
      reason: 'no-sign-change',
      figures: { atLow: 2, atHigh: 2 },
    });
  });

  it('throws on a bracket that is none', () => {
    expect(() => bracketedRoot((x) => x, 1, 1, 1e-6)).toThrow(/low 1 must be below high 1/);
  });
});
