import type { Known } from '../provenance/source';
import { requirePositive } from '../result';

export interface CapacityRating {
  readonly label: string;
  readonly lineDiameterM: number;
  readonly lengthM: number;
}

/** Spool dimensions as they were measured (m); null for what was not. */
export interface MeasuredDimensions {
  readonly arborDiameterM: number | null;
  readonly widthM: number | null;
  readonly fullDiameterM: number | null;
  readonly sdM: number;
}

export interface ReelShape {
  readonly arborDiameterM: Known;
  readonly widthM: Known;
  readonly fullDiameterM: Known;
}

type ReelKind = 'conventional' | 'fixed-spool' | 'fly';

/**
 * Usual proportions of each kind of reel: arbor and width as shares of the full diameter, with the relative SD
 * of a guess (from memory, editable by measuring).
 */
const USUAL: Readonly<Record<ReelKind, { readonly arbor: number; readonly width: number }>> = {
  conventional: { arbor: 0.52, width: 0.48 },
  'fixed-spool': { arbor: 0.72, width: 0.38 },
  fly: { arbor: 0.55, width: 0.3 },
};
const ARBOR_GUESS_RELATIVE_SD = 0.14;
const WIDTH_GUESS_RELATIVE_SD = 0.2;
const FULL_GUESS_RELATIVE_SD = 0.12;

/** Packing that makers' ratings of round line are read with (from memory). */
export const RATED_PACKING = 0.68;

/** Space that a metre of a rating's line takes on the spool (m²). */
export function ratedAreaM2(lineDiameterM: number): number {
  return ((Math.PI / 4) * lineDiameterM ** 2) / RATED_PACKING;
}

/** Volumes that the ratings of a reel come to (m³): the same spool, so they ought to agree. */
export function ratedVolumesM3(ratings: readonly CapacityRating[]): readonly number[] {
  return ratings.map((rating) => ratedAreaM2(rating.lineDiameterM) * rating.lengthM);
}

/** Geometric mean of the rated volumes (m³), or null without a rating. */
function meanVolumeM3(ratings: readonly CapacityRating[]): number | null {
  if (ratings.length === 0) return null;
  const logs = ratedVolumesM3(ratings).map(Math.log);
  return Math.exp(logs.reduce((sum, log) => sum + log, 0) / logs.length);
}

/**
 * The dimensions of a spool before anything was wound: what was measured, and for the rest a guess from the kind
 * of reel, scaled so that the whole holds what the maker's ratings say. Two ratings cannot give the arbor: they
 * are the same volume twice.
 *
 * @param kind sort of reel
 * @param measured caliper readings (m), null where none was taken
 * @param ratings the maker's capacities; at least one unless the full diameter was measured
 * @throws RangeError when there is neither a full diameter nor a rating to scale a guess by
 */
export function reelShape(kind: ReelKind, measured: MeasuredDimensions, ratings: readonly CapacityRating[]): ReelShape {
  const { arbor, width } = USUAL[kind];
  const known = (value: number): Known => ({ value, sd: measured.sdM, source: 'measured' });
  const volumeM3 = meanVolumeM3(ratings);
  const fullM = measured.fullDiameterM ?? guessedFullM(measured, arbor, width, volumeM3);
  requirePositive('reelShape', { fullM });
  const guess = (value: number, relativeSd: number): Known => ({ value, sd: value * relativeSd, source: 'default' });
  return {
    arborDiameterM:
      measured.arborDiameterM === null ? guess(arbor * fullM, ARBOR_GUESS_RELATIVE_SD) : known(measured.arborDiameterM),
    widthM: measured.widthM === null ? guess(width * fullM, WIDTH_GUESS_RELATIVE_SD) : known(measured.widthM),
    fullDiameterM:
      measured.fullDiameterM === null ? guess(fullM, FULL_GUESS_RELATIVE_SD) : known(measured.fullDiameterM),
  };
}

/** Full diameter of a reel of usual proportions that holds a volume (m). */
function guessedFullM(measured: MeasuredDimensions, arbor: number, width: number, volumeM3: number | null): number {
  if (volumeM3 === null) {
    throw new RangeError('reelShape: a rating or a full diameter is needed');
  }
  const { arborDiameterM, widthM } = measured;
  if (widthM !== null) {
    const discM2 = (4 * volumeM3) / (Math.PI * widthM);
    return arborDiameterM === null ? Math.sqrt(discM2 / (1 - arbor ** 2)) : Math.sqrt(discM2 + arborDiameterM ** 2);
  }
  return ((4 * volumeM3) / (Math.PI * width * (1 - arbor ** 2))) ** (1 / 3);
}
