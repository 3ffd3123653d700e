/**
 * Exact factors to SI. Source: NIST SP 811 (2008), appendix B.8: inch 25.4 mm, foot 0.3048 m, yard
 * 0.9144 m, pound 0.453 592 37 kg, pound-force 4.448 221 615 260 5 N, standard gravity 9.806 65 m/s².
 * On a scale "kg" and "lb" mean kilogram-force and pound-force.
 */
export const METRES_PER_LENGTH_UNIT = {
  m: 1,
  ft: 0.3048,
  yd: 0.9144,
} as const;

export const METRES_PER_SMALL_LENGTH_UNIT = {
  mm: 0.001,
  in: 0.0254,
} as const;

export const NEWTONS_PER_FORCE_UNIT = {
  kg: 9.80665,
  lb: 4.4482216152605,
  N: 1,
} as const;

/** One knot (m/s): 1852 m an hour. */
export const KNOT_MS = 1852 / 3600;

/** Ten feet (m). */
export const TEN_FEET_M = 10 * METRES_PER_LENGTH_UNIT.ft;

export type LengthUnit = keyof typeof METRES_PER_LENGTH_UNIT;
export type SmallLengthUnit = keyof typeof METRES_PER_SMALL_LENGTH_UNIT;
export type ForceUnit = keyof typeof NEWTONS_PER_FORCE_UNIT;

export type Quantity = 'length' | 'smallLength' | 'force';

/** The unit in which each quantity is shown. Mixed systems on one bench are normal. */
export interface UnitChoice {
  readonly length: LengthUnit;
  readonly smallLength: SmallLengthUnit;
  readonly force: ForceUnit;
}

export const DEFAULT_UNITS: UnitChoice = { length: 'm', smallLength: 'mm', force: 'kg' };

const FACTORS: Readonly<Record<Quantity, Readonly<Record<string, number>>>> = {
  length: { ...METRES_PER_LENGTH_UNIT, ...METRES_PER_SMALL_LENGTH_UNIT, cm: 0.01 },
  smallLength: { ...METRES_PER_SMALL_LENGTH_UNIT, ...METRES_PER_LENGTH_UNIT, cm: 0.01 },
  force: { ...NEWTONS_PER_FORCE_UNIT, kN: 1000 },
};

/**
 * SI value of one unit of a quantity (m for lengths, N for forces), or undefined when the quantity
 * has no such unit.
 */
export function siPerUnit(quantity: Quantity, unit: string): number | undefined {
  return FACTORS[quantity][unit];
}

/** The units that a quantity may be typed in. */
export function unitsOf(quantity: Quantity): readonly string[] {
  return Object.keys(FACTORS[quantity]);
}

/** Converts `value` in `unit` to SI. Throws on a unit that the quantity does not have. */
export function toSi(quantity: Quantity, value: number, unit: string): number {
  const factor = siPerUnit(quantity, unit);
  if (factor === undefined) throw new RangeError(`toSi: ${quantity} has no unit ${unit}`);
  return value * factor;
}

/** Converts an SI value to `unit`. Throws on a unit that the quantity does not have. */
export function fromSi(quantity: Quantity, valueSi: number, unit: string): number {
  const factor = siPerUnit(quantity, unit);
  if (factor === undefined) throw new RangeError(`fromSi: ${quantity} has no unit ${unit}`);
  return valueSi / factor;
}
