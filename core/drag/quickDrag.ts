import type { Material } from '../materials/materials';
import type { Figure } from '../provenance/figure';
import type { Known } from '../provenance/source';
import { success, type Outcome } from '../result';
import { dragTarget, straightPlusMinusN, type DragTarget } from './dragTarget';
import { estimatedGuideFactor, guideFriction, type Guides } from './guideFactor';

/** What somebody knows who only wants to know the drag. */
export interface QuickQuestion {
  /** What the line holds, by its label or by pulls (N). */
  readonly strengthN: Known;
  readonly material: Material;
  readonly fraction: number;
  /** Bend of the line from reel to pull (rad). */
  readonly rodAngleRad: number;
  readonly guides: Guides | null;
  readonly makerLimitN: number | null;
}

export interface QuickAnswer extends DragTarget {
  readonly guide: Known;
  /** Straight off the reel (N). */
  readonly straightN: Pick<Figure, 'value' | 'plusMinus'>;
  /** Of what a usual knot leaves of the line (N), which is what breaks. */
  readonly knotN: number;
}

/** What a knot that nobody has pulled leaves of its line (from memory). */
export const USUAL_KNOT = 0.8;

/**
 * What a scale should show, from a label or a test alone: no reel, no load. A knot is taken to be the weakest place, since there is one.
 *
 * @returns as {@link dragTarget}
 */
export function quickDrag(
  question: QuickQuestion,
): Outcome<QuickAnswer, 'fraction-out-of-range' | 'above-weakest' | 'above-bound'> {
  const { strengthN, material, fraction, rodAngleRad, guides, makerLimitN } = question;
  const knotN = USUAL_KNOT * strengthN.value;
  const outcome = dragTarget(strengthN, fraction, makerLimitN, { meanN: knotN, boundN: null, isBoundSure: false });
  if (!outcome.ok) return outcome;
  const { targetN } = outcome.value;
  const guide = estimatedGuideFactor(rodAngleRad, guideFriction(guides, guides && material), guides?.count ?? 0);
  return success({
    ...outcome.value,
    guide,
    straightN: { value: targetN.value / guide.value, plusMinus: straightPlusMinusN(targetN, guide) },
    knotN,
  });
}
