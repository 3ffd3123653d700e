import { firstAdvice, type AdviceProblem, type TopAdjustment } from '../calibration/firstAdvice';
import { failure, type Outcome } from '../result';
import { counterOf } from './counterOf';
import { areaRelativeSd, correctionOptions, currentLine, validTrial } from './currentLine';
import type { RigRecord } from './record';

export type RigAdviceProblem = AdviceProblem | 'no-trial' | 'top-is-fixed';

/**
 * What to do about the counter after the newest walk of the line as it is now. Only plain line whose
 * length is nobody's promise may be stripped or added: a top shot of a fixed length would be lost.
 */
export function adviceForRig(record: RigRecord): Outcome<TopAdjustment, RigAdviceProblem> {
  const trial = validTrial(record);
  const current = currentLine(record);
  const counter = counterOf(record);
  if (!trial || !counter || !current.ok)
    return failure('no-trial', 'Walk the tape first: there is no test of the line as it is now.');
  const { line } = current.value;
  const top = line.segments.findLast((segment) => segment.wound);
  const planned = record.load?.segments.find((segment) => segment.segmentId === top?.id);
  if (!top || !planned) return failure('no-trial', 'Nothing is wound on this spool.');
  const options = correctionOptions(record, current.value);
  const outcome = firstAdvice(line, counter.unitM, trial, {
    limitDiameterM: record.reel.fullDiameterM.value,
    diameterSdM: (options?.diameterRelativeSd ?? 0.01) * line.fullDiameterM,
    areaRelativeSd: areaRelativeSd(record, top.id),
  });
  if (!outcome.ok && outcome.reason === 'already-true') return outcome;
  if (planned.lengthKnown) {
    return failure(
      'top-is-fixed',
      `${top.name} is a fixed length: stripping it would lose what it was cut for. Use the card, or plan the fill anew.`,
    );
  }
  return outcome;
}
