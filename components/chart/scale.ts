import { nice, ticks } from 'd3-array';

/** A straight scale from values to pixels. */
export interface Scale {
  (value: number): number;
  invert(px: number): number;
  /** Round values to mark, about so many. */
  ticks(count: number): readonly number[];
}

type Span = readonly [from: number, to: number];

/**
 * @param values the first and the last value; a span of nothing is taken as one of 1
 * @param px where they lie
 * @param rounded widens the values to round ones with about so many ticks between; left out: they stay
 */
export function linear([from, to]: Span, [fromPx, toPx]: Span, rounded?: number): Scale {
  const end = to === from ? from + 1 : to;
  const [low, high] = rounded === undefined ? [from, end] : nice(from, end, rounded);
  const perValue = (toPx - fromPx) / (high - low);
  return Object.assign((value: number) => fromPx + (value - low) * perValue, {
    invert: (px: number) => low + (px - fromPx) / perValue,
    ticks: (count: number) => ticks(low, high, count),
  });
}
