import {
  countsForLine,
  countsPerWrap,
  countsWoundOn,
  lapsOf,
  turnsForCounts,
  type Counter,
} from '../../counter/counter';
import type { MeasuredLevel, WoundSegment } from '../../load/asWound';
import { counterOf } from './counterOf';
import { productOf, strainOf } from './planForRig';
import type { LoadRecord, LoadSegmentRecord, RigRecord, WindingEntryRecord } from '../../record/record';

/** The levels measured over a load, as diameters in the order of winding; of two after one segment the newer counts. */
export function measuredLevels(record: RigRecord, load: LoadRecord): readonly MeasuredLevel[] {
  const rimM = record.reel.fullDiameterM.value;
  const last = load.segments.findLast((segment) => segment.wound);
  return load.segments.flatMap((segment) => {
    const atEnd = segment === last ? load.levelBelowRimM : null;
    const between = load.levels.findLast((level) => level.segmentId === segment.segmentId)?.levelBelowRimM ?? null;
    const levelM = atEnd ?? between;
    return levelM === null ? [] : [{ afterSegmentId: segment.segmentId, diameterM: rimM - 2 * levelM }];
  });
}

/**
 * The segments of a load with what was noted of them: spool turns behind counts, turns that were counted, or the length
 * that passed a roller.
 */
export function woundSegments(record: RigRecord, load: LoadRecord): readonly WoundSegment[] {
  const counter = counterOf(record);
  return load.segments.map((segment) => {
    const entry = load.winding.findLast((candidate) => candidate.segmentId === segment.segmentId);
    const counts = counter && entry?.reading != null ? notedCounts(segment, entry.reading, counter, entry.laps) : null;
    // A counter that shows zero at the end of a segment has counted nothing of it.
    const counted = counter && counts !== null && counts > 0 ? turnsForCounts(counts, counter) : null;
    const overRoller = counter?.drive === 'roller' && !staysAsPlanned(segment, entry) ? counted : null;
    return {
      id: segment.segmentId,
      name: segment.name,
      lengthM: entry?.meteredLengthM ?? overRoller ?? segment.plannedLengthM,
      lineDiameterM: segment.lineDiameterM,
      packing: segment.packing,
      strain: strainOf(productOf(record, segment.productId)).value,
      wound: segment.wound,
      lengthKnown: staysAsPlanned(segment, entry) || overRoller !== null,
      notedTurns: entry?.turnsCounted ?? (counter?.drive === 'roller' ? null : counted),
    };
  });
}

/** True where the length of a wound segment was measured and not only stopped by counter or turns. */
export function isLengthKnown(segment: LoadSegmentRecord, entry: WindingEntryRecord | undefined): boolean {
  return (
    entry?.meteredLengthM != null ||
    entry?.lengthIs === 'piece' ||
    (segment.lengthKnown && entry?.lengthIs !== 'counter')
  );
}

/** True where a length is what was typed or measured: nothing that was read on the way moves it, whatever it says of the ±. */
function staysAsPlanned(segment: LoadSegmentRecord, entry: WindingEntryRecord | undefined): boolean {
  if (isLengthKnown(segment, entry)) return true;
  return !segment.solved && entry?.lengthIs !== 'counter' && entry?.turnsCounted == null;
}

/** Counts wound on behind a noted reading: by the laps that were said, else unwrapped by what was planned. */
export function notedCounts(
  segment: { readonly plannedTurns: number; readonly plannedLengthM: number },
  reading: number,
  counter: Pick<Counter, 'drive' | 'lengthPerTurnM' | 'unitM' | 'digits'>,
  laps: number | null = null,
): number {
  if (laps !== null) return countsWoundOn(reading, counter, 0) + laps * countsPerWrap(counter);
  const line = { turns: segment.plannedTurns, lengthM: segment.plannedLengthM };
  return countsWoundOn(reading, counter, countsForLine(line, counter));
}

/** How often the counter passed zero while a segment went on, by its planned length; 0 without a counter or a reading. */
export function lapsNoted(record: RigRecord, segment: LoadSegmentRecord, entry: WindingEntryRecord): number {
  const counter = counterOf(record);
  return counter && entry.reading !== null
    ? lapsOf(notedCounts(segment, entry.reading, counter, entry.laps), counter)
    : 0;
}

/** The line that a segment consists of: as replaced, as wound, or as planned. */
export function productIdNow(record: RigRecord, segmentId: string): string {
  const productId =
    record.load?.replacements.findLast((replacement) => replacement.segmentId === segmentId)?.productId ??
    record.load?.segments.find((segment) => segment.segmentId === segmentId)?.productId ??
    record.segments.find((segment) => segment.id === segmentId)?.productId;
  if (!productId) throw new RangeError(`productIdNow: the rig has no segment ${segmentId}`);
  return productId;
}
