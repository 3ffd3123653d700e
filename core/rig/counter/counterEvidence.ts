import { estimateCounter, type CounterEstimate, type EstimateFound } from '../../calibration/estimateCounter';
import type { BelievedLoad } from '../../calibration/loadModel';
import type { LevelObservation } from '../../calibration/observations';
import { DEFAULT_LEVEL_BELOW_RIM_M } from '../../load/defaults';
import { ERRORS } from '../../measurement/errors';
import { LINE_ERRORS } from '../../measurement/lineErrors';
import { rulerOf } from '../line/counterOf';
import { areaRelativeSd, type CurrentLine } from '../line/currentLine';
import { loadObservations } from './loadObservations';
import { productOf } from '../line/planForRig';
import type { CounterRecord, LoadRecord, RigRecord } from '../../record/record';
import { isLengthKnown, productIdNow } from '../line/woundSegments';

/**
 * Everything known of the rig's counter, or of its spool turns, on the line as it is now or as planned.
 *
 * @param known what an estimate of this very record found
 */
export function counterEstimate(record: RigRecord, current: CurrentLine, known?: EstimateFound): CounterEstimate {
  const counter = rulerOf(record);
  const { load, knowledge } = record;
  if (current.state === 'planned' || load?.status !== 'wound') {
    return plannedEstimate(record, current, [plannedLevel(record, current)], known);
  }
  const observations = loadObservations(record, load, current);
  const before = knowledge.beforeLoad;
  const constantM = before?.lengthPerTurnM ?? record.reel.counter?.lengthPerTurnM ?? counter.lengthPerTurnM;
  return estimateCounter({ ...woundBelief(record, load, current), counter, constantM }, observations, known);
}

/** What a stack that is not on would make of the counter, by what is known of reel and lines and by its level, where one is meant. */
export function plannedEstimate(
  record: RigRecord,
  planned: CurrentLine,
  levels: readonly LevelObservation[],
  known?: EstimateFound,
): CounterEstimate {
  return estimateCounter(plannedBelief(record, planned, rulerOf(record)), levels, known);
}

/** A planned line ends where it is meant to: its level stands for an observation, the free length gives way. */
function plannedLevel(record: RigRecord, current: CurrentLine): LevelObservation {
  const { segments, fullDiameterM } = current.line;
  return {
    kind: 'level',
    name: 'the level as planned',
    afterSegment: segments.findLastIndex((segment) => segment.wound),
    levelBelowRimM: (record.reel.fullDiameterM.value - fullDiameterM) / 2,
    levelSdM: ERRORS.levelM.sd + DEFAULT_LEVEL_BELOW_RIM_M / 4,
    goneSinceM: segments.map(() => 0),
  };
}

function plannedBelief(record: RigRecord, current: CurrentLine, counter: CounterRecord): BelievedLoad {
  const { reel, knowledge } = record;
  return {
    arborDiameterM: reel.arborDiameterM,
    widthM: reel.widthM,
    fullDiameterM: reel.fullDiameterM,
    constantM: counter.lengthPerTurnM,
    counter,
    joint: knowledge.joint,
    tapeShare: knowledge.tapeShare,
    segments: current.line.segments.map((segment) => {
      const free = record.segments.find((each) => each.id === segment.id)?.lengthM === null;
      return believedSegment(record, segment, free ? ERRORS.plannedLengthShare.sd : ERRORS.lengthShare.sd);
    }),
  };
}

/** The load that is on, as it was believed before its own evidence: dimensions and lines from other loads. */
function woundBelief(
  record: RigRecord,
  load: LoadRecord,
  current: CurrentLine,
): Omit<BelievedLoad, 'constantM' | 'counter'> {
  const { reel, knowledge } = record;
  const before = knowledge.beforeLoad;
  return {
    arborDiameterM: before?.arborDiameterM ?? reel.arborDiameterM,
    widthM: before?.widthM ?? reel.widthM,
    fullDiameterM: before?.fullDiameterM ?? reel.fullDiameterM,
    joint: before?.joint ?? knowledge.joint,
    tapeShare: before?.tapeShare ?? knowledge.tapeShare,
    segments: current.line.segments.map((segment) => {
      const planned = load.segments.find((each) => each.segmentId === segment.id);
      const entry = load.winding.findLast((each) => each.segmentId === segment.id);
      const replaced = load.replacements.some((each) => each.segmentId === segment.id);
      const isKnown = replaced || (planned !== undefined && isLengthKnown(planned, entry));
      const lengthRelativeSd = isKnown ? ERRORS.lengthShare.sd : ERRORS.plannedLengthShare.sd;
      const believed = believedSegment(record, segment, lengthRelativeSd);
      const [now, then] = [factorNow(record, believed.lineId), before?.lineFactors[believed.lineId] ?? 1];
      // Back from what this load has taught of the line to what was believed before it.
      const { packing } = productOf(record, believed.lineId);
      return { ...believed, packing: (packing.value * now) / then };
    }),
  };
}

function factorNow(record: RigRecord, productId: string): number {
  return record.knowledge.lines.find((line) => line.productId === productId)?.factor.value ?? 1;
}

function believedSegment(
  record: RigRecord,
  segment: CurrentLine['line']['segments'][number],
  lengthRelativeSd: number,
): BelievedLoad['segments'][number] {
  const lineId = productIdNow(record, segment.id);
  return {
    ...segment,
    lineId,
    areaRelativeSd: areaRelativeSd(record, segment.id),
    lengthRelativeSd,
    windingStrain: LINE_ERRORS[productOf(record, lineId).material].windingStrain,
  };
}
