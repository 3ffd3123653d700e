import { countsForLine, turnsForCounts, type Counter } from '../../counter/counter';
import { PLUS_MINUS_SDS } from '../../numerics/propagate';
import { UNDER_DIAMETER_RELATIVE_SD } from '../../measurement/errors';
import type { LoadSegmentRecord, RigRecord, WindingEntryRecord } from '../../record/record';
import { lengthWoundOnM } from '../../spool/turns';
import { counterOf, knownCounter } from './counterOf';
import type { WindingOutlook } from './windingOutlook';
import { notedCounts } from './woundSegments';

/** A length that was typed, and another one that a reading at its end says: which of them is on, a person has to say. */
export interface AskedLength {
  readonly segment: string;
  readonly typedM: number;
  readonly saidM: number;
  /** Counts (or turns) past the stop; below zero: stopped short. */
  readonly past: number;
  readonly by: 'counter' | 'turns';
}

/** Counts that a hand stops off the mark without meaning to. */
const OFF_THE_MARK = 2;

/**
 * Whether what was read at the end of a segment says another length than the one that was typed for it. A length that was worked
 * out asks nothing: it is what goes on. A whole piece asks when the counter stands further off than its own error explains.
 *
 * @param record the rig as the bench sees it
 * @param outlook what the winding comes to so far
 * @param segment the segment whose end was read
 * @param entry what was read
 * @returns null where nothing needs to be asked
 */
export function askedLength(
  record: RigRecord,
  outlook: WindingOutlook,
  segment: LoadSegmentRecord,
  entry: Pick<WindingEntryRecord, 'reading' | 'turnsCounted' | 'meteredLengthM' | 'lengthIs'>,
): AskedLength | null {
  const now = outlook.remaining.find((each) => each.segmentId === segment.segmentId);
  const lies = outlook.line.segments.find((each) => each.id === segment.segmentId);
  if (segment.solved || entry.lengthIs !== 'plan' || entry.meteredLengthM !== null || !now || !lies) return null;
  const lengthFor = (turns: number): number =>
    turns > 0 ? lengthWoundOnM(turns, lies.innerDiameterM, lies.areaM2, outlook.line.spool.widthM) : 0;
  const asked = (past: number, openCounts: number, saidM: number, by: AskedLength['by']): AskedLength | null =>
    Math.abs(past) <= openCounts ? null : { segment: segment.name, typedM: segment.plannedLengthM, saidM, past, by };
  if (entry.turnsCounted !== null) {
    const { turnsCounted } = entry;
    const open = opens(segment, now.turns, UNDER_DIAMETER_RELATIVE_SD);
    return asked(turnsCounted - now.turns, open, lengthFor(turnsCounted), 'turns');
  }
  const counter = counterOf(record);
  if (!counter || entry.reading === null) return null;
  const expected = countsForLine(now, counter);
  const counts = notedCounts({ plannedTurns: now.turns, plannedLengthM: now.lengthM }, entry.reading, counter);
  const constant = knownCounter(record)?.lengthPerTurnM;
  const open = opens(
    segment,
    expected,
    Math.hypot(constant ? constant.sd / constant.value : 0, UNDER_DIAMETER_RELATIVE_SD),
  );
  return asked(counts - expected, open, saidBy(counts, counter, lengthFor), 'counter');
}

/** Counts within which nothing is asked: a hand's own for a stop, what the counter's error explains too for a whole piece. */
function opens(segment: LoadSegmentRecord, counts: number, relativeSd: number): number {
  if (!segment.lengthKnown) return OFF_THE_MARK;
  return Math.max(OFF_THE_MARK, PLUS_MINUS_SDS * Math.hypot(counts * relativeSd, 1));
}

function saidBy(counts: number, counter: Counter, lengthFor: (turns: number) => number): number {
  if (counts <= 0) return 0;
  const turns = turnsForCounts(counts, counter);
  return counter.drive === 'roller' ? turns : lengthFor(turns);
}
