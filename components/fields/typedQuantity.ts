import { parseQuantity, type QuantityProblem } from '@/core/units/parseQuantity';
import { success, type Outcome } from '@/core/result';
import { fromSi, type Quantity } from '@/core/units/units';

/** What a person typed, with the unit that was showing: "45" typed under metres stays 45 m. */
export interface Typed {
  readonly text: string;
  readonly unit: string;
  /** Length of one colour of the line at hand (m), where it is known. */
  readonly colourM?: number;
}

export interface Limits {
  readonly min: number;
  readonly max: number;
}

/** SI value of what stands in a field: what was typed, else what stood there before. */
export function readTyped(
  typed: Typed | null,
  initialSi: number | null,
  quantity: Quantity,
  limits: Limits,
): Outcome<number | null, QuantityProblem> {
  if (!typed) return success(initialSi);
  if (typed.text.trim() === '') return success(null);
  return parseQuantity(typed.text, quantity, typed.unit, limits, typed.colourM);
}

/** Text to show under a unit: as typed under its own unit, converted under another. */
export function shownText(
  typed: Typed | null,
  initialSi: number | null,
  quantity: Quantity,
  unit: string,
  limits: Limits,
): string {
  if (typed && typed.unit === unit) return typed.text;
  const read = readTyped(typed, initialSi, quantity, limits);
  if (!read.ok) return typed?.text ?? '';
  return read.value === null ? '' : plainNumber(fromSi(quantity, read.value, unit));
}

/** Four or five digits, as a tape or a caliper tells, without trailing zeros: what is stored stays as it is until something is typed. */
function plainNumber(value: number): string {
  const size = Math.abs(value);
  return String(Number(value.toFixed(size < 1 ? 4 : size < 10 ? 3 : size < 100 ? 2 : 1)));
}
