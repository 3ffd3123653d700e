import { bisect } from './bisect';

describe('bisect', () => {
  it('finds a root to its tolerance, with the bracket as error estimate', () => {
    const outcome = bisect((x) => x * x - 2, 0, 2, 1e-12);
    expect(outcome.ok).toBe(true);
    if (!outcome.ok) return;
    expect(Math.abs(outcome.value.root - Math.SQRT2)).toBeLessThanOrEqual(outcome.value.errorEstimate + 1e-15);
    expect(outcome.value.iterations).toBeGreaterThan(35);
  });

  it('takes a falling function, and a root that stands at an end', () => {
    expect(bisect((x) => 1 - x, 0, 5, 1e-9)).toMatchObject({ ok: true, value: { root: expect.closeTo(1, 8) } });
    expect(bisect((x) => x, 0, 5, 1e-9)).toMatchObject({ ok: true, value: { root: 0, iterations: 0 } });
    expect(bisect((x) => x - 5, 0, 5, 1e-9)).toMatchObject({ ok: true, value: { root: 5 } });
  });

  it('halves until the bracket is as narrow as was asked for: 1 is halved 10 times to below a thousandth', () => {
    const outcome = bisect((x) => x - 0.3, 0, 1, 1e-3);
    expect(outcome).toMatchObject({ ok: true, value: { iterations: 10, errorEstimate: 2 ** -11 } });
    // A bracket of the very width that was asked for needs no halving.
    expect(bisect((x) => x - 0.3, 0, 1, 1)).toMatchObject({ ok: true, value: { root: 0.5, iterations: 0 } });
  });

  it('goes to the last bit of a double, and no further, when no width is wide enough', () => {
    const outcome = bisect((x) => x * x - 2, 1, 2, 0);
    expect(outcome).toMatchObject({ ok: true, value: { root: expect.closeTo(Math.SQRT2, 15) } });
    expect(outcome.ok && outcome.value.iterations).toBe(52);
  });

  it('says when the bracket holds no sign change', () => {
    expect(bisect((x) => x * x + 1, -1, 1, 1e-6)).toMatchObject({
      ok: false,
      reason: 'no-sign-change',
      figures: { atLow: 2, atHigh: 2 },
    });
  });

  it('throws on a bracket that is none', () => {
    expect(() => bisect((x) => x, 1, 1, 1e-6)).toThrow(/low 1 must be below high 1/);
  });
});
