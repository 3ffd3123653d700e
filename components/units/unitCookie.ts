import {
  DEFAULT_UNITS,
  METRES_PER_LENGTH_UNIT,
  METRES_PER_SMALL_LENGTH_UNIT,
  NEWTONS_PER_FORCE_UNIT,
  type ForceUnit,
  type LengthUnit,
  type SmallLengthUnit,
  type UnitChoice,
} from '@/core/units/units';

export const UNIT_COOKIE = 'units';

const isLength = (text: string | undefined): text is LengthUnit =>
  text !== undefined && Object.hasOwn(METRES_PER_LENGTH_UNIT, text);
const isSmall = (text: string | undefined): text is SmallLengthUnit =>
  text !== undefined && Object.hasOwn(METRES_PER_SMALL_LENGTH_UNIT, text);
const isForce = (text: string | undefined): text is ForceUnit =>
  text !== undefined && Object.hasOwn(NEWTONS_PER_FORCE_UNIT, text);

/** Reads the choice back from a cookie's text; anything unknown falls back to the default. */
export function readUnitCookie(text: string | undefined): UnitChoice {
  const [length, smallLength, force] = (text ?? '').split('.');
  return {
    length: isLength(length) ? length : DEFAULT_UNITS.length,
    smallLength: isSmall(smallLength) ? smallLength : DEFAULT_UNITS.smallLength,
    force: isForce(force) ? force : DEFAULT_UNITS.force,
  };
}

export function unitCookieText(units: UnitChoice): string {
  return `${units.length}.${units.smallLength}.${units.force}`;
}
