import { METRES_PER_LENGTH_UNIT } from '@/core/units/units';
import { ERRORS } from '@/core/measurement/errors';
import { convertRecipe, guessedConstant, type ConvertedRow, type RecipeRow } from '@/core/load/convertRecipe';
import { reelShape } from '@/core/gear/reelShape';
import { productOf, strainOf } from '@/core/rig/line/planForRig';
import type { RigRecord } from '@/core/record/record';
import { readTyped, type Typed } from '@/components/fields/typedQuantity';
import { LIMITS } from '@/usecases/limits';
import { rowLengthM, type StackDraft } from './stackDraft';

/** Sizes to guess another reel by, when its full diameter is not known (m). Guesses, and shown as such. */
export const SIZE_GUESSES = { small: 0.046, middle: 0.058, large: 0.075 } as const;

/** Somebody's recipe as it was typed: their reel, and what their counter showed for each segment of the stack. */
export interface RecipeDraft {
  readonly size: keyof typeof SIZE_GUESSES | 'measured';
  readonly full: Typed | null;
  readonly arbor: Typed | null;
  readonly width: Typed | null;
  readonly unit: 'ft' | 'm';
  /** Counts by the segment's id; a segment without is taken to be of true length. */
  readonly counts: Readonly<Record<string, string>>;
}

export const NEW_RECIPE: RecipeDraft = { size: 'middle', full: null, arbor: null, width: null, unit: 'ft', counts: {} };

export function isRecipeDraft(kept: unknown): kept is RecipeDraft {
  return typeof kept === 'object' && kept !== null && 'size' in kept && 'counts' in kept && 'unit' in kept;
}

/** SD of a dimension that somebody else measured (m). */
const TOLD_SD_M = 2.5 * ERRORS.caliperM.sd;

/** Counts that were typed for a row; null for none, undefined for text that is no count. */
export function countsOf(recipe: RecipeDraft, rowId: string): number | null | undefined {
  const text = (recipe.counts[rowId] ?? '').trim();
  if (text === '') return null;
  return /^\d{1,5}$/.test(text) && Number(text) > 0 ? Number(text) : undefined;
}

/**
 * A recipe's true lengths, for the rows of a stack in their order; null while something is missing. The converted rows
 * carry the id of their stack row.
 */
export function convertedRecipe(
  record: RigRecord,
  draft: StackDraft,
  recipe: RecipeDraft,
): readonly (ConvertedRow & { readonly rowId: string })[] | null {
  const wound = draft.rows.filter((row) => row.wound);
  const rows = wound.map((row): RecipeRow | null => {
    const product = productOf(record, row.productId);
    const { diameterM, packing } = product;
    const base = { name: row.name, lineDiameterM: diameterM, packing, windingStrain: strainOf(product) };
    const counts = countsOf(recipe, row.id);
    if (counts === undefined) return null;
    if (counts !== null) return { ...base, amount: { kind: 'counts', counts } };
    const lengthM = rowLengthM(row);
    return lengthM == null ? null : { ...base, amount: { kind: 'length', lengthM } };
  });
  const known = rows.filter((row) => row !== null);
  if (known.length === 0 || known.length < rows.length) return null;
  const small = (typed: Typed | null, limits: { min: number; max: number }): number | null => {
    const read = readTyped(typed, null, 'smallLength', limits);
    return read.ok ? read.value : null;
  };
  const measured = {
    arborDiameterM: small(recipe.arbor, LIMITS.arborDiameterM),
    widthM: small(recipe.width, LIMITS.widthM),
    fullDiameterM: recipe.size === 'measured' ? small(recipe.full, LIMITS.fullDiameterM) : null,
    sdM: TOLD_SD_M,
  };
  if (recipe.size === 'measured' && measured.fullDiameterM === null) return null;
  const guessM = recipe.size === 'measured' ? (measured.fullDiameterM ?? NaN) : SIZE_GUESSES[recipe.size];
  const shape = reelShape('conventional', { ...measured, fullDiameterM: guessM }, []);
  if (shape.arborDiameterM.value >= guessM) return null;
  const fullDiameterM =
    recipe.size === 'measured' ? shape.fullDiameterM : { value: guessM, sd: 0.08 * guessM, source: 'default' as const };
  const reel = {
    ...shape,
    fullDiameterM,
    lengthPerTurnM: guessedConstant({ ...shape, fullDiameterM }),
    unitM: METRES_PER_LENGTH_UNIT[recipe.unit === 'ft' ? 'ft' : 'm'],
  };
  return convertRecipe(reel, known).map((row, index) => ({ ...row, rowId: wound[index]?.id ?? '' }));
}

/** A stack with a recipe's true lengths in place of its own; nothing is left to be worked out. */
export function withRecipe(
  draft: StackDraft,
  converted: readonly { rowId: string; trueLengthM: { value: number } }[],
): StackDraft {
  return {
    ...draft,
    rows: draft.rows.map((row) => {
      const found = converted.find((each) => each.rowId === row.id);
      if (!found) return row;
      return { ...row, solved: false, typed: null, lengthM: Math.round(found.trueLengthM.value * 10) / 10 };
    }),
  };
}
