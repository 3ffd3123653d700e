import { failure, success, type Outcome } from '../result';
import { siPerUnit, unitsOf, type Quantity } from './units';

/** Usual length of one colour of lead core (m): ten yards (common practice, no source). */
export const COLOUR_LENGTH_M = 9.144;

export type QuantityProblem = 'nothing-typed' | 'not-a-quantity' | 'unknown-unit' | 'too-small' | 'too-large';

const UNIT_SYNONYMS: Readonly<Record<string, string>> = {
  metre: 'm',
  metres: 'm',
  meter: 'm',
  meters: 'm',
  feet: 'ft',
  foot: 'ft',
  "'": 'ft',
  yard: 'yd',
  yards: 'yd',
  yds: 'yd',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  lbs: 'lb',
  pounds: 'lb',
  kgs: 'kg',
  kilos: 'kg',
  n: 'N',
  newton: 'N',
  newtons: 'N',
};

/** Words for a colour of dyed line as a unit of length, in letters without their case. */
const COLOUR_WORDS = ['colour', 'colours', 'color', 'colors', 'col', 'cols'];

/** Parts of one as they are typed: "2 1/2", "2½", "1/2". */
const PARTS: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25, '¾': 0.75, '⅓': 1 / 3, '⅔': 2 / 3 };

/** True where a length was typed in colours: "10 colours", "2 1/2 col". */
export function saysColours(text: string): boolean {
  const unit = /([a-z]+)\.?\s*$/i.exec(text)?.[1] ?? '';
  return /\d|[½¼¾⅓⅔]/.test(text) && COLOUR_WORDS.includes(unit.toLowerCase());
}

/**
 * Reads a quantity as a person types it: a number with a decimal point or comma, optionally
 * followed by a unit ("45 m", "150 ft", "6,5 kg"), or a whole number and a part of one ("2 1/2 colours").
 *
 * @param text what was typed
 * @param quantity what is being measured
 * @param defaultUnit the unit meant when none is typed
 * @param limits smallest and largest acceptable SI value, both included
 * @param colourM length of one colour of the line at hand (m), for a length typed in colours
 * @returns the SI value, or the reason
 * @example parseQuantity('100 ft', 'length', 'm', { min: 0, max: 5000 }) // 30.48
 */
export function parseQuantity(
  text: string,
  quantity: Quantity,
  defaultUnit: string,
  limits: { readonly min: number; readonly max: number },
  colourM = COLOUR_LENGTH_M,
): Outcome<number, QuantityProblem> {
  const trimmed = text.trim();
  if (trimmed === '') return failure('nothing-typed');
  const match = /^([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)?)\s*((?:\d+\/\d+|[½¼¾⅓⅔])?)\s*([a-z'"]*)\.?$/i.exec(trimmed);
  const number = match && numberOf(match[1] ?? '', match[2] ?? '');
  if (!match || number === null) return failure('not-a-quantity', { typed: trimmed, unit: defaultUnit });
  const typedUnit = match[3] ?? '';
  const unit = typedUnit === '' ? defaultUnit : (UNIT_SYNONYMS[typedUnit.toLowerCase()] ?? typedUnit);
  const inColours = quantity === 'length' && COLOUR_WORDS.includes(unit.toLowerCase());
  const factor = inColours ? colourM : (siPerUnit(quantity, unit) ?? siPerUnit(quantity, unit.toLowerCase()));
  if (factor === undefined) {
    return failure('unknown-unit', { typed: typedUnit, units: unitsOf(quantity) });
  }
  const value = number * factor;
  if (value < limits.min) return failure('too-small');
  if (value > limits.max) return failure('too-large');
  return success(value);
}

/** A number with the part of one that stands behind it, or null where neither can be read. */
function numberOf(whole: string, part: string): number | null {
  if (whole === '' && part === '') return null;
  if (part === '') return Number(whole.replace(',', '.'));
  const [of, by] = part.split('/').map(Number);
  const share = PARTS[part] ?? (of && by ? of / by : NaN);
  // "2.5 1/2" is no way to type a number.
  if (!Number.isFinite(share) || !/^\+?\d*$/.test(whole)) return null;
  return Number(whole === '' ? 0 : whole) + share;
}
