import { failure, success, type Outcome } from '../result';
import { siPerUnit, unitsOf, type Quantity } from './units';

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

/**
 * Reads a quantity as a person types it: a number with a decimal point or comma, optionally
 * followed by a unit ("45 m", "150 ft", "6,5 kg").
 *
 * @param text what was typed
 * @param quantity what is being measured
 * @param defaultUnit the unit meant when none is typed
 * @param limits smallest and largest acceptable SI value, both included
 * @returns the SI value, or the reason
 * @example parseQuantity('100 ft', 'length', 'm', { min: 0, max: 5000 }) // 30.48
 */
export function parseQuantity(
  text: string,
  quantity: Quantity,
  defaultUnit: string,
  limits: { readonly min: number; readonly max: number },
): Outcome<number, QuantityProblem> {
  const trimmed = text.trim();
  if (trimmed === '') return failure('nothing-typed');
  const match = /^([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+))\s*([a-z'"]*)\.?$/i.exec(trimmed);
  if (!match) return failure('not-a-quantity', { typed: trimmed, unit: defaultUnit });
  const typedUnit = match[2] ?? '';
  const unit = typedUnit === '' ? defaultUnit : (UNIT_SYNONYMS[typedUnit.toLowerCase()] ?? typedUnit);
  const factor = siPerUnit(quantity, unit) ?? siPerUnit(quantity, unit.toLowerCase());
  if (factor === undefined) {
    return failure('unknown-unit', { typed: typedUnit, units: unitsOf(quantity) });
  }
  const value = Number((match[1] ?? '').replace(',', '.')) * factor;
  if (value < limits.min) return failure('too-small');
  if (value > limits.max) return failure('too-large');
  return success(value);
}
