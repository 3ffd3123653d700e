import { linear } from '@/components/chart/scale';
import type { LoadedLine } from '@/core/spool/loadedLine';

/** The one x-axis of ribbon and lenses: length from the hook to pixels, a long backing cut short. */
export interface LineScale {
  readonly lengthPx: number;
  readonly totalM: number;
  toPx(lengthM: number): number;
  toLengthM(px: number): number;
  /** Where the scale is broken (m), or null. Beyond it lengths are squeezed. */
  readonly breakAtM: number | null;
  /** Pixels of one metre before the break. */
  readonly pxPerM: number;
}

/** Share of the drawing that is left to what lies beyond the break. */
const BEYOND_BREAK = 0.1;

/**
 * @param line the loaded line
 * @param lengthPx length of the drawing
 */
export function lineScale(line: LoadedLine, lengthPx: number): LineScale {
  const totalM = line.totalLengthM;
  const backingM = line.segments[0]?.lengthM ?? 0;
  const fishedM = totalM - backingM;
  // A backing longer than what is fished would squeeze everything that matters.
  const breakAtM = fishedM > 0 && backingM > 0.9 * fishedM ? fishedM * 1.35 : null;
  const breakPx = breakAtM === null ? lengthPx : lengthPx * (1 - BEYOND_BREAK);
  const near = linear([0, breakAtM ?? totalM], [0, breakPx]);
  const beyond = linear([breakAtM ?? totalM, totalM], [breakPx, lengthPx]);
  const within = (value: number, most: number): number => Math.min(Math.max(value, 0), most);
  return {
    lengthPx,
    totalM,
    toPx: (lengthM) => within((lengthM <= (breakAtM ?? totalM) ? near : beyond)(lengthM), lengthPx),
    toLengthM: (px) => within((px <= breakPx ? near : beyond).invert(px), totalM),
    breakAtM,
    pxPerM: near(1) - near(0),
  };
}
