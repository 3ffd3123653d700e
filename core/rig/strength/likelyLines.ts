import type { LineProductRecord } from '../../record/record';
import { expectedBreak } from './expectedBreak';
import type { StrengthEvidence } from './strengthOfRig';

/** A line that may have been in the grips. */
export interface LikelyLine {
  readonly line: LineProductRecord;
  /** What it should break at (N); null where nothing is known of it. */
  readonly expectedN: number | null;
  /** How far the pull lies from that, in its SDs; null where nothing is known. */
  readonly offSds: number | null;
}

/**
 * The lines of a boat from which a pull may have come, the likeliest first; lines of which nothing is known last. The line of the
 * test that it was given to is left out.
 *
 * @param peakN the pull (N)
 * @param givenTo id of the line that it was given to
 */
export function likelyLines(record: StrengthEvidence, peakN: number, givenTo: string): readonly LikelyLine[] {
  return record.products
    .filter((line) => line.id !== givenTo)
    .map((line): LikelyLine => {
      const known = expectedBreak(record, line)?.valueN ?? null;
      if (!known) return { line, expectedN: null, offSds: null };
      const offSds = Math.abs(Math.log(peakN / known.value)) / Math.max(known.sd / known.value, LEAST_RELATIVE_SD);
      return { line, expectedN: known.value, offSds };
    })
    .toSorted((a, b) => (a.offSds ?? Infinity) - (b.offSds ?? Infinity));
}

/** No line is believed to break more alike than this: a well-known line must not lose every odd pull of its own. */
const LEAST_RELATIVE_SD = 0.05;
