import { because } from '../reasons';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import type { Known } from '../provenance/source';
import { failure, success, type Outcome } from '../result';
import type { Figure } from '../provenance/figure';

/** Fractions that the trade uses: 20 to 30 %, 25 % the usual middle (common practice, no source). */
export const FRACTION_PRESETS = [0.2, 0.25, 0.3] as const;
/** The usual middle of them. */
export const USUAL_FRACTION = 0.25;
export const FRACTION_LIMITS = { min: 0.05, max: 0.4, warnAbove: 0.33 } as const;

export type DragBasis = 'label' | 'tested' | 'weakest';

export interface DragTarget {
  readonly targetN: Figure;
  /** What it becomes with as much line out as may be, left alone (N). */
  readonly highestN: number;
  /** Set when a limit, not the fraction, decides (N). */
  readonly limitedToN: number | null;
  readonly warnings: readonly ('high-fraction' | 'over-limit' | 'above-bound')[];
}

/** What the weakest place that may be out holds: its mean, and what 95 of 100 such places hold where that is known. */
export interface WeakestHolds {
  readonly meanN: number;
  /** Null while it cannot be said: unknown is never safe, and never taken for a limit that is kept. */
  readonly boundN: number | null;
  /** False where the bound rests on fewer than five pulls, and no other line lends its scatter. */
  readonly isBoundSure: boolean;
}

/** Times that a drag left alone pulls harder than where it is set: at the end of what is fished with, and of what may be out. */
export interface DragGrowth {
  readonly inUse: number;
  readonly inReach: number;
}

/** A pull above this share of the weakest mean is refused: a surge of a third over it breaks several in a hundred (models: drag). */
export const MOST_OF_WEAKEST = 0.5;

/**
 * Drag to aim at, at the rod's tip: fraction × strength where it is set. It is judged by the highest tension in reach: left alone, the drag
 * grows as line leaves.
 *
 * @param strengthN strength that the fraction is taken of (N)
 * @param fraction 0.05 to 0.40
 * @param makerLimitN the reel maker's drag limit (N), or null when unknown
 * @param weakest what may be out, or null when unknown
 * @param growth refused is what would be too much with the line that is fished with; a run is warned of, since the drag is backed off on it
 * @returns target with ±, capped at the maker's limit; 'fraction-out-of-range', 'above-weakest' where at its highest it would be more than
 *   half of what the weakest place holds in the mean, or 'above-bound' where it would be more than 95 of 100 hold
 * @throws RangeError when a growth is below 1, or falls
 * @example 6 lb line at 25 % → 1.5 lb (common practice)
 */
export function dragTarget(
  strengthN: Known,
  fraction: number,
  makerLimitN: number | null,
  weakest: WeakestHolds | null = null,
  growth: DragGrowth = { inUse: 1, inReach: 1 },
): Outcome<DragTarget, 'fraction-out-of-range' | 'above-weakest' | 'above-bound'> {
  const { inUse, inReach } = growth;
  if (!(inUse >= 1 && inReach >= inUse))
    throw new RangeError(`dragTarget: growth must not fall from 1, but is ${inUse}, ${inReach}`);
  if (!(fraction >= FRACTION_LIMITS.min && fraction <= FRACTION_LIMITS.max)) {
    return failure('fraction-out-of-range', { min: FRACTION_LIMITS.min, max: FRACTION_LIMITS.max });
  }
  const wantedN = fraction * strengthN.value;
  const over = makerLimitN !== null && wantedN > makerLimitN;
  const setN = Math.min(wantedN, makerLimitN ?? Infinity);
  const [inUseN, highestN] = [setN * inUse, setN * inReach];
  if (weakest && inUseN > MOST_OF_WEAKEST * weakest.meanN * (1 + 1e-9)) {
    return failure('above-weakest', { wantedN: inUseN, weakestN: weakest.meanN, most: MOST_OF_WEAKEST });
  }
  const isAboveBound = weakest !== null && weakest.boundN !== null && highestN > weakest.boundN;
  if (weakest?.boundN != null && weakest.isBoundSure && inUseN > weakest.boundN) {
    return failure('above-bound', { wantedN: inUseN, boundN: weakest.boundN ?? NaN });
  }
  const warnings: DragTarget['warnings'][number][] = [];
  if (highestN > FRACTION_LIMITS.warnAbove * (weakest?.meanN ?? strengthN.value)) warnings.push('high-fraction');
  if (over) warnings.push('over-limit');
  if (isAboveBound) warnings.push('above-bound');
  return success({
    targetN: {
      value: setN,
      plusMinus: over ? 0 : PLUS_MINUS_SDS * fraction * strengthN.sd,
      mainlyFrom: over ? because('error-maker-limit') : because('error-strength'),
    },
    highestN,
    limitedToN: over ? makerLimitN : null,
    warnings,
  });
}

/** The ± of a pull straight off the reel that a pull at the tip stands for (N): the pull's own and the guides'. */
export function straightPlusMinusN(tipN: Pick<Figure, 'value' | 'plusMinus'>, guide: Known): number {
  const straightN = tipN.value / guide.value;
  return straightN * Math.hypot(tipN.plusMinus / tipN.value, (PLUS_MINUS_SDS * guide.sd) / guide.value);
}
