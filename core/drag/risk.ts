import type { StrengthKnown, StrengthLaw } from '../strength/strengthDraws';

/** A piece of line, or a structure at one place: a place may hold several, each of its own. */
export interface PlaceAtRisk {
  readonly id: string;
  readonly name: string;
  /** Where it begins and ends, from the hook (m); a join at one place. */
  readonly fromHookM: number;
  readonly toHookM: number;
  /** What the water holds back of the line between the hook and it (N). */
  readonly waterN: number;
  /** The line, or the lines that a join joins. */
  readonly lines: readonly StrengthKnown[];
  /** How much more than one strand of it each line holds where its end is doubled; 1 where left out. */
  readonly strands?: readonly number[];
  /** What the join keeps of the weaker line; null for plain line. */
  readonly keeps: StrengthKnown | null;
}

/** A pull with a length out. */
export interface PullStation {
  readonly lengthOutM: number;
  /** Pull at the tip (N), the growth as line leaves in it, and that growth's relative SD. */
  readonly tipN: number;
  readonly growthRelativeSd: number;
  /** What the water holds back of all line that is out (N). */
  readonly waterN: number;
  /** Added for a moment by a surge at that length (N); 0 for a steady pull. The two are never mixed. */
  readonly surgeN: number;
}

/** A drag left alone as line leaves, and what is not known of it: relative SDs that hold for the whole line in each draw. */
export interface PullAtRisk {
  readonly stations: readonly PullStation[];
  readonly setRelativeSd: number;
  readonly waterRelativeSd: number;
  readonly surgeRelativeSd: number;
}

/** The chance that anything breaks with one pull to a length. */
export interface RiskAtLength {
  readonly lengthOutM: number;
  /** By the less favourable of both laws. */
  readonly chance: number;
  readonly byLaw: Readonly<Record<StrengthLaw, number>>;
  /** The chance if what is not known lies well, and badly: the middle nine tenths of the draws. */
  readonly between: readonly [least: number, most: number];
  /** The place that breaks most often, and its share of all breaks. */
  readonly likeliest: { readonly name: string; readonly share: number };
}

/** What a hundred such pulls make of the chance of one. */
export const inAHundred = (chance: number): number => -Math.expm1(100 * Math.log1p(-Math.min(chance, 1)));

/** The chance that is taken for one pull: of a drag in the rod, and of a planer or line in the hand (common practice, no source). */
export const TAKEN = { pull: 0.01, inHand: 0.001 } as const;

/**
 * The last length that may be pulled to with a chance of breaking under what is taken.
 *
 * @param risks at growing lengths
 * @returns null where it is too much from the start
 */
export function lastSafeLength(risks: readonly RiskAtLength[], taken: number): number | null {
  const first = risks.findIndex((risk) => !(risk.chance <= taken));
  return (first < 0 ? risks.at(-1) : risks[first - 1])?.lengthOutM ?? null;
}
