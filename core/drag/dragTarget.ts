import { because } from '../reasons';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import type { Known } from '../provenance/source';
import { failure, success, type Outcome } from '../result';
import type { Figure } from '../provenance/figure';

/** Fractions that the trade uses: 20 to 30 %, 25 % the usual middle (common practice, no source). */
export const FRACTION_PRESETS = [0.2, 0.25, 0.3] as const;
export const FRACTION_LIMITS = { min: 0.05, max: 0.4, warnAbove: 0.33 } as const;

export type DragBasis = 'label' | 'tested' | 'weakest';

export interface DragTarget {
  readonly targetN: Figure;
  /** Set when a limit, not the fraction, decides (N). */
  readonly limitedToN: number | null;
  readonly warnings: readonly ('high-fraction' | 'over-limit')[];
}

/**
 * Drag to aim at, at the rod's tip: fraction × strength.
 *
 * @param strengthN strength that the fraction is taken of (N)
 * @param fraction 0.05 to 0.40
 * @param makerLimitN the reel maker's drag limit (N), or null when unknown
 * @param weakestN what the weakest place of the rig holds (N), or null when unknown
 * @returns target with ±, capped at the maker's limit; 'fraction-out-of-range', or 'above-weakest' where the rig would
 *   break first
 * @example 6 lb line at 25 % → 1.5 lb (common practice)
 */
export function dragTarget(
  strengthN: Known,
  fraction: number,
  makerLimitN: number | null,
  weakestN: number | null = null,
): Outcome<DragTarget, 'fraction-out-of-range' | 'above-weakest'> {
  if (!(fraction >= FRACTION_LIMITS.min && fraction <= FRACTION_LIMITS.max)) {
    return failure('fraction-out-of-range', { min: FRACTION_LIMITS.min, max: FRACTION_LIMITS.max });
  }
  const wantedN = fraction * strengthN.value;
  const over = makerLimitN !== null && wantedN > makerLimitN;
  if (weakestN !== null && Math.min(wantedN, makerLimitN ?? Infinity) >= weakestN) {
    return failure('above-weakest', { wantedN, weakestN });
  }
  const warnings: DragTarget['warnings'][number][] = [];
  if (fraction > FRACTION_LIMITS.warnAbove) warnings.push('high-fraction');
  if (over) warnings.push('over-limit');
  return success({
    targetN: {
      value: over ? makerLimitN : wantedN,
      plusMinus: over ? 0 : PLUS_MINUS_SDS * fraction * strengthN.sd,
      mainlyFrom: over ? because('error-maker-limit') : because('error-strength'),
    },
    limitedToN: over ? makerLimitN : null,
    warnings,
  });
}

/** The ± of a pull straight off the reel that a pull at the tip stands for (N): the pull's own and the guides'. */
export function straightPlusMinusN(tipN: Pick<Figure, 'value' | 'plusMinus'>, guide: Known): number {
  const straightN = tipN.value / guide.value;
  return straightN * Math.hypot(tipN.plusMinus / tipN.value, (PLUS_MINUS_SDS * guide.sd) / guide.value);
}
