import { failure, success, type Outcome } from '../result';
import { parseQuantity } from '../units/parseQuantity';
import { guessedDiameter } from './lineDiameter';
import type { CapacityRating } from './reelShape';

export interface ParsedRating extends CapacityRating {
  /** True where only a strength was named and the thickness is guessed from it. */
  readonly thicknessGuessed: boolean;
}

const THICKNESS_LIMITS = { min: 0.00003, max: 0.006 };
const STRENGTH_LIMITS = { min: 1, max: 5000 };
const LENGTH_LIMITS = { min: 1, max: 5000 };

type RatingProblem = 'rating-unreadable' | 'rating-length-unreadable' | 'rating-thickness-unreadable';

/**
 * Reads one capacity as makers print them: thickness or strength of nylon, a stroke, and a length, each in its own
 * unit. A strength alone is turned into a thickness by guess, since makers rate capacity in nylon.
 *
 * @param text such as "0.40 mm / 300 m" or "20 lb / 250 yd"
 * @returns the rating in SI, or which part of it cannot be read
 */
export function parseRating(text: string): Outcome<ParsedRating, RatingProblem> {
  const label = text.trim();
  const [of = '', howMuch = '', ...rest] = label.split(/[/;–]|\s-\s/).map((part) => part.trim());
  if (of === '' || howMuch === '' || rest.length > 0) {
    return failure('rating-unreadable');
  }
  const length = parseQuantity(howMuch, 'length', 'm', LENGTH_LIMITS);
  if (!length.ok) return failure('rating-length-unreadable', { typed: howMuch ?? '', because: length });
  const thickness = parseQuantity(of, 'smallLength', 'mm', THICKNESS_LIMITS);
  if (thickness.ok) {
    return success({ label, lineDiameterM: thickness.value, lengthM: length.value, thicknessGuessed: false });
  }
  const strength = parseQuantity(of, 'force', 'lb', STRENGTH_LIMITS);
  if (!strength.ok || thickness.reason !== 'unknown-unit') {
    return failure('rating-thickness-unreadable', { typed: of ?? '' });
  }
  const lineDiameterM = guessedDiameter('nylon', strength.value).value;
  return success({ label, lineDiameterM, lengthM: length.value, thicknessGuessed: true });
}
