import { because, type Reason } from '../../reasons';
import { ERRORS } from '../../measurement/errors';
import { PLUS_MINUS_SDS } from '../../numerics/propagate';
import type { Figure } from '../../provenance/figure';
import { knownCounter } from '../line/counterOf';
import type { CurrentLine } from '../line/currentLine';
import { changedSinceM, diameterRelativeSd } from '../line/currentLine';
import type { LoadRecord, RigRecord } from '../../record/record';
import { isLengthKnown } from '../line/woundSegments';

/**
 * The lengths on a finished load, each with its ±: a known or metered length is as good as its tape; one stopped by
 * counts is turns times the mean circumference, and as good as the counter's constant and the diameter are known.
 *
 * @returns lengths (m) by the segment's id, of what is on the reel now
 */
export function woundLengths(
  record: RigRecord,
  load: LoadRecord,
  current: CurrentLine,
): Readonly<Record<string, Figure>> {
  const constant = knownCounter(record)?.lengthPerTurnM;
  const constantSd = constant ? constant.sd / constant.value : 0;
  const diameterSd = diameterRelativeSd(record, current);
  return Object.fromEntries(
    current.line.segments.map((segment): [string, Figure] => {
      const planned = load.segments.find((candidate) => candidate.segmentId === segment.id);
      const entry = load.winding.findLast((candidate) => candidate.segmentId === segment.id);
      const replaced = load.replacements.some((each) => each.segmentId === segment.id);
      const noted = entry?.turnsCounted != null || entry?.reading != null;
      // What came off since takes none of the error with it: it is that of the whole length as it went on.
      const wentOnM = segment.lengthM - changedSinceM(load, segment.id);
      if (!planned || replaced || !planned.wound || isLengthKnown(planned, entry)) {
        return [segment.id, figure(segment.lengthM, ERRORS.lengthShare.sd * wentOnM, because('error-tape'))];
      }
      if (!noted) {
        // Nobody measured it: it is what was planned, with the plan's own ±.
        return [
          segment.id,
          { value: segment.lengthM, plusMinus: planned.plannedPlusMinusM, mainlyFrom: because('error-plan') },
        ];
      }
      const byTurns = entry.turnsCounted != null;
      const stopSd = ERRORS.stopCounts.sd / Math.max(segment.turns, 1);
      const relativeSd = Math.hypot(byTurns ? 0 : constantSd, diameterSd, stopSd, ERRORS.plannedTurnsShare.sd);
      const from = !byTurns && constantSd > diameterSd ? because('error-counter-constant') : because('error-diameter');
      return [segment.id, figure(segment.lengthM, relativeSd * wentOnM, from)];
    }),
  );
}

function figure(value: number, sd: number, mainlyFrom: Reason): Figure {
  return { value, plusMinus: PLUS_MINUS_SDS * sd, mainlyFrom };
}
