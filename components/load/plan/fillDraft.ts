import { DEFAULT_LEVEL_BELOW_RIM_M } from '@/core/load/defaults';
import type { FillTarget } from '@/core/load/fillTarget';
import { readTyped, type Typed } from '@/components/fields/typedQuantity';
import { LIMITS } from '@/usecases/limits';

/** Where the fill is to end, as it was typed. */
export interface FillDraft {
  readonly kind: FillTarget['kind'];
  readonly level: Typed | null;
  readonly sharePercent: string;
  readonly mark: Typed | null;
  readonly from: Typed | null;
  readonly to: Typed | null;
  /** Metres of the outermost line that leader knots and snags will soon take. */
  readonly soonGone: Typed | null;
}

/** Most metres that can be meant as soon gone. */
export const SOON_GONE_LIMITS = { min: 0, max: 100 } as const;

/** A usual working range of a troller: from 20 to 60 m out. A starting value, said to be one. */
export const DEFAULT_RANGE_M = { from: 20, to: 60 } as const;

export const NEW_FILL: FillDraft = {
  kind: 'below-rim',
  level: null,
  sharePercent: '90',
  mark: null,
  from: null,
  to: null,
  soonGone: null,
};

/** The working range as it was typed, else the usual one (m off the spool). */
export function rangeOf(draft: FillDraft): { readonly fromM: number; readonly toM: number } {
  const read = (typed: Typed | null, initial: number): number => {
    const value = readTyped(typed, initial, 'length', LIMITS.walkLengthM);
    return value.ok && value.value !== null ? value.value : initial;
  };
  const [fromM, toM] = [read(draft.from, DEFAULT_RANGE_M.from), read(draft.to, DEFAULT_RANGE_M.to)];
  return toM > fromM ? { fromM, toM } : { fromM: DEFAULT_RANGE_M.from, toM: DEFAULT_RANGE_M.to };
}

/** Metres that will soon be gone, or null while they cannot be read. */
export function soonGoneOf(draft: FillDraft): number | null {
  const read = readTyped(draft.soonGone ?? null, 0, 'length', SOON_GONE_LIMITS);
  return read.ok ? read.value : null;
}

/**
 * The target that a draft names, or null while a figure of it is missing or unreadable.
 *
 * @param fullDiameterM rim of the reel (m): where an untouched mark stands
 */
export function targetOf(draft: FillDraft, fullDiameterM: number): FillTarget | null {
  const value = (
    typed: Typed | null,
    initial: number,
    quantity: 'length' | 'smallLength',
    limits: { min: number; max: number },
  ): number | null => {
    const read = readTyped(typed, initial, quantity, limits);
    return read.ok ? read.value : null;
  };
  switch (draft.kind) {
    case 'below-rim': {
      const levelBelowRimM = value(draft.level, DEFAULT_LEVEL_BELOW_RIM_M, 'smallLength', LIMITS.levelBelowRimM);
      return levelBelowRimM === null ? null : { kind: 'below-rim', levelBelowRimM };
    }
    case 'depth-share': {
      const share = Number(draft.sharePercent.replace(',', '.')) / 100;
      return share > 0.05 && share <= 1.1 ? { kind: 'depth-share', share } : null;
    }
    case 'mark': {
      const diameterM = value(draft.mark, fullDiameterM, 'smallLength', LIMITS.fullDiameterM);
      return diameterM === null ? null : { kind: 'mark', diameterM };
    }
    case 'counter-true': {
      const fromM = value(draft.from, DEFAULT_RANGE_M.from, 'length', LIMITS.walkLengthM);
      const toM = value(draft.to, DEFAULT_RANGE_M.to, 'length', LIMITS.walkLengthM);
      return fromM !== null && toM !== null && toM > fromM ? { kind: 'counter-true', fromM, toM } : null;
    }
  }
}
