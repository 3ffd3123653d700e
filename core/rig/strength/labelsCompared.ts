import { PLUS_MINUS_SDS } from '../../numerics/propagate';
import { sameLine, type SameLine } from '../../strength/sameLine';
import type { LineProductRecord } from '../../record/record';
import { countedPullsN, type StrengthEvidence } from './strengthOfRig';

/** Two lines of a boat, held against each other by what they were pulled to. */
export interface LabelPair {
  readonly first: LineProductRecord;
  readonly second: LineProductRecord;
  readonly found: SameLine;
  /** True where the labels differ by more than the strengths can. */
  readonly labelsDiffer: boolean;
  /** Thickness of the first ÷ the second, and whether what is known of both lets them be the same. */
  readonly thickness: { readonly ratio: number; readonly canBeSame: boolean };
}

/** Labels nearer than this are one label. */
const LABELS_ALIKE = 0.05;

/**
 * Every pair of a boat's lines of one material that were pulled three times and may be one line: told to be the same,
 * or not told apart.
 */
export function labelsCompared(record: StrengthEvidence): readonly LabelPair[] {
  const tested = record.products
    .map((product) => ({ product, pulls: countedPullsN(record, product.id) }))
    .filter(({ pulls }) => pulls.length >= 3);
  return tested.flatMap((first, index) =>
    tested.slice(index + 1).flatMap((second): LabelPair[] => {
      if (first.product.material !== second.product.material) return [];
      const outcome = sameLine(first.pulls, second.pulls);
      if (!outcome.ok || outcome.value.verdict === 'different') return [];
      const [a, b] = [first.product.labelStrengthN, second.product.labelStrengthN];
      const labelsDiffer = a !== null && b !== null && Math.abs(a / b - 1) > LABELS_ALIKE;
      return [
        {
          first: first.product,
          second: second.product,
          found: outcome.value,
          labelsDiffer,
          thickness: thicknessOf(first.product, second.product),
        },
      ];
    }),
  );
}

function thicknessOf(first: LineProductRecord, second: LineProductRecord): LabelPair['thickness'] {
  const [a, b] = [first.diameterM, second.diameterM];
  const openness = PLUS_MINUS_SDS * Math.hypot(a.sd / a.value, b.sd / b.value);
  const ratio = a.value / b.value;
  return { ratio, canBeSame: Math.abs(Math.log(ratio)) <= openness };
}
