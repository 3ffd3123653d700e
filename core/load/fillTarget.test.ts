import { solveSegment, type SegmentToSolve } from '../spool/solveSegment';
import { levelBeforeLoss, levelOfTarget, meanCounterError } from './fillTarget';

const REEL = { arborDiameterM: 0.032, widthM: 0.029, fullDiameterM: 0.062 };
const COUNTER = { lengthPerTurnM: 0.178, unitM: 1, digits: 3, display: 'rounds' } as const;
const row = (id: string, lengthM: number | null, lineDiameterM: number): SegmentToSolve => ({
  id,
  name: id,
  lengthM,
  lineDiameterM,
  packing: 0.66,
  wound: true,
});
const STACK = [row('backing', null, 0.0004), row('copper', 45, 0.0007), row('top', 25, 0.00035)];

const level = (
  target: Parameters<typeof levelOfTarget>[3],
  counter: Parameters<typeof levelOfTarget>[2] = COUNTER,
  stack = STACK,
) => levelOfTarget(REEL, stack, counter, target);

describe('levelOfTarget', () => {
  it('names the same place in every way', () => {
    expect(level({ kind: 'below-rim', levelBelowRimM: 0.003 })).toEqual({ ok: true, value: 0.003 });
    expect(level({ kind: 'depth-share', share: 0.8 })).toEqual({ ok: true, value: expect.closeTo(0.003, 12) });
    expect(level({ kind: 'mark', diameterM: 0.056 })).toEqual({ ok: true, value: expect.closeTo(0.003, 12) });
    expect(level({ kind: 'depth-share', share: 1 })).toEqual({ ok: true, value: 0 });
  });

  it('lets the segment that is worked out end at its own mark, with the rest of the stack above it', () => {
    const found = level({ kind: 'own-mark', diameterM: 0.045 });
    if (!found.ok) throw new Error(found.reason);
    const solved = solveSegment(REEL, STACK, REEL.fullDiameterM - 2 * found.value);
    expect(solved.ok && solved.value.line.segments[0]?.outerDiameterM).toBeCloseTo(0.045, 9);
    // A mark under the arbor leaves no room at all.
    expect(level({ kind: 'own-mark', diameterM: 0.03 })).toMatchObject({ ok: false, reason: 'does-not-fit' });
  });

  it('fills so that the counter is true over the working range', () => {
    const found = level({ kind: 'counter-true', fromM: 20, toM: 60 });
    if (!found.ok) throw new Error(found.reason);
    const solved = solveSegment(REEL, STACK, REEL.fullDiameterM - 2 * found.value);
    if (!solved.ok) throw new Error(solved.reason);
    expect(Math.abs(meanCounterError(solved.value.line, COUNTER, 20, 60))).toBeLessThan(1e-4);
  });

  it('fills more for a counter that takes a turn for more line', () => {
    const at = (lengthPerTurnM: number): number => {
      const found = level({ kind: 'counter-true', fromM: 20, toM: 60 }, { ...COUNTER, lengthPerTurnM });
      return found.ok ? found.value : NaN;
    };
    expect(at(0.185)).toBeLessThan(at(0.178));
    // A range further down the spool wants a fuller spool still.
    const deeper = level({ kind: 'counter-true', fromM: 60, toM: 110 });
    expect(deeper.ok && deeper.value).toBeLessThan(at(0.178));
  });

  it('may lie above the rim: true and full then differ, and both can be seen', () => {
    const found = level({ kind: 'counter-true', fromM: 20, toM: 60 }, { ...COUNTER, lengthPerTurnM: 0.2 });
    expect(found.ok && found.value).toBeLessThan(0);
  });

  it.each([
    ['no counter', { kind: 'counter-true', fromM: 20, toM: 60 }, null, STACK, 'no-counter'],
    [
      'a constant far too large',
      { kind: 'counter-true', fromM: 20, toM: 60 },
      { ...COUNTER, lengthPerTurnM: 0.5 },
      STACK,
      'reads-high-above-the-rim',
    ],
    [
      'a constant far too small',
      { kind: 'counter-true', fromM: 20, toM: 60 },
      { ...COUNTER, lengthPerTurnM: 0.05 },
      STACK,
      'reads-low-with-the-least-line',
    ],
    [
      'a range beyond the line',
      { kind: 'counter-true', fromM: 20, toM: 4000 },
      COUNTER,
      STACK,
      'range-longer-than-line',
    ],
    ['a mark under the arbor', { kind: 'mark', diameterM: 0.03 }, COUNTER, STACK, 'below-the-arbor'],
    ['nothing of the depth', { kind: 'depth-share', share: 0 }, COUNTER, STACK, 'below-the-arbor'],
  ] as const)('refuses %s', (_, target, counter, stack, reason) => {
    expect(level(target, counter, [...stack])).toMatchObject({ ok: false, reason });
  });

  it('fills over by just what will soon be gone', () => {
    const areaM2 = 2e-7;
    const now = levelBeforeLoss(REEL, 0.002, 25, areaM2);
    expect(now).toBeLessThan(0.002);
    // Taking those 25 m off again leaves the level that was asked for.
    const diameterNowM = REEL.fullDiameterM - 2 * now;
    const laterM = Math.sqrt(diameterNowM ** 2 - (4 * areaM2 * 25) / (Math.PI * REEL.widthM));
    expect((REEL.fullDiameterM - laterM) / 2).toBeCloseTo(0.002, 9);
    expect(levelBeforeLoss(REEL, 0.002, 0, areaM2)).toBeCloseTo(0.002, 12);
  });

  it('has no level on a reel without depth', () => {
    const flat = { ...REEL, fullDiameterM: 0.03 };
    expect(levelOfTarget(flat, STACK, COUNTER, { kind: 'mark', diameterM: 0.05 })).toMatchObject({
      ok: false,
      reason: 'below-the-arbor',
    });
  });
});
