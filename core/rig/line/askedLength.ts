import { stretchOf } from '../../spool/loadedLine';
import { ERRORS } from '../../measurement/errors';
import { PLUS_MINUS_SDS } from '../../numerics/propagate';
import { countsForLine, turnsForCounts, type Counter } from '../../counter/counter';
import type { LoadSegmentRecord, RigRecord, WindingEntryRecord } from '../../record/record';
import { lengthWoundOnM } from '../../spool/turns';
import { counterOf } from './counterOf';
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
  entry: Pick<WindingEntryRecord, 'reading' | 'laps' | 'turnsCounted' | 'meteredLengthM' | 'lengthIs'>,
): AskedLength | null {
  const now = outlook.remaining.find((each) => each.segmentId === segment.segmentId);
  const lies = outlook.line.segments.find((each) => each.id === segment.segmentId);
  if (segment.solved || entry.lengthIs !== 'plan' || entry.meteredLengthM !== null || !now || !lies) return null;
  const lengthFor = (turns: number): number =>
    turns > 0
      ? lengthWoundOnM(turns / stretchOf(lies), lies.innerDiameterM, lies.areaM2, outlook.line.spool.widthM)
      : 0;
  // A hand's own for a stop; for a whole piece what the counter's error and a look at it explain too.
  const asked = (past: number, openTo: number, saidM: number, by: AskedLength['by']): AskedLength | null => {
    const open = segment.lengthKnown
      ? Math.max(OFF_THE_MARK, Math.hypot(openTo, PLUS_MINUS_SDS * ERRORS.lookCounts.sd))
      : OFF_THE_MARK;
    return Math.abs(past) <= open ? null : { segment: segment.name, typedM: segment.plannedLengthM, saidM, past, by };
  };
  const counter = counterOf(record);
  const expected = counter ? countsForLine(now, counter) : now.turns;
  if (entry.turnsCounted !== null) {
    const openTurns = (now.stopPlusMinus * now.turns) / expected;
    return asked(entry.turnsCounted - now.turns, openTurns, lengthFor(entry.turnsCounted), 'turns');
  }
  if (!counter || entry.reading === null) return null;
  const counts = notedCounts(
    { plannedTurns: now.turns, plannedLengthM: now.lengthM },
    entry.reading,
    counter,
    entry.laps,
  );
  return asked(counts - expected, now.stopPlusMinus, saidBy(counts, counter, lengthFor), 'counter');
}

function saidBy(counts: number, counter: Counter, lengthFor: (turns: number) => number): number {
  if (counts <= 0) return 0;
  const turns = turnsForCounts(counts, counter);
  return counter.drive === 'roller' ? turns : lengthFor(turns);
}
