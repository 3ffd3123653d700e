import { solveSegment, type SegmentToSolve } from './solveSegment';
import { reshaped } from './reshaped';
import { buildLoadedLine } from './loadedLine';

const SPOOL = { arborDiameterM: 0.03, widthM: 0.03 };
const row = (id: string, lengthM: number | null, lineDiameterM = 0.0004, wound = true): SegmentToSolve => ({
  id,
  name: id,
  lengthM,
  lineDiameterM,
  packing: 0.68,
  wound,
});

describe('solveSegment', () => {
  it.each([0, 1, 2])('fills the spool exactly whichever segment (%d) is unknown', (unknown) => {
    const rows = [row('backing', 80), row('lead', 30, 0.0008), row('top', 20)].map((r, index) =>
      index === unknown ? { ...r, lengthM: null } : r,
    );
    const solved = solveSegment(SPOOL, rows, 0.056);
    expect(solved.ok).toBe(true);
    if (!solved.ok) return;
    expect(solved.value.line.fullDiameterM).toBeCloseTo(0.056, 12);
    expect(solved.value.solvedSegmentId).toBe(rows[unknown]?.id);
  });

  it('gives a hand-worked length: plain 0.40 nylon at 0.68 from 30 to 60 mm is 344.25 m', () => {
    // V = 6.36173e-5 m³; a = (π/4)(0.4e-3)²/0.68 = 1.84800e-7 m²; L = V/a = 344.25 m
    const solved = solveSegment(SPOOL, [row('plain', null)], 0.06);
    expect(solved.ok && solved.value.solvedLengthM).toBeCloseTo(344.25, 2);
  });

  it('does not let what is let out by hand fill the spool', () => {
    const bare = solveSegment(SPOOL, [row('a', null)], 0.056);
    const withLeader = solveSegment(SPOOL, [row('a', null), row('leader', 10, 0.001, false)], 0.056);
    expect(bare.ok && withLeader.ok && withLeader.value.solvedLengthM).toBe(bare.ok && bare.value.solvedLengthM);
  });

  it('says what does not fit and how much of it would have to go', () => {
    const outcome = solveSegment(SPOOL, [row('backing', null), row('lead', 400, 0.0008)], 0.056);
    expect(outcome).toMatchObject({ ok: false, reason: 'does-not-fit' });
    if (outcome.ok) return;
    const lessM = outcome.figures.excessLastLengthM;
    const fits = solveSegment(SPOOL, [row('backing', null), row('lead', 400 - lessM - 0.01, 0.0008)], 0.056);
    expect(fits.ok).toBe(true);
    expect(outcome.figures).toMatchObject({ solved: 'backing', last: 'lead' });
  });

  it('says that nothing fits under the middle of the spool, and when the others just fill it', () => {
    for (const target of [0, -0.01]) {
      const none = solveSegment(SPOOL, [row('backing', null), row('top', 20)], target);
      expect(none).toMatchObject({ ok: false, figures: { availableVolumeM3: 0, last: 'top' } });
    }
    const alone = solveSegment(SPOOL, [row('backing', null)], 0.02);
    expect(alone).toMatchObject({ ok: false, figures: { last: '', solved: 'backing', excessLastLengthM: 0 } });
    expect(solveSegment(SPOOL, [row('backing', null)], SPOOL.arborDiameterM).ok).toBe(false);
  });

  it('throws unless exactly one wound segment is unknown', () => {
    expect(() => solveSegment(SPOOL, [row('a', 10)], 0.056)).toThrow(/not 0/);
    expect(() => solveSegment(SPOOL, [], 0.056)).toThrow(/not 0/);
    expect(() => reshaped(buildLoadedLine(SPOOL, [{ ...row('a', 10), lengthM: 10 }]), 0, [1])).toThrow(/^reshaped: /);
    expect(() => solveSegment(SPOOL, [row('a', null), row('b', null)], 0.056)).toThrow(/not 2/);
    expect(() => solveSegment(SPOOL, [row('a', null, 0.0004, false)], 0.056)).toThrow(RangeError);
  });
});

describe('reshaped', () => {
  const line = buildLoadedLine(SPOOL, [
    { ...row('a', 100), lengthM: 100 },
    { ...row('b', 40, 0.0007), lengthM: 40 },
  ]);

  it('keeps the measured outside and lets the arbor follow', () => {
    const thicker = reshaped(line, 1, [1.2, 1]);
    expect(thicker.fullDiameterM).toBeCloseTo(line.fullDiameterM, 12);
    expect(thicker.spool.arborDiameterM).toBeLessThan(line.spool.arborDiameterM);
    expect(reshaped(line, 1.01, [1, 1]).fullDiameterM).toBeCloseTo(line.fullDiameterM * 1.01, 12);
  });

  it('is the line itself when nothing changes', () => {
    expect(reshaped(line, 1, [1, 1])).toBe(line);
  });
});
