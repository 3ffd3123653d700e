import { failure, success, type Outcome } from '../result';
import { parseQuantity } from '../units/parseQuantity';
import { guessedDiameter } from './lineDiameter';
import type { CapacityRating } from './reelShape';

export interface ParsedRating extends CapacityRating {
  /** Strength from which the thickness is guessed (N); null where the thickness was named. */
  readonly ofStrengthN: number | null;
}

const THICKNESS_LIMITS = { min: 0.00003, max: 0.006 };
const STRENGTH_LIMITS = { min: 1, max: 5000 };
const LENGTH_LIMITS = { min: 1, max: 5000 };

type RatingProblem = 'rating-unreadable' | 'rating-length-unreadable' | 'rating-thickness-unreadable';

/** Below this a number without a unit is a thickness in millimetres, from here on a strength: no line is so thick or so weak. */
const THICKEST_MM = 1.6;

/** The unit of length that goes with each unit of thickness or strength on a box. */
const LENGTH_BESIDE: Readonly<Record<string, string>> = { mm: 'm', kg: 'm', N: 'm', in: 'yd', lb: 'yd' };

/**
 * Reads one capacity as it stands on a box: thickness or strength of nylon, a stroke, and a length, in either order and each in
 * its own unit, or in the units named before it ("m/mm: 300/0.40"). Without units 20/350 is 20 lb and 350 yd, and 0.40/300 is
 * 0.40 mm and 300 m (common practice). A strength alone is turned into a thickness by guess, since makers rate capacity in nylon.
 *
 * @param text such as "0.40 mm / 300 m" or "20/350"
 * @returns the rating in SI, or which part of it cannot be read
 */
export function parseRating(text: string): Outcome<ParsedRating, RatingProblem> {
  const label = text.trim();
  const parts = withUnits(label)
    .split(/[/–]|\s-\s/)
    .map((part) => part.trim());
  const [left = '', right = ''] = parts;
  if (left === '' || right === '' || parts.length > 2) return failure('rating-unreadable');
  const [of, howMuch] = isLength(left, right) ? [right, left] : [left, right];
  const ofUnit = unitIn(of) ?? (numberIn(of) < THICKEST_MM ? 'mm' : 'lb');
  const length = parseQuantity(howMuch, 'length', LENGTH_BESIDE[ofUnit] ?? 'm', LENGTH_LIMITS);
  if (!length.ok) return failure('rating-length-unreadable', { typed: howMuch, because: length });
  const thickness = parseQuantity(of, 'smallLength', ofUnit, THICKNESS_LIMITS);
  if (thickness.ok) {
    return success({ label, lineDiameterM: thickness.value, lengthM: length.value, ofStrengthN: null });
  }
  const strength = parseQuantity(of, 'force', ofUnit, STRENGTH_LIMITS);
  if (!strength.ok) return failure('rating-thickness-unreadable', { typed: of });
  const lineDiameterM = guessedDiameter('nylon', strength.value).value;
  return success({ label, lineDiameterM, lengthM: length.value, ofStrengthN: strength.value });
}

/** The capacities of a list as it stands on a box: "20/350, 30/240", "0,35/380; 0,40/300". A decimal comma is none of a list. */
export function ratingsIn(text: string): readonly string[] {
  const pieces: string[] = [];
  let piece = '';
  for (const [index, letter] of [...text].entries()) {
    const ends =
      letter === ';' || letter === '\n' || (letter === ',' && piece.includes('/') && text.slice(index).includes('/'));
    if (ends) pieces.push(piece);
    piece = ends ? '' : piece + letter;
  }
  return [...pieces, piece].map((each) => each.trim()).filter((each) => each !== '');
}

const unitIn = (part: string): string | undefined => {
  const unit = /([a-z"']+)\.?$/i.exec(part)?.[1]?.toLowerCase();
  return unit === undefined ? undefined : ({ lbs: 'lb', '"': 'in', kgs: 'kg', n: 'N' }[unit] ?? unit);
};

const numberIn = (part: string): number => Number.parseFloat(part.replace(',', '.'));

/** True where the first of two parts is the length: by its unit, else by being the larger number. */
function isLength(left: string, right: string): boolean {
  const LENGTHS = ['m', 'yd', 'yds', 'yards', 'ft'];
  if (LENGTHS.includes(unitIn(left) ?? '')) return true;
  if (LENGTHS.includes(unitIn(right) ?? '') || unitIn(left) !== undefined) return false;
  return unitIn(right) !== undefined || numberIn(left) > numberIn(right);
}

/** Gives numbers the units that are named before them: "yd/lb: 350/20" is "350 yd/20 lb". */
function withUnits(label: string): string {
  const named = /^([a-z]+)\s*\/\s*([a-z]+)\s*:?\s+([\d.,]+)\s*\/\s*([\d.,]+)$/i.exec(label);
  return named ? `${named[3]} ${named[1]} / ${named[4]} ${named[2]}` : label;
}
