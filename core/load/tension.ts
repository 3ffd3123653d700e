/** By what the tension comes while line is wound on. */
export const LAID_BY = ['reel drag', 'brake', 'cloth', 'helper', 'machine', 'other'] as const;
export type LaidBy = (typeof LAID_BY)[number];

/** The tension with which line was wound, as far as it was noted. */
export interface WindingTension {
  readonly laidBy: LaidBy | null;
  /** Pull with which it went on (N); null where no scale was held. */
  readonly tensionN: number | null;
}

/** Beyond this ratio two tensions pack a spool unlike (from memory). */
const UNLIKE_RATIO = 1.5;

/**
 * True where two windings are known to have had unlike tension: what one found of a capacity then says less of the other.
 * What was not noted is not held against it.
 */
export function isUnlikeTension(one: WindingTension, other: WindingTension): boolean {
  if (one.tensionN !== null && other.tensionN !== null) {
    const ratio = one.tensionN / other.tensionN;
    return ratio > UNLIKE_RATIO || ratio < 1 / UNLIKE_RATIO;
  }
  return one.laidBy !== null && other.laidBy !== null && one.laidBy !== other.laidBy;
}
