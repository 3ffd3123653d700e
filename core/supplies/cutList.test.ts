import { seededRandom } from '../../instruments/random';
import { cutList, type CutList, type ShelfSpool, type WantedPiece } from './cutList';

const spool = (id: string, lengthM: number, unopened = false): ShelfSpool => ({ id, lengthM, unopened });
const piece = (id: string, lengthM: number): WantedPiece => ({ id, lengthM });
const OPTIONS = { usefulM: 20, newSpoolM: null };

function listed(
  spools: readonly ShelfSpool[],
  pieces: readonly WantedPiece[],
  options = OPTIONS as { usefulM: number; newSpoolM: number | null },
): CutList {
  const list = cutList(spools, pieces, options);
  if (!list.ok) throw new Error(list.reason);
  return list.value;
}

/** Every piece is served in full, and no spool gives more than it has. */
function expectSound(list: CutList, spools: readonly ShelfSpool[], pieces: readonly WantedPiece[]): void {
  for (const { id, lengthM } of pieces) {
    const got = list.cuts.filter((cut) => cut.pieceId === id).reduce((sum, cut) => sum + cut.lengthM, 0);
    expect(got).toBeCloseTo(lengthM, 6);
  }
  for (const { id, lengthM } of spools) {
    const given = list.cuts.filter((cut) => cut.spoolId === id).reduce((sum, cut) => sum + cut.lengthM, 0);
    expect(given).toBeLessThanOrEqual(lengthM + 1e-6);
  }
}

/** Fewest joins by trying every assignment of whole pieces; only whether none is needed. */
function fitsWithoutJoin(
  spools: readonly ShelfSpool[],
  pieces: readonly WantedPiece[],
  at = 0,
  left = spools.map((s) => s.lengthM),
): boolean {
  const next = pieces[at];
  if (!next) return true;
  return left.some(
    (lengthM, index) =>
      lengthM >= next.lengthM - 1e-9 &&
      fitsWithoutJoin(spools, pieces, at + 1, left.with(index, lengthM - next.lengthM)),
  );
}

describe('cutList', () => {
  it('uses up the short ends instead of breaking into a whole spool', () => {
    const list = listed([spool('whole', 300, true), spool('rest', 101)], [piece('a', 100)]);
    expect(list.cuts).toEqual([{ spoolId: 'whole', pieceId: 'a', lengthM: 100 }]);
    // One metre of a rest is waste, two hundred of a whole spool are not; with a useful rest it is the other way round.
    const useful = listed([spool('whole', 300, true), spool('rest', 130)], [piece('a', 100)]);
    expect(useful.cuts[0]?.spoolId).toBe('rest');
  });

  it('needs no join where the pieces can be sorted onto the spools', () => {
    // Longest first would put 60 on 100 and then fail: 60 + 40, 50 + 30 + 20.
    const spools = [spool('a', 100), spool('b', 100)];
    const pieces = [60, 50, 40, 30, 20].map((m, i) => piece(`${i}`, m));
    const list = listed(spools, pieces);
    expect(list).toMatchObject({ joins: 0, wasteM: 0, proven: true, spoolsToBuy: 0 });
    expectSound(list, spools, pieces);
  });

  it('joins once where it must, and says so', () => {
    const spools = [spool('a', 80), spool('b', 70)];
    const pieces = [piece('long', 120), piece('short', 25)];
    const list = listed(spools, pieces);
    expect(list.joins).toBe(1);
    expectSound(list, spools, pieces);
  });

  it('buys the fewest spools that do', () => {
    const list = listed([spool('rest', 50)], [piece('a', 300), piece('b', 300)], { usefulM: 20, newSpoolM: 300 });
    expect(list.spoolsToBuy).toBe(2);
    expect(list.joins).toBe(0);
    expect(cutList([spool('rest', 50)], [piece('a', 60)], OPTIONS)).toMatchObject({
      ok: false,
      reason: 'not-enough',
      figures: { missingM: 10 },
    });
  });

  it('never joins where a search of everything finds a way without', () => {
    const random = seededRandom(77);
    for (let run = 0; run < 60; run += 1) {
      const spools = Array.from({ length: 2 + Math.floor(3 * random()) }, (_, i) =>
        spool(`s${i}`, 40 + Math.floor(160 * random())),
      );
      const pieces: WantedPiece[] = [];
      let leftM = 0.93 * spools.reduce((sum, s) => sum + s.lengthM, 0);
      while (pieces.length < 7 && leftM > 25) {
        const lengthM = Math.min(leftM, 20 + Math.floor(80 * random()));
        pieces.push(piece(`p${pieces.length}`, lengthM));
        leftM -= lengthM;
      }
      const list = listed(spools, pieces);
      expectSound(list, spools, pieces);
      expect(list.joins === 0).toBe(fitsWithoutJoin(spools, pieces));
    }
  });

  it('is exact for a dozen pieces, and says when it is not', () => {
    const spools = [0, 1, 2, 3].map((i) => spool(`s${i}`, 300, true));
    const dozen = Array.from({ length: 12 }, (_, i) => piece(`p${i}`, 40 + 9 * i));
    const exact = listed(spools, dozen);
    expect(exact.proven).toBe(true);
    expectSound(exact, spools, dozen);
    const more = [...dozen, piece('p12', 30)];
    const rough = listed(spools, more);
    expect(rough.proven).toBe(false);
    expectSound(rough, spools, more);
  });
});
