import { buildLoadedLine } from '../../spool/loadedLine';
import { markPlace, placedMarks } from './lineMarks';
import type { LineMarkRecord } from '../../record/record';

const lineOf = (topM: number) =>
  buildLoadedLine({ arborDiameterM: 0.032, widthM: 0.029 }, [
    { id: 'backing', name: 'Backing', lengthM: 120, lineDiameterM: 0.0004, packing: 0.68, wound: true },
    { id: 'top', name: 'Top shot', lengthM: topM, lineDiameterM: 0.00035, packing: 0.68, wound: true },
  ]);
const LINE = lineOf(40);
const WHOLE = { replacements: [] };

function markAt(lengthOutM: number): LineMarkRecord {
  const place = markPlace(LINE, lengthOutM);
  if (!place.ok) throw new Error(place.reason);
  return { id: 'm', kind: 'tied', looks: 'green thread', ...place.value, at: '2026-03-01' };
}

describe('a mark on the line', () => {
  it('is where it was put, on whatever segment', () => {
    for (const lengthOutM of [0, 12, 40, 41, 160]) {
      expect(placedMarks(LINE, WHOLE, [markAt(lengthOutM)])[0]?.lengthOutM).toBeCloseTo(lengthOutM, 9);
    }
    expect(markPlace(LINE, 161)).toMatchObject({ ok: false, reason: 'beyond-the-line' });
  });

  it('says so much less when line is lost outside of it, and goes with the line it is on', () => {
    const marks = [markAt(30), markAt(60), markAt(10)];
    const placed = placedMarks(lineOf(26), WHOLE, marks).map((each) => each.lengthOutM);
    expect(placed[0]).toBeCloseTo(16, 9);
    expect(placed[1]).toBeCloseTo(46, 9);
    expect(placed[2]).toBeNull();
  });

  it('is gone when its segment is replaced later, not when another is', () => {
    const replaced = (segmentId: string) => ({
      replacements: [{ id: 'r', segmentId, productId: 'p', lengthM: 40, windOnId: null, note: '', at: '2026-04-01' }],
    });
    expect(placedMarks(LINE, replaced('top'), [markAt(30)])[0]?.lengthOutM).toBeNull();
    expect(placedMarks(LINE, replaced('top'), [markAt(60)])[0]?.lengthOutM).toBeCloseTo(60, 9);
  });
});
