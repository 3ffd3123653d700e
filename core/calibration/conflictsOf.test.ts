import type { Observation } from '../numerics/borderedProblem';
import { fitToEvidence } from '../numerics/fitToEvidence';
import { conflictsOf, widening } from './conflicts';

/** A figure that is 0 ± 1 beforehand, seen several times with an SD: the closed forms of a normal mean hold. */
const seen = (values: readonly number[], sd: number, tails?: number) =>
  values.map((value, index) => ({
    ...{ name: `piece ${index + 1}`, value, sd, slack: 0 },
    ...(tails === undefined ? {} : { tails }),
  }));
const PRIOR = [1] as const;
const same =
  (count: number) =>
  ([x = 0]: readonly number[]) =>
    Array.from({ length: count }, () => x);
const conflicts = (pieces: readonly (Observation & { readonly slack: number })[]) =>
  conflictsOf(PRIOR, pieces, same(pieces.length), fitToEvidence(PRIOR, pieces, same(pieces.length)));

describe('pieces that conflict, by closed forms', () => {
  it('are told in SDs of both together: what the others and the prior say without it', () => {
    const pieces = seen([0.1, 0.1, 0.1, 1.5], 0.2);
    const [worst] = conflicts(pieces);
    // Without the fourth: precision 1 + 3/0.04 = 76, mean 0.1·75/76, variance 1/76.
    const mean = (0.1 * 75) / 76;
    expect(worst?.index).toBe(3);
    expect(worst?.offBySds).toBeCloseTo((1.5 - mean) / Math.sqrt(0.04 + 1 / 76), 3);
    expect(worst?.worst).toBe(true);
  });

  it('have a sign, and are looked at again without the worst, so that others are not blamed for it', () => {
    const found = conflicts(seen([0, 0.05, -0.05, 0.02, -2.5, 1.6], 0.2));
    expect(found.map(({ index }) => index)).toEqual([4, 5]);
    expect(found.map(({ offBySds }) => Math.sign(offBySds))).toEqual([-1, 1]);
    expect(found.map(({ worst }) => worst)).toEqual([true, false]);
    // Only of the worst it is asked whether it could be another one.
    expect(found[1]?.orElse).toEqual([]);
    // The second is told without the first: four of mean 0.005 are left, precision 1 + 4/0.04.
    const mean = (0.005 * 100) / 101;
    expect(found[1]?.offBySds).toBeCloseTo((1.6 - mean) / Math.sqrt(0.04 + 1 / 101), 3);
  });

  it('may be the one or the other where nothing else tells, and are not asked of nine', () => {
    const [two] = conflicts(seen([0.8, -0.8], 0.1));
    expect(two?.orElse).toHaveLength(1);
    const nine = seen([-0.9, -0.9, -0.9, -0.9, 0.9, 0.9, 0.9, 0.9, -0.9], 0.1);
    expect(conflicts(nine)[0]?.orElse ?? []).toEqual([]);
    const eight = seen([-0.9, -0.9, -0.9, -0.9, 0.9, 0.9, 0.9, 0.9], 0.1);
    expect((conflicts(eight)[0]?.orElse ?? []).length).toBeGreaterThan(0);
  });

  it('are none within what may lie off with nothing wrong, and none of three SDs', () => {
    const [far] = seen([3.2], 0.1);
    if (!far) throw new Error('one piece');
    // Off by 3.2 from 0 ± 1: 3.18 SDs of both together.
    expect(conflicts([far])).toMatchObject([{ index: 0, offBySds: expect.closeTo(3.2 / Math.sqrt(1.01), 3) }]);
    expect(conflicts([{ ...far, slack: 3.3 }])).toEqual([]);
    expect(conflicts(seen([2.9], 0.1))).toEqual([]);
    expect(conflicts([])).toEqual([]);
  });

  it('with tails have pulled with their weight only', () => {
    const heavy = seen([0, 0.02, -0.02, 1.2], 0.1, 6);
    const [worst] = conflicts(heavy);
    // Without the fourth the three lie as if they had none: precision 1 + 3/0.01.
    expect(worst?.index).toBe(3);
    expect(worst?.offBySds).toBeGreaterThan(0.8 * (1.2 / Math.sqrt(0.01 + 1 / 301)));
    expect(worst?.offBySds).toBeLessThan(1.25 * (1.2 / Math.sqrt(0.01 + 1 / 301)));
  });
});

describe('by how much every ± is widened', () => {
  const of = (values: readonly number[], sd: number) =>
    widening(fitToEvidence(PRIOR, seen(values, sd), same(values.length)), PRIOR);

  it('is nothing while the pieces agree as far as chance goes, or where there are none', () => {
    expect(of([0.1, -0.1, 0.05], 0.1)).toBe(1);
    expect(of([], 0.1)).toBe(1);
  });

  it('is the root of what they are off by, squared, over their number (Birge 1932)', () => {
    const values = [0.6, -0.6, 0.6, -0.6];
    // The mean of the four is 0, and so is the unknown: χ² = 4·36, over four pieces.
    expect(of(values, 0.1)).toBeCloseTo(6, 4);
    // How far the unknown went counts too: 4 ± 0.1 against 0 ± 1.
    const x = 4 / 1.01;
    const chi2 = x ** 2 + ((4 - x) / 0.1) ** 2;
    expect(of([4], 0.1)).toBeCloseTo(Math.sqrt(chi2), 3);
  });

  it('begins where chance ends: χ² of one piece beyond 1 in 100', () => {
    // The one per cent point of χ² with one degree of freedom is 6.63 (NIST/SEMATECH e-Handbook, 1.3.6.7.4): a piece of 0 ± 1 at
    // a value v with SD s has χ² = v²/(1 + s²).
    const at = (chi2: number): number => of([Math.sqrt(chi2 * 1.01)], 0.1);
    expect(at(6)).toBe(1);
    expect(at(7.2)).toBeCloseTo(Math.sqrt(7.2), 3);
  });
});
