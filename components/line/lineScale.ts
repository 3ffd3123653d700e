import { scaleLinear } from 'd3-scale';
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
  const scale =
    breakAtM === null
      ? scaleLinear([0, totalM], [0, lengthPx])
      : scaleLinear([0, breakAtM, totalM], [0, lengthPx * (1 - BEYOND_BREAK), lengthPx]);
  scale.clamp(true);
  return {
    lengthPx,
    totalM,
    toPx: (lengthM) => scale(lengthM),
    toLengthM: (px) => scale.invert(px),
    breakAtM,
    pxPerM: scale(1) - scale(0),
  };
}
