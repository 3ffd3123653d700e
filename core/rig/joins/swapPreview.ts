import { spoolStateAt } from '../../spool/loadedLine';
import { currentLine } from '../line/currentLine';
import type { RigRecord } from '../../record/record';
import { strengthInReach } from '../strength/reach';

/** What another top shot would change, the rest of the rig being left as it is. */
export interface SwapPreview {
  readonly segmentId: string;
  /** Change of the wound diameter ÷ 2 (m): up is fuller. */
  readonly levelRiseM: number;
  /** Length off the spool at which the counter is compared (m), and the relative change of its reading there. */
  readonly atM: number;
  readonly counterShift: number;
  /** Weakest place before and after (N), and its name; null while a line has neither pulls nor a label. */
  readonly weakestBefore: { readonly name: string; readonly strengthN: number } | null;
  readonly weakestAfter: { readonly name: string; readonly strengthN: number } | null;
}

const LOOK_AT_M = 30;

/**
 * Works out a swap of the outermost wound segment; null while nothing is wound.
 *
 * @param record the rig
 * @param swap the line that would go on, and its length (m)
 */
export function swapPreview(
  record: RigRecord,
  swap: { readonly productId: string; readonly lengthM: number },
): SwapPreview | null {
  const { load } = record;
  const segment = load?.status === 'wound' ? load.segments.findLast((each) => each.wound) : undefined;
  if (!load || !segment) return null;
  const replacement = {
    id: 'preview',
    segmentId: segment.segmentId,
    ...swap,
    windOnId: null,
    note: '',
    // After every change that is on record: of the old line nothing counts any more.
    at: '9999-12-31T00:00:00.000Z',
  };
  const after: RigRecord = { ...record, load: { ...load, replacements: [...load.replacements, replacement] } };
  const [before, then] = [currentLine(record), currentLine(after)];
  if (!before.ok || !then.ok) return null;
  const [lineBefore, lineAfter] = [before.value.line, then.value.line];
  const atM = Math.min(LOOK_AT_M, 0.9 * lineBefore.woundLengthM, 0.9 * lineAfter.woundLengthM);
  const weakest = (of: RigRecord, line: typeof lineBefore) => {
    const place = strengthInReach(of, line)?.weakest;
    return place ? { name: place.name, strengthN: place.strengthN.value } : null;
  };
  return {
    segmentId: segment.segmentId,
    levelRiseM: (lineAfter.fullDiameterM - lineBefore.fullDiameterM) / 2,
    atM,
    counterShift: spoolStateAt(lineAfter, atM).turns / spoolStateAt(lineBefore, atM).turns - 1,
    weakestBefore: weakest(record, lineBefore),
    weakestAfter: weakest(after, lineAfter),
  };
}
