import { fromSi, toSi, type Quantity, type UnitChoice } from '../core/units/units';

/** Formatting and rounding live here and nowhere below the interface. */

function decimalsFor(value: number): number {
  const size = Math.abs(value);
  if (size >= 100) return 0;
  return size >= 10 ? 1 : 2;
}

/** Decimals that a ± bears: two digits of it while they are under 36, else one (rounding as particle physics tables do). */
function decimalsForPlusMinus(plusMinus: number): number {
  if (!(plusMinus > 0)) return 2;
  const power = Math.floor(Math.log10(plusMinus));
  const isLarge = plusMinus / 10 ** power >= 3.55;
  return Math.min(Math.max((isLarge ? 0 : 1) - power, 0), 2);
}

/** A number with fixed decimals and a true minus sign. */
export function formatNumber(value: number, decimals: number): string {
  const text = Math.abs(value).toFixed(decimals);
  return value < 0 && Number(text) !== 0 ? `−${text}` : text;
}

export function formatQuantity(valueSi: number, quantity: Quantity, unit: string, decimals?: number): string {
  const value = fromSi(quantity, valueSi, unit);
  return `${formatNumber(value, decimals ?? decimalsFor(value))} ${unit}`;
}

/** A quantity with its ±, both in one unit and to the same decimals. */
export function formatPlusMinus(valueSi: number, plusMinusSi: number, quantity: Quantity, unit: string): string {
  const value = fromSi(quantity, valueSi, unit);
  const plusMinus = fromSi(quantity, plusMinusSi, unit);
  const decimals = Math.min(decimalsForPlusMinus(plusMinus), decimalsFor(value) + 1);
  return `${formatNumber(value, decimals)} ± ${formatNumber(plusMinus, decimals)} ${unit}`;
}

export interface Formatter {
  readonly units: UnitChoice;
  /** Lengths of line. */
  length(valueM: number, plusMinusM?: number): string;
  /** Diameters, levels and widths. */
  small(valueM: number, plusMinusM?: number): string;
  /** What a hand measures off: whole millimetres or tenths of an inch where nobody cuts finer. */
  hand(valueM: number): string;
  /** Space on a spool. */
  volume(valueM3: number): string;
  /** Diameters of line, which need one digit more. */
  thickness(valueM: number): string;
  force(valueN: number, plusMinusN?: number): string;
  counts(value: number, plusMinus?: number): string;
  percent(share: number, plusMinusShare?: number): string;
  /** In whole per cents, the ± rounded up: for what a hand sets. */
  wholePercent(share: number, plusMinusShare: number): string;
}

/** A formatter for the units that a person has chosen. */
export function formatterFor(units: UnitChoice): Formatter {
  const quantity = (kind: Quantity, unit: string, value: number, plusMinus?: number, decimals?: number): string =>
    plusMinus === undefined
      ? formatQuantity(value, kind, unit, decimals)
      : formatPlusMinus(value, plusMinus, kind, unit);
  return {
    units,
    length: (valueM, plusMinusM) => quantity('length', units.length, valueM, plusMinusM),
    small: (valueM, plusMinusM) =>
      quantity('smallLength', units.smallLength, valueM, plusMinusM, units.smallLength === 'mm' ? 1 : 3),
    hand: (valueM) => {
      const fine = valueM < 0.02;
      return formatQuantity(
        valueM,
        'smallLength',
        units.smallLength,
        (units.smallLength === 'mm' ? 0 : 1) + (fine ? 1 : 0),
      );
    },
    volume: (valueM3) => {
      const sideM = toSi('smallLength', units.smallLength === 'mm' ? 10 : 1, units.smallLength);
      return `${formatNumber(valueM3 / sideM ** 3, 1)} ${units.smallLength === 'mm' ? 'cm³' : 'in³'}`;
    },
    thickness: (valueM) => formatQuantity(valueM, 'smallLength', units.smallLength, units.smallLength === 'mm' ? 2 : 4),
    force: (valueN, plusMinusN) => quantity('force', units.force, valueN, plusMinusN),
    counts: (value, plusMinus) =>
      plusMinus === undefined
        ? formatNumber(value, 0)
        : `${formatNumber(value, 0)} ± ${formatNumber(plusMinus, plusMinus < 9.5 ? 1 : 0)}`,
    wholePercent: (share, plusMinusShare) =>
      `${formatNumber(100 * share, 0)}${plusMinusShare > 0 ? ` ± ${formatNumber(Math.ceil(100 * plusMinusShare), 0)}` : ''} %`,
    percent: (share, plusMinusShare) => {
      if (plusMinusShare === undefined) return `${formatNumber(100 * share, 0)} %`;
      const decimals = decimalsForPlusMinus(100 * plusMinusShare);
      return `${formatNumber(100 * share, decimals)} ± ${formatNumber(100 * plusMinusShare, decimals)} %`;
    },
  };
}
