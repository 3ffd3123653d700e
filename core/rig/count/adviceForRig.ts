import type { CounterEstimate } from '../../calibration/estimateCounter';
import { topAdjustment, type AdviceProblem, type TopAdjustment } from '../../calibration/topAdjustment';
import { countsAt, withTopStripped } from '../../calibration/observations';
import { failure, type Outcome } from '../../result';
import type { LoadedLine } from '../../spool/loadedLine';
import { reloadAdvice, type ReloadAdvice, type ReloadProblem } from './reloadAdvice';
import type { RigRecord } from '../../record/record';
import type { RigView } from '../view/rigView';
import { USUAL_RANGE } from '../line/workingRange';
import { worstError } from './worstError';

export type TopProblem = AdviceProblem | 'top-is-fixed' | 'nothing-wound';

/** True length at which a counter is usually made true: the tape of 100 ft (common practice). */
export const USUAL_WALK_M = 30.48;

/** Where the counter of a line is usually walked: at 100 ft, or short of its end (m off the spool). */
export const usualWalkM = ({ woundLengthM }: Pick<LoadedLine, 'woundLengthM'>): number =>
  Math.min(USUAL_WALK_M, 0.9 * woundLengthM);

/** A way to make the counter tell the truth, or to live with it, and what is left wrong over the working range. */
export interface CounterAdvice {
  /** Where it is made true (m off the spool), what the counter shows there, and the relative error. */
  readonly atM: number;
  readonly readsNow: number;
  readonly errorNow: number;
  /** Largest relative error over the working range as it is. */
  readonly worstNow: number;
  readonly top: Outcome<TopAdjustment & { readonly segmentId: string; readonly worstAfter: number }, TopProblem>;
  readonly reload: Outcome<ReloadAdvice, ReloadProblem>;
}

/**
 * What to do about the counter as it is now known, three ways side by side: strip or add at the top, reload with
 * another fill, or leave it and use the table. Only plain line whose length is nobody's promise may be stripped or
 * added: a top shot of a fixed length would be lost.
 *
 * @param view the rig, wound
 * @returns the ways; null without a counter or while nothing is wound
 */
export function adviceForRig(view: RigView): CounterAdvice | null {
  const { record, counter, current } = view;
  if (!counter || record.load?.status !== 'wound') return null;
  const { line } = current;
  const atM = usualWalkM(line);
  const readsNow = countsAt(counter.best, atM, counter.counter.unitM);
  return {
    atM,
    readsNow,
    errorNow: (readsNow * counter.counter.unitM) / atM - 1,
    worstNow: worstError(counter, counter.best, record.workingRange ?? USUAL_RANGE),
    top: adviceAtTop(record, counter, line, atM),
    reload: reloadAdvice(record, counter, line),
  };
}

function adviceAtTop(record: RigRecord, counter: CounterEstimate, line: LoadedLine, atM: number): CounterAdvice['top'] {
  const top = line.segments.findLast((segment) => segment.wound);
  const planned = record.load?.segments.find((segment) => segment.segmentId === top?.id);
  if (!top || !planned) return failure('nothing-wound');
  const outcome = topAdjustment(counter, atM, record.reel.fullDiameterM.value);
  if (!outcome.ok && outcome.reason !== 'top-too-short' && outcome.reason !== 'past-the-rim') return outcome;
  if (planned.lengthKnown) {
    return failure('top-is-fixed', { top: top.name });
  }
  if (!outcome.ok) return outcome;
  const { best } = counter;
  const after = withTopStripped(best.line, outcome.value.stripM.value);
  const worstAfter = worstError(counter, { ...best, line: after }, record.workingRange ?? USUAL_RANGE);
  return { ok: true, value: { ...outcome.value, segmentId: top.id, worstAfter } };
}
