import Papa from 'papaparse';
import type { ForceTrace } from '../core/force/forceTrace';
import { failure, success, type Failure, type Outcome } from '../core/result';
import { toSi, unitsOf } from '../core/units/units';

export type TraceFileProblem =
  | 'trace-no-columns'
  | 'trace-not-a-number'
  | 'trace-no-stretch'
  | 'trace-units-mixed'
  | 'trace-other-unit'
  | 'trace-time-runs-back'
  | 'trace-too-long'
  | 'trace-empty';

/** Samples that a browser can still hold and draw. */
export const MOST_SAMPLES = 5_000_000;

/** Letters at the start of a file by which its separator is told. */
const HEAD_LETTERS = 4000;

/** Units of force that a file may name in its head or behind its figures. */
const FORCE_UNITS: Readonly<Record<string, string>> = {
  n: 'N',
  newton: 'N',
  kg: 'kg',
  kgf: 'kg',
  lb: 'lb',
  lbs: 'lb',
  lbf: 'lb',
};

interface Columns {
  readonly time: number;
  readonly force: number;
  readonly stretch: number | null;
  /** Length of one unit of stretch (m). */
  readonly stretchUnitM: number;
  /** Length of one unit of time (s). */
  readonly timeUnitS: number;
  readonly forceUnit: string | null;
}

/**
 * Reads a recorded trace: rows of time, force and, if there is one, stretch, with any of the common separators, a head
 * or none, points or commas as decimals, lines with # as remarks.
 *
 * @param text the whole file
 * @param unit unit of force that the person names, asked once for the file
 * @returns the trace in SI, not tared; or what is wrong, with the row
 */
export function readTraceFile(text: string, unit: string): Outcome<ForceTrace, TraceFileProblem> {
  if (!unitsOf('force').includes(unit)) throw new RangeError(`readTraceFile: ${unit} is no unit of force`);
  const time: number[] = [];
  const force: number[] = [];
  const stretch: number[] = [];
  const perUnitN = toSi('force', 1, unit);
  let columns: Columns | null = null;
  let row = 0;
  let problem: Failure<TraceFileProblem> | null = null;
  const refuse = (why: Failure<TraceFileProblem>): void => {
    problem = why;
  };
  const takeRow = (cells: readonly string[], commaIsDecimal: boolean): void => {
    row += 1;
    if (!columns) {
      columns = columnsOf(cells);
      if (!columns) return refuse(failure('trace-no-columns'));
      if (columns.forceUnit && columns.forceUnit !== unit) {
        return refuse(failure('trace-other-unit', { unit: columns.forceUnit }));
      }
      if (!isHead(cells)) readRow(cells, columns, commaIsDecimal);
      return;
    }
    readRow(cells, columns, commaIsDecimal);
  };
  const number = (cell: string | undefined, commaIsDecimal: boolean): number => {
    const value = Number(cell);
    // A blank cell would count as zero.
    if (value === 0 && cell?.trim() === '') return NaN;
    return Number.isNaN(value) && commaIsDecimal ? Number(cell?.replace(',', '.')) : value;
  };
  const readRow = (cells: readonly string[], at: Columns, commaIsDecimal: boolean): void => {
    const timeS = number(cells[at.time], commaIsDecimal) * at.timeUnitS;
    let value = number(cells[at.force], commaIsDecimal);
    if (Number.isNaN(value)) {
      const named = /^\s*(-?[\d.,]+(?:e[-+]?\d+)?)\s*([a-z]+)\s*$/i.exec(cells[at.force] ?? '');
      const namedUnit = FORCE_UNITS[(named?.[2] ?? '').toLowerCase()];
      if (namedUnit && namedUnit !== unit) {
        return refuse(failure('trace-units-mixed', { row, found: namedUnit, unit }));
      }
      value = namedUnit ? number(named?.[1], commaIsDecimal) : NaN;
    }
    if (!Number.isFinite(timeS) || !Number.isFinite(value)) {
      return refuse(failure('trace-not-a-number', { row, cells: cells.join(' | ') }));
    }
    if (timeS < (time[time.length - 1] ?? -Infinity)) return refuse(failure('trace-time-runs-back', { row }));
    time.push(timeS);
    force.push(value * perUnitN);
    if (at.stretch !== null) {
      const stretchM = number(cells[at.stretch], commaIsDecimal) * at.stretchUnitM;
      if (!Number.isFinite(stretchM)) return refuse(failure('trace-no-stretch', { row }));
      stretch.push(stretchM);
    }
    if (time.length > MOST_SAMPLES) refuse(failure('trace-too-long', { millions: MOST_SAMPLES / 1e6 }));
  };
  const delimiter = delimiterOf(text);
  const commaIsDecimal = delimiter !== ',';
  Papa.parse<string[]>(text, {
    comments: '#',
    fastMode: true,
    delimiter,
    step: ({ data }, parser) => {
      if (data.length > 1 || data[0] !== '') takeRow(data, commaIsDecimal);
      if (problem) parser.abort();
    },
  });
  if (problem) return problem;
  if (time.length < 2) return failure('trace-empty');
  return success({
    timeS: Float64Array.from(time),
    forceN: Float64Array.from(force),
    stretchM: stretch.length > 0 ? Float64Array.from(stretch) : null,
  });
}

/** The separator, told from the first lines alone: guessing it over a whole file costs as much as reading it. */
function delimiterOf(text: string): string {
  const { meta } = Papa.parse(text.slice(0, HEAD_LETTERS), {
    comments: '#',
    preview: 40,
    skipEmptyLines: true,
    delimitersToGuess: [';', '\t', ',', '|', ' '],
  });
  return meta.delimiter;
}

const isHead = (cells: readonly string[]): boolean =>
  cells.some((cell) => /[a-z]{1}/i.test(cell) && !/^\s*-?[\d.,]/.test(cell));

/** Which column is which: by the words of a head, else time, force and stretch in that order. */
function columnsOf(cells: readonly string[]): Columns | null {
  if (cells.length < 2) return null;
  const plain = { time: 0, force: 1, stretch: cells.length > 2 ? 2 : null, stretchUnitM: 0.001, timeUnitS: 1 };
  if (!isHead(cells)) return { ...plain, forceUnit: null };
  const find = (pattern: RegExp): number => cells.findIndex((cell) => pattern.test(cell.trim()));
  const time = find(/^(time|t|zeit|s|ms)\b/i);
  const force = find(/^(force|load|pull|f|kraft)\b/i);
  const stretch = find(/^(stretch|extension|elongation|displacement|travel|x)\b/i);
  if (time < 0 || force < 0) return null;
  const unitIn = (index: number): string =>
    /[([ ]\s*([a-z]+)\s*[)\]]?\s*$/i.exec(cells[index] ?? '')?.[1]?.toLowerCase() ?? '';
  return {
    time,
    force,
    stretch: stretch < 0 ? null : stretch,
    stretchUnitM: { m: 1, cm: 0.01, in: 0.0254 }[unitIn(stretch)] ?? 0.001,
    timeUnitS: unitIn(time) === 'ms' ? 0.001 : 1,
    forceUnit: FORCE_UNITS[unitIn(force)] ?? null,
  };
}
