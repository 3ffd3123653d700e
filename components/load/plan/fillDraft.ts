import { USUAL_RANGE, type WorkingRange } from '@/core/rig/line/workingRange';
import { DEFAULT_LEVEL_BELOW_RIM_M } from '@/core/load/defaults';
import type { FillTarget, PlannedFill } from '@/core/load/fillTarget';
import { readTyped, type Typed } from '@/components/fields/typedQuantity';
import { LIMITS } from '@/usecases/limits';

/** Where the fill is to end, as it was typed over what is stored. */
export interface FillDraft {
  /** As stored with the plan; null or missing while nobody has said. */
  readonly stored?: PlannedFill | null;
  /** The level of a reel of this kind while nobody has said (m); missing: the one of a counter reel. */
  readonly usualM?: number;
  readonly kind: FillTarget['kind'];
  readonly level: Typed | null;
  readonly sharePercent: string;
  readonly mark: Typed | null;
  readonly from: Typed | null;
  readonly to: Typed | null;
  /** Metres of the outermost line that leader knots and snags will soon take. */
  readonly soonGone: Typed | null;
  /** Metres of it that each leader knot takes. */
  readonly perKnot?: Typed | null;
  /** The rod's working range, where nobody has typed another. */
  readonly usualRange?: WorkingRange;
}

export const NEW_FILL: FillDraft = {
  kind: 'below-rim',
  level: null,
  sharePercent: '90',
  mark: null,
  from: null,
  to: null,
  soonGone: null,
};

/** The draft of a stored fill, nothing typed over it yet. */
export function fillDraftOf(
  stored: PlannedFill | null,
  usualM = DEFAULT_LEVEL_BELOW_RIM_M,
  usualRange: WorkingRange = USUAL_RANGE,
): FillDraft {
  if (!stored) return { ...NEW_FILL, usualM, usualRange };
  const { target } = stored;
  const share = target.kind === 'depth-share' ? String(Number((100 * target.share).toFixed(1))) : NEW_FILL.sharePercent;
  return { ...NEW_FILL, stored, usualM, usualRange, kind: target.kind, sharePercent: share };
}

/** What stands in each field of a fill before anything is typed: what is stored, else the defaults (m). */
export function initialFill(draft: FillDraft, fullDiameterM: number) {
  const target = draft.stored?.target;
  const usual = draft.usualRange ?? USUAL_RANGE;
  return {
    levelBelowRimM: target?.kind === 'below-rim' ? target.levelBelowRimM : (draft.usualM ?? DEFAULT_LEVEL_BELOW_RIM_M),
    diameterM: target?.kind === 'mark' || target?.kind === 'own-mark' ? target.diameterM : fullDiameterM,
    fromM: target?.kind === 'counter-true' ? target.fromM : usual.fromM,
    toM: target?.kind === 'counter-true' ? target.toM : usual.toM,
    soonGoneM: draft.stored?.soonGoneM ?? 0,
  };
}

/** The fill of a draft; null while a figure of it is missing or unreadable. */
function fillOf(draft: FillDraft, fullDiameterM: number): PlannedFill | null {
  const [target, soonGoneM] = [targetOf(draft, fullDiameterM), soonGoneOf(draft)];
  const perKnot = readTyped(draft.perKnot ?? null, draft.stored?.perKnotM ?? null, 'length', LIMITS.perKnotM);
  if (!target || soonGoneM === null || !perKnot.ok) return null;
  return { target, soonGoneM, perKnotM: perKnot.value };
}

/** True where somebody has said where the fill is to end; else it is a default, and stays one. */
function isChosen({ stored, kind, level, soonGone, perKnot }: FillDraft): boolean {
  return stored != null || kind !== NEW_FILL.kind || level !== null || soonGone != null || perKnot != null;
}

/** The fill of a draft as it is stored with the plan, null where nobody has chosen one; not ok while it cannot be read. */
export function plannedFillOf(
  draft: FillDraft,
  fullDiameterM: number,
): { readonly ok: true; readonly value: PlannedFill | null } | { readonly ok: false } {
  const fill = fillOf(draft, fullDiameterM);
  if (!fill) return { ok: false };
  return { ok: true, value: isChosen(draft) ? fill : null };
}

/** The working range as it was typed, else the usual one (m off the spool). */
export function rangeOf(draft: FillDraft): { readonly fromM: number; readonly toM: number } {
  const read = (typed: Typed | null, initial: number): number => {
    const value = readTyped(typed, initial, 'length', LIMITS.walkLengthM);
    return value.ok && value.value !== null ? value.value : initial;
  };
  const initial = initialFill(draft, NaN);
  const [fromM, toM] = [read(draft.from, initial.fromM), read(draft.to, initial.toM)];
  return toM > fromM ? { fromM, toM } : (draft.usualRange ?? USUAL_RANGE);
}

/** Metres that will soon be gone, or null while they cannot be read. */
export function soonGoneOf(draft: FillDraft): number | null {
  const read = readTyped(draft.soonGone ?? null, draft.stored?.soonGoneM ?? 0, 'length', LIMITS.soonGoneM);
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
  const initial = initialFill(draft, fullDiameterM);
  switch (draft.kind) {
    case 'below-rim': {
      const levelBelowRimM = value(draft.level, initial.levelBelowRimM, 'smallLength', LIMITS.levelBelowRimM);
      return levelBelowRimM === null ? null : { kind: 'below-rim', levelBelowRimM };
    }
    case 'depth-share': {
      const share = Number(draft.sharePercent.replace(',', '.')) / 100;
      return share > 0.05 && share <= 1.1 ? { kind: 'depth-share', share } : null;
    }
    case 'mark':
    case 'own-mark': {
      const diameterM = value(draft.mark, initial.diameterM, 'smallLength', LIMITS.fullDiameterM);
      return diameterM === null ? null : { kind: draft.kind, diameterM };
    }
    case 'counter-true': {
      const fromM = value(draft.from, initial.fromM, 'length', LIMITS.walkLengthM);
      const toM = value(draft.to, initial.toM, 'length', LIMITS.walkLengthM);
      return fromM !== null && toM !== null && toM > fromM ? { kind: 'counter-true', fromM, toM } : null;
    }
  }
}
