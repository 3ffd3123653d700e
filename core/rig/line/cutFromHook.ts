import { failure, success, type Outcome } from '../../result';
import type { JoinRecord } from '../../record/record';
import type { LoadedLine } from '../../spool/loadedLine';

/** What goes of one segment when line is cut off at the hook's end. */
export interface CutPiece {
  readonly segmentId: string;
  readonly name: string;
  readonly lengthM: number;
  /** True where nothing of the segment is left. */
  readonly isWhole: boolean;
  /** True where what goes was on the spool. */
  readonly wound: boolean;
}

/** What a length off the hook's end takes with it, and what is outermost then. */
export interface CutFromHook {
  /** From the hook inwards. */
  readonly pieces: readonly CutPiece[];
  /** Joins that go with the line. */
  readonly goneJoins: readonly JoinRecord[];
  /** The segment whose end is free now, and how much of it is left (m). */
  readonly outermost: { readonly segmentId: string; readonly name: string; readonly leftM: number };
  /** The join at the inner end of that segment: it bore what tore the line off. Null where no join is known there. */
  readonly outermostJoin: JoinRecord | null;
  /** Line that is left in all (m). */
  readonly leftM: number;
}

/** What is left of a segment below this (m) is nothing. */
const NOTHING_M = 1e-6;

/**
 * Cuts a length off the line at the hook, through segments and joins.
 *
 * @param line the line as it is
 * @param joins its joins
 * @param lengthM what goes, from the hook (m), above 0
 * @returns 'longer-than-line' when nothing would be left
 */
export function cutFromHook(
  line: LoadedLine,
  joins: readonly JoinRecord[],
  lengthM: number,
): Outcome<CutFromHook, 'longer-than-line'> {
  if (!(lengthM > 0)) throw new RangeError('cutFromHook: the length must be above 0');
  if (lengthM > line.totalLengthM - NOTHING_M) return failure('longer-than-line', { leftM: line.totalLengthM });
  const pieces: CutPiece[] = [];
  let toGoM = lengthM;
  let index = line.segments.length - 1;
  for (; index >= 0 && toGoM > NOTHING_M; index -= 1) {
    const segment = line.segments[index];
    if (!segment) break;
    const goesM = Math.min(toGoM, segment.lengthM);
    const isWhole = segment.lengthM - goesM < NOTHING_M;
    pieces.push({ segmentId: segment.id, name: segment.name, lengthM: goesM, isWhole, wound: segment.wound });
    toGoM -= goesM;
    if (!isWhole) break;
  }
  const gone = new Set(pieces.filter((piece) => piece.isWhole).map((piece) => piece.segmentId));
  const left = line.segments.filter((segment) => !gone.has(segment.id));
  const outer = left.at(-1);
  if (!outer) throw new Error('cutFromHook: nothing is left of a line that is longer than the cut');
  const cutM = pieces.find((piece) => piece.segmentId === outer.id)?.lengthM ?? 0;
  return success({
    pieces,
    goneJoins: joins.filter((join) => gone.has(join.outerSegmentId)),
    outermost: { segmentId: outer.id, name: outer.name, leftM: outer.lengthM - cutM },
    outermostJoin: joins.find((join) => join.part === 'join' && join.outerSegmentId === outer.id) ?? null,
    leftM: line.totalLengthM - lengthM,
  });
}
