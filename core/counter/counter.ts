import { requirePositive } from '../result';

export const COUNTER_DRIVES = ['spool', 'roller'] as const;

/** What drives a counter: the spool or its level wind, or a roller on the line, whatever the spool's diameter. */
export type CounterDrive = (typeof COUNTER_DRIVES)[number];

/** A counter: it counts turns and calls them length. */
export interface Counter {
  /** Left out: the spool. */
  readonly drive?: CounterDrive;
  /**
   * Length that the counter takes one turn to be, k (m): one turn of the spool, or of a roller one metre round, which
   * line turns without slip. Belongs to the reel, not to the line.
   */
  readonly lengthPerTurnM: number;
  /** Length of one count (m): 0.3048 for a counter in feet. */
  readonly unitM: number;
  /** Digits of the display; it wraps at 10^digits. */
  readonly digits: number;
  /** How the display makes whole counts; 'unknown' is read as rounding, with a wider ±. */
  readonly display: 'rounds' | 'truncates' | 'unknown';
}

/** The number of counts after which the display starts again: 1000 for three digits. */
export function countsPerWrap(counter: Pick<Counter, 'digits'>): number {
  return 10 ** counter.digits;
}

/** Line that passes: how long it is (m), and the spool turns that it takes. */
export interface PassingLine {
  readonly lengthM: number;
  readonly turns: number;
}

type Ratio = Pick<Counter, 'drive' | 'lengthPerTurnM' | 'unitM'>;

/**
 * Counts that passing line makes, neither wrapped nor rounded: by its turns on the spool, or by its length over a
 * roller.
 *
 * @param line positive paying out
 */
export function countsForLine(line: PassingLine, counter: Ratio): number {
  requirePositive('countsForLine', { lengthPerTurnM: counter.lengthPerTurnM, unitM: counter.unitM });
  return ((counter.drive === 'roller' ? line.lengthM : line.turns) * counter.lengthPerTurnM) / counter.unitM;
}

/** Turns behind a number of unwrapped counts: of the spool, or of a roller one metre round, that is metres of line. */
export function turnsForCounts(counts: number, counter: Ratio): number {
  requirePositive('turnsForCounts', { lengthPerTurnM: counter.lengthPerTurnM, unitM: counter.unitM });
  return (counts * counter.unitM) / counter.lengthPerTurnM;
}

/**
 * What the display shows for an unwrapped number of counts, which may be negative (winding on runs
 * the counter backwards through 999).
 */
export function shownReading(counts: number, counter: Counter): number {
  const whole = counter.display === 'truncates' ? Math.floor(counts) : Math.round(counts);
  const wrap = countsPerWrap(counter);
  return ((whole % wrap) + wrap) % wrap;
}

/**
 * Counts wound on behind a reading taken after zeroing and winding: the counter ran backwards from
 * 000, so 920 on three digits means 80 counts. Longer windings wrap, so of the counts that fit the
 * reading the one nearest to what is expected is meant.
 *
 * @param reading what the display shows, 0 to 10^digits − 1
 * @param expectedCounts about how many counts were to be wound
 */
export function countsWoundOn(reading: number, counter: Pick<Counter, 'digits'>, expectedCounts: number): number {
  const wrap = countsPerWrap(counter);
  const base = (wrap - reading) % wrap;
  return base + wrap * Math.max(0, Math.round((expectedCounts - base) / wrap));
}

/**
 * How often the display comes round to zero again while so many counts are wound on or let out from zero: 1208 counts pass 000 once.
 *
 * @param counts unwrapped, at least 0
 */
export function lapsOf(counts: number, counter: Pick<Counter, 'digits'>): number {
  return Math.floor(Math.round(counts) / countsPerWrap(counter));
}

/**
 * The reading at which to stop winding a segment, from zero at its start: what the display shows at
 * as many counts below zero.
 */
export function stopReading(line: PassingLine, counter: Counter): number {
  return shownReading(-countsForLine(line, counter), counter);
}

/**
 * The figure that people work out in their head: 10^digits − length, as if the counter told true
 * length. 80 ft → 920, 530 → 470, 60 → 940 (common practice).
 */
export function naiveStopReading(lengthM: number, counter: Counter): number {
  return shownReading(-lengthM / counter.unitM, { ...counter, display: 'rounds' });
}
