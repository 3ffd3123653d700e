import type { CounterEstimate } from '../../calibration/estimateCounter';
import type { CountedLoad } from '../../calibration/observations';
import { reloadAtFit } from '../../calibration/reloadAtFit';
import type { Figure } from '../../provenance/figure';
import { failure, success, type Outcome } from '../../result';
import type { LoadedLine } from '../../spool/loadedLine';
import { plannedEstimate } from '../counter/counterEvidence';
import { currentLine, type NoLine } from '../line/currentLine';
import type { RigRecord } from '../../record/record';
import { USUAL_RANGE } from '../line/workingRange';
import { worstError } from './worstError';

/** Another fill of the same stack that leaves the least error over the working range. */
export interface ReloadAdvice {
  readonly segmentName: string;
  /** Length of the segment that gives way (m), now and then. */
  readonly nowM: number;
  readonly thenM: number;
  /** ± of the new length (m). */
  readonly plusMinusM: number;
  readonly levelBelowRimM: number;
  readonly worstAfter: number;
  /** The load as it would then lie, for what its counter shows anywhere. */
  readonly after: CountedLoad;
  /** Joins that the segment touches: they are tied anew. */
  readonly joins: number;
}

export type ReloadProblem =
  'roller-driven' | 'no-free-segment' | 'true-past-the-rim' | 'cannot-be-true' | 'little-to-gain';

/** Error that a reload has to save to be worth taking everything off. */
const WORTH_IT = 0.005;

/**
 * The fill at which the counter is true on average over the rig's working range, for the stack as planned. Where the answer lies
 * between two lengths the longer one is meant: line can come off again, it cannot go on without a join.
 *
 * @param record the rig
 * @param estimate everything known of its counter
 * @param line the line as it is now
 */
export function reloadAdvice(
  record: RigRecord,
  estimate: CounterEstimate,
  line: LoadedLine,
): Outcome<ReloadAdvice, ReloadProblem> {
  if (estimate.counter.drive === 'roller') {
    return failure('roller-driven');
  }
  const free = record.segments.find((segment) => segment.lengthM === null);
  if (!free) {
    return failure('no-free-segment');
  }
  const range = record.workingRange ?? USUAL_RANGE;
  const toM = Math.min(range.toM, 0.95 * line.woundLengthM);
  const fromM = Math.min(range.fromM, 0.5 * toM);
  const basis = isSameStack(record, estimate) ? success(estimate) : asPlanned(record);
  if (!basis.ok) return failure('cannot-be-true', { because: basis });
  const found = asItLies(basis.value, free.id, { fromM, toM });
  if (!found.ok) return found;
  const { then, levelBelowRimM, after } = found.value;
  const worstAfter = worstError(estimate, after, range);
  const worstNow = worstError(estimate, estimate.best, range);
  if (Math.abs(worstNow) - Math.abs(worstAfter) < WORTH_IT) {
    return failure('little-to-gain');
  }
  return success({
    segmentName: free.name,
    nowM: line.segments.find((segment) => segment.id === free.id)?.lengthM ?? 0,
    thenM: then.value,
    plusMinusM: then.plusMinus,
    levelBelowRimM,
    worstAfter,
    after,
    joins: record.joins.filter((join) => join.innerSegmentId === free.id || join.outerSegmentId === free.id).length,
  });
}

/** A fill that was found, and the load as it would then lie. */
interface Found {
  readonly then: Figure;
  readonly levelBelowRimM: number;
  readonly after: ReloadAdvice['after'];
}

interface Range {
  readonly fromM: number;
  readonly toM: number;
}

/** True where the line that is on is the one that is planned: then it is the fitted load that is reckoned with. */
function isSameStack(record: RigRecord, { best }: CounterEstimate): boolean {
  const { segments } = best.line;
  return (
    segments.length === record.segments.length &&
    segments.every((each, index) => each.id === record.segments[index]?.id)
  );
}

/** On the load as it is fitted: geometry, lines and constant together. */
function asItLies(estimate: CounterEstimate, freeId: string, range: Range): Outcome<Found, ReloadProblem> {
  const reload = reloadAtFit(estimate, freeId, range);
  if (!reload.ok) {
    if (reload.reason === 'true-past-the-rim') return failure('true-past-the-rim', reload.figures);
    return failure('cannot-be-true', { because: reload });
  }
  const { lengthM, levelBelowRimM, after } = reload.value;
  return success({ then: lengthM, levelBelowRimM: levelBelowRimM.value, after });
}

/** A stack that is not on, by all that is known of its lines, its reel and the counter. */
function asPlanned(record: RigRecord): Outcome<CounterEstimate, NoLine> {
  const unloaded = { ...record, load: null };
  const planned = currentLine(unloaded);
  return planned.ok ? success(plannedEstimate(unloaded, planned.value, [])) : planned;
}
