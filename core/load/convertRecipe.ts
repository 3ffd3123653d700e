import type { Figure } from '../provenance/figure';
import type { Known } from '../provenance/source';
import { because } from '../reasons';
import { PLUS_MINUS_SDS, propagate, type UncertainInput } from '../numerics/propagate';
import { requirePositive } from '../result';
import { lengthWoundOnM } from '../spool/turns';
import { woundAreaM2, woundDiameterM } from '../spool/spoolGeometry';
import { ERRORS } from '../measurement/errors';
import { bulkRelativeSd } from './planLoad';

/** One line of somebody's recipe: counts as their counter showed them from zero, or a length that is true. */
export interface RecipeRow {
  readonly name: string;
  readonly lineDiameterM: Known;
  readonly packing: Known;
  /** How much it was stretched as it went on, as a share of its relaxed length; left out, it was not. */
  readonly windingStrain?: { readonly value: number; readonly sd: number };
  readonly amount:
    { readonly kind: 'counts'; readonly counts: number } | { readonly kind: 'length'; readonly lengthM: number };
}

/** The reel that the recipe was made on; guesses carry wide SDs. */
export interface RecipeReel {
  readonly arborDiameterM: Known;
  readonly widthM: Known;
  readonly fullDiameterM: Known;
  readonly lengthPerTurnM: Known;
  readonly unitM: number;
}

export interface ConvertedRow {
  readonly name: string;
  readonly trueLengthM: Figure;
}

/** SD of a count in a recipe: it was read, or remembered, to a few counts. */
const RECIPE_COUNT_SD = 2;

/**
 * Turns a recipe in counter-feet into true lengths: the counts are spool turns of that reel, so each segment's length
 * follows from the diameter on which it was wound. Rows stand in the order of winding, each counted from zero.
 *
 * @param reel the reel that the recipe was made on
 * @param rows from the arbor outwards
 * @returns true lengths (m) in the order of `rows`, with what the other reel and its lines leave open
 */
export function convertRecipe(reel: RecipeReel, rows: readonly RecipeRow[]): readonly ConvertedRow[] {
  requirePositive('convertRecipe', { unitM: reel.unitM });
  const inputs: UncertainInput[] = [
    { from: because('error-other-arbor'), ...reel.arborDiameterM },
    { from: because('error-other-width'), ...reel.widthM },
    { from: because('error-other-counter'), ...reel.lengthPerTurnM },
    ...rows.map((row) => ({ from: because('error-bulk', { of: row.name }), value: 1, sd: bulkRelativeSd(row) })),
    ...rows.map((row) =>
      row.amount.kind === 'counts'
        ? {
            from: because('error-counts', { of: row.name }),
            value: row.amount.counts,
            sd: Math.min(RECIPE_COUNT_SD, row.amount.counts / 4),
          }
        : { from: because('error-length', { of: row.name }), value: row.amount.lengthM, sd: 0 },
    ),
    ...rows.map(({ name, windingStrain = { value: 0, sd: 0 } }) => ({
      from: because('error-stretch', { of: name }),
      ...windingStrain,
    })),
  ];
  const spread = propagate(inputs, ([arborDiameterM = NaN, widthM = NaN, lengthPerTurnM = NaN, ...rest]) => {
    const spool = { arborDiameterM, widthM };
    let takenM3 = 0;
    return rows.map((row, index) => {
      const areaM2 = woundAreaM2(row.lineDiameterM.value, row.packing.value) * (rest[index] ?? NaN);
      const amount = rest[rows.length + index] ?? NaN;
      const stretch = 1 + (rest[2 * rows.length + index] ?? NaN);
      const turns = (amount * reel.unitM) / lengthPerTurnM;
      const lengthM =
        row.amount.kind === 'length'
          ? amount
          : lengthWoundOnM(turns / stretch, woundDiameterM(spool, takenM3), areaM2, widthM);
      takenM3 += areaM2 * lengthM;
      return lengthM;
    });
  });
  return rows.map((row, index) => {
    const value = spread.values[index] ?? NaN;
    const layersSd = row.amount.kind === 'counts' ? value * ERRORS.plannedTurnsShare.sd : 0;
    return {
      name: row.name,
      trueLengthM: {
        value,
        plusMinus: PLUS_MINUS_SDS * Math.hypot(spread.sds[index] ?? NaN, layersSd),
        mainlyFrom: spread.largestContributors[index] ?? null,
      },
    };
  });
}

/**
 * The constant of a counter of which nothing is known: makers mean it to be true on a nearly full spool, so it is the
 * turn at nine tenths of the depth (from memory).
 */
export function guessedConstant(reel: Pick<RecipeReel, 'arborDiameterM' | 'fullDiameterM'>): Known {
  const value = Math.PI * (reel.arborDiameterM.value + 0.9 * (reel.fullDiameterM.value - reel.arborDiameterM.value));
  return { value, sd: 0.06 * value, source: 'default' };
}
