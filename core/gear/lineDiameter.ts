import { MATERIAL, type Material } from '../materials/materials';
import { ERRORS } from '../measurement/errors';
import type { Known } from '../provenance/source';
import { requirePositive } from '../result';

/**
 * Diameter of a line from touching wraps on a rod: width of the row ÷ number of wraps. Twenty wraps make a thin
 * line's ± small enough; soft braid flattens, which the 3 % allows for.
 *
 * @param rowWidthM width over all wraps (m)
 * @param wraps number of wraps that touch
 */
export function diameterFromWraps(rowWidthM: number, wraps: number): Known {
  requirePositive('diameterFromWraps', { rowWidthM, wraps });
  const value = rowWidthM / wraps;
  const sd = Math.hypot(ERRORS.wrapRowM.sd / wraps, value * ERRORS.wrappedDiameterShare.sd);
  return { value, sd, source: 'measured' };
}

/**
 * Diameter of a round line from caliper readings at several places: their mean, with the SD of its mean or of the
 * caliper, whichever is more. Braid gives way under the jaws: count wraps there.
 *
 * @param readingsM at least two readings (m)
 */
export function diameterFromCaliper(readingsM: readonly number[]): Known {
  const n = readingsM.length;
  requirePositive('diameterFromCaliper', { degrees: n - 1, least: Math.min(...readingsM) });
  const value = readingsM.reduce((sum, each) => sum + each, 0) / n;
  const sd = Math.sqrt(readingsM.reduce((sum, each) => sum + (each - value) ** 2, 0) / (n - 1));
  return { value, sd: Math.max(sd / Math.sqrt(n), ERRORS.lineCaliperM.sd), source: 'measured' };
}

/** Diameter of braid size number 1 (m): the published Japanese line standard, from memory. */
const NUMBER_ONE_M = 0.000165;
/** Relative SD of braid against its number: labels of braid are off by 10 to 20 % (from memory). */
const NUMBER_RELATIVE_SD = 0.12;

/**
 * Diameter of a braid from its size number: number 1 is about 0.165 mm, and the diameter goes with the square root
 * of the number, since the number counts the weight of a length.
 */
export function diameterFromBraidNumber(number: number): Known {
  requirePositive('diameterFromBraidNumber', { number });
  const value = NUMBER_ONE_M * Math.sqrt(number);
  return { value, sd: value * NUMBER_RELATIVE_SD, source: 'label' };
}

/** Diameter guessed from material and labelled strength (N), when nothing else is known. */
export function guessedDiameter(material: Material, labelStrengthN: number): Known {
  requirePositive('guessedDiameter', { labelStrengthN });
  const value = Math.sqrt((4 * labelStrengthN) / (Math.PI * MATERIAL[material].labelledStressPa));
  return { value, sd: value * MATERIAL[material].guessedDiameterRelativeSd, source: 'default' };
}
