import type { CSSProperties } from 'react';
import type { EditedSegment, LineEditor } from './lineEditor';
import type { LineScale } from './lineScale';
import type { Orientation } from './plane';

/** What lies across the ribbon between its rulers (px): the line is taken there, and the rulers are left to the cursor. */
const LINE = { fromPx: 34, toPx: 100 } as const;
/** A hand that moved less than that has pressed, and dragged nothing (px). */
export const STIRRED_PX = 8;

export interface OnRibbon {
  readonly editor: LineEditor;
  readonly scale: LineScale;
  readonly orientation: Orientation;
  readonly marginPx: number;
}

/** A segment with where it lies from the hook (m). */
export type PlacedSegment = EditedSegment & { readonly fromM: number; readonly toM: number };

/** Segments with where they lie, from the hook to the arbor. */
export function placed(segments: readonly EditedSegment[]): readonly PlacedSegment[] {
  let toM = 0;
  return segments.map((segment) => {
    const fromM = toM;
    toM += segment.lengthM;
    return { ...segment, fromM, toM };
  });
}

/** A box over the ribbon between two places along it. */
export function boxAlong(
  { orientation, marginPx }: Pick<OnRibbon, 'orientation' | 'marginPx'>,
  fromPx: number,
  lengthPx: number,
  across: { readonly fromPx: number; readonly toPx: number } = LINE,
): CSSProperties {
  const [start, depth] = [fromPx + marginPx, across.toPx - across.fromPx];
  return orientation === 'lying'
    ? { position: 'absolute', left: start, width: lengthPx, top: across.fromPx, height: depth }
    : { position: 'absolute', top: start, height: lengthPx, left: across.fromPx, width: depth };
}

/** Height of the ribbon's drawing (px). */
export const heightPx = ({ orientation, scale, marginPx }: OnRibbon): number =>
  orientation === 'lying' ? LINE.toPx + 36 : scale.lengthPx + 2 * marginPx;
