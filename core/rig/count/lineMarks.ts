import { failure, success, type Outcome } from '../../result';
import type { LoadedLine } from '../../spool/loadedLine';
import type { LineMarkRecord, LoadRecord } from '../../record/record';
import type { RigView } from '../view/rigView';

/** SD of where a mark is tied or inked along a tape (m): 2 in, common practice, no source. */
export const MARK_SD_M = 0.0508;

/** A mark as it lies now. */
export interface PlacedMark {
  readonly mark: LineMarkRecord;
  /** Length from the hook with the mark at the tip (m); null where it went with lost or replaced line. */
  readonly lengthOutM: number | null;
}

/**
 * Where a mark belongs that stands at a length from the hook: segment, and length from its inner end.
 *
 * @param line the line as it is now
 * @param lengthOutM length from the hook (m)
 */
export function markPlace(
  line: LoadedLine,
  lengthOutM: number,
): Outcome<Pick<LineMarkRecord, 'segmentId' | 'fromInnerM'>, 'beyond-the-line'> {
  let leftM = lengthOutM;
  for (const segment of line.segments.toReversed()) {
    if (leftM <= segment.lengthM) return success({ segmentId: segment.id, fromInnerM: segment.lengthM - leftM });
    leftM -= segment.lengthM;
  }
  return failure('beyond-the-line', { lengthM: line.totalLengthM });
}

/**
 * What each mark says now. A mark stays where it is on its segment: 14 m lost outside of it make it say 14 m less.
 *
 * @param line the line as it is now
 * @param load what was replaced since
 * @param marks as they were made
 */
export function placedMarks(
  line: LoadedLine,
  load: Pick<LoadRecord, 'replacements'>,
  marks: readonly LineMarkRecord[],
): readonly PlacedMark[] {
  return marks.map((mark) => {
    const at = line.segments.findIndex((segment) => segment.id === mark.segmentId);
    const segment = line.segments[at];
    const replaced = load.replacements.some((each) => each.segmentId === mark.segmentId && each.at > mark.at);
    if (!segment || replaced || mark.fromInnerM > segment.lengthM) return { mark, lengthOutM: null };
    const outsideM = line.segments.slice(at + 1).reduce((sum, each) => sum + each.lengthM, 0);
    return { mark, lengthOutM: outsideM + segment.lengthM - mark.fromInnerM };
  });
}

/** The marks tied or inked on the line that a view shows, where they are now. */
export function marksOfView(view: RigView): readonly PlacedMark[] {
  const { load, lineMarks } = view.record;
  return load?.status === 'wound' ? placedMarks(view.current.line, load, lineMarks) : [];
}
