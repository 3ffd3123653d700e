import { countsForLine } from '@/core/counter/counter';
import type { CounterRecord, LoadSegmentRecord, ReelRecord, RigRecord, WindingEntryRecord } from '@/core/record/record';
import { JOIN_KINDS } from '@/core/joins/joinKinds';
import { lapsNoted } from '@/core/rig/line/woundSegments';
import type { Formatter } from '@/words/format';
import type { RemainingSegment } from '@/core/rig/line/windingOutlook';

/** A reading as the display shows it: 007, not 7. */
export function asShown(reading: number, digits: number): string {
  return String(reading).padStart(digits, '0');
}

/** How often a counter passes zero before a reading counts: "past 000 once, then"; nothing where it does not. */
export function lapWords(laps: number, digits: number): string {
  if (laps === 0) return '';
  return `past ${'0'.repeat(digits)} ${laps === 1 ? 'once' : laps === 2 ? 'twice' : `${laps} times`}, then`;
}

/** Why the counter's own stop differs from the subtraction: it counts turns, and takes each for a fixed length. */
export function whyReadingsDiffer(now: RemainingSegment, counter: CounterRecord): string {
  const plain = { ...counter, lengthPerTurnM: counter.lengthPerTurnM.value };
  const off = (countsForLine(now, plain) * counter.unitM) / now.lengthM - 1;
  if (counter.drive === 'roller') {
    return `the roller shows ${Math.abs(100 * off).toFixed(1)} % ${off < 0 ? 'less' : 'more'} than passes it, however full the spool`;
  }
  if (Math.abs(off) < 0.01) return 'here a turn takes just about what the counter takes it for';
  return off > 0
    ? `this deep a turn takes ${Math.round((100 * off) / (1 + off))} % less line than the counter thinks`
    : `this full a turn takes ${Math.round((-100 * off) / (1 + off))} % more line than the counter thinks`;
}

/** What is tied at the inner end of a segment. */
export function tieWords(
  record: RigRecord,
  segments: readonly LoadSegmentRecord[],
  segment: LoadSegmentRecord,
): string {
  const order = segments.filter((candidate) => candidate.wound);
  const below = order[order.indexOf(segment) - 1];
  const structures = record.joins.filter((candidate) => candidate.outerSegmentId === segment.segmentId);
  const names = structures.map(({ kind }) => JOIN_KINDS[kind].name);
  return `${names.length > 0 ? `Tie: ${names.join(', then ')}` : 'Join it'} ${below ? `to ${below.name}` : 'to the arbor'}.`;
}

/** What was noted at a segment's end. */
export function stoppedWords(
  record: RigRecord,
  segment: LoadSegmentRecord,
  entry: WindingEntryRecord,
  length: (m: number) => string,
): string {
  const lap = lapWords(lapsNoted(record, segment, entry), record.reel.counter?.digits ?? 0);
  const parts = [
    entry.reading === null ? null : `stopped ${lap ? `${lap} ` : ''}at ${entry.reading}`,
    entry.meteredLengthM === null ? null : `${length(entry.meteredLengthM)} by the meter`,
    entry.turnsCounted === null ? null : `${entry.turnsCounted} turns`,
  ];
  return parts.filter((part) => part !== null).join(', ') || 'on';
}

/** Turns of the handle behind turns of the spool, in brackets; nothing where the gear ratio is not known. */
export function handleTurns(reel: Pick<ReelRecord, 'gearRatio'>, spoolTurns: number, format: Formatter): string {
  return reel.gearRatio === null ? '' : ` (${format.counts(spoolTurns / reel.gearRatio)} of the handle)`;
}
