import { sameLine, type SameLine } from '../strength/sameLine';
import type { LineProductRecord, RigRecord } from './record';

/** Two lines of a boat, held against each other by what they were pulled to. */
export interface LabelPair {
  readonly first: LineProductRecord;
  readonly second: LineProductRecord;
  readonly found: SameLine;
  /** True where the labels differ by more than the strengths can. */
  readonly labelsDiffer: boolean;
}

/** Labels nearer than this are one label. */
const LABELS_ALIKE = 0.05;

/** Pulls of a line, wherever they were made. */
export function pullsOf(record: Pick<RigRecord, 'strengthTests'>, productId: string): readonly number[] {
  return record.strengthTests
    .filter((test) => test.productId === productId)
    .flatMap((test) => test.pulls.map((pull) => pull.peakN));
}

/**
 * Every pair of a boat's lines of one material that were pulled three times and may be one line: told to be the same,
 * or not told apart.
 */
export function labelsCompared(record: Pick<RigRecord, 'strengthTests' | 'products'>): readonly LabelPair[] {
  const tested = record.products
    .map((product) => ({ product, pulls: pullsOf(record, product.id) }))
    .filter(({ pulls }) => pulls.length >= 3);
  return tested.flatMap((first, index) =>
    tested.slice(index + 1).flatMap((second): LabelPair[] => {
      if (first.product.material !== second.product.material) return [];
      const outcome = sameLine(first.pulls, second.pulls);
      if (!outcome.ok || outcome.value.verdict === 'different') return [];
      const [a, b] = [first.product.labelStrengthN, second.product.labelStrengthN];
      const labelsDiffer = a !== null && b !== null && Math.abs(a / b - 1) > LABELS_ALIKE;
      return [{ first: first.product, second: second.product, found: outcome.value, labelsDiffer }];
    }),
  );
}
