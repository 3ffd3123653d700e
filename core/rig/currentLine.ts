import type { CounterEvidence, CorrectionOptions } from '../calibration/correctionTable';
import { countsWoundOn, turnsForCounts, type Counter } from '../counter/counter';
import { asWound, type MeasuredLevel, type WoundSegment } from '../load/asWound';
import { DEFAULT_LEVEL_BELOW_RIM_M, LEVEL_SD_M } from '../load/defaults';
import { failure, success, type Outcome } from '../result';
import { buildLoadedLine, type LoadedLine } from '../spool/loadedLine';
import { counterOf, knownCounter } from './counterOf';
import { planForRig, productOf } from './planForRig';
import type { LoadRecord, RigRecord, TrialRecord } from './record';

export interface CurrentLine {
  readonly line: LoadedLine;
  /** 'planned' until a load of this rig is finished. */
  readonly state: 'planned' | 'wound';
  /** Factor that the measured level puts on the believed packing. */
  readonly packingFactor: number;
  readonly levelMeasured: boolean;
}

export type NoLine = 'no-segments' | 'does-not-fit' | 'implausible-level';

/**
 * The line that is on the reel now: as wound, with every later change; or, before that, as planned.
 *
 * @param record the rig
 */
export function currentLine(record: RigRecord): Outcome<CurrentLine, NoLine> {
  if (record.segments.length === 0) return failure('no-segments', 'This rig has no line yet.');
  if (record.load?.status === 'wound') return woundLine(record, record.load);
  const plan = planForRig(record, DEFAULT_LEVEL_BELOW_RIM_M);
  if (!plan.ok) return plan;
  return success({ line: plan.value.line, state: 'planned', packingFactor: 1, levelMeasured: false });
}

function woundLine(record: RigRecord, load: LoadRecord): Outcome<CurrentLine, NoLine> {
  const { reel } = record;
  const spool = { arborDiameterM: reel.arborDiameterM.value, widthM: reel.widthM.value };
  const wound = asWound(spool, woundSegments(record, load), measuredLevels(record, load));
  if (!wound.ok) return wound;
  const changed = wound.value.line.segments
    .map((segment) => {
      const changeM = load.changes
        .filter((change) => change.segmentId === segment.id)
        .reduce((sum, change) => sum + change.changeM, 0);
      return { ...segment, lengthM: segment.lengthM + changeM };
    })
    // A top shot that is wholly gone is no longer part of the line.
    .filter((segment) => segment.lengthM > 1e-6);
  return success({
    line: buildLoadedLine(spool, changed),
    state: 'wound',
    packingFactor: wound.value.packingFactor,
    levelMeasured: load.levelBelowRimM !== null,
  });
}

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

/** The segments of a load with the spool turns behind the readings that were noted. */
export function woundSegments(record: RigRecord, load: LoadRecord): readonly WoundSegment[] {
  const counter = counterOf(record);
  return load.segments.map((segment) => {
    const entry = load.winding.findLast((candidate) => candidate.segmentId === segment.segmentId);
    const reading = entry?.reading ?? null;
    const counts = counter && reading !== null ? notedCounts(segment, reading, counter) : null;
    return {
      id: segment.segmentId,
      name: segment.name,
      lengthM: segment.plannedLengthM,
      lineDiameterM: segment.lineDiameterM,
      packing: segment.packing,
      wound: segment.wound,
      lengthKnown: segment.lengthKnown && !entry?.lengthByCounter,
      notedTurns: counter && counts !== null ? turnsForCounts(counts, counter) : null,
    };
  });
}

/** Counts wound on behind a noted reading, unwrapped by what was planned. */
export function notedCounts(segment: { readonly plannedTurns: number }, reading: number, counter: Counter): number {
  return countsWoundOn(reading, counter, (segment.plannedTurns * counter.lengthPerTurnM) / counter.unitM);
}

/** The newest tape test of the present load, made after the last change of line, or null. */
export function validTrial(record: RigRecord): TrialRecord | null {
  const { load } = record;
  if (load?.status !== 'wound') return null;
  const lastChange =
    load.changes
      .map((change) => change.at)
      .toSorted()
      .at(-1) ?? '';
  const since = load.finishedAt ?? '';
  return (
    record.trials.filter((trial) => trial.loadId === load.id && trial.at >= since && trial.at >= lastChange).at(-1) ??
    null
  );
}

/**
 * What is known of the counter for the present line. A tape test binds the counter to this very
 * fill; after line was lost only the constant that it gave remains.
 */
export function counterEvidence(record: RigRecord): CounterEvidence | null {
  const counter = knownCounter(record);
  if (!counter) return null;
  const trial = validTrial(record);
  return trial ? { kind: 'tape', trial } : { kind: 'constant', lengthPerTurnM: counter.lengthPerTurnM };
}

/** How far the present line's geometry may be off, for the ± of everything drawn from it. */
export function correctionOptions(record: RigRecord, current: CurrentLine): CorrectionOptions | null {
  const { reel } = record;
  if (!reel.counter) return null;
  const levelSdM = current.levelMeasured ? 2 * LEVEL_SD_M : reel.fullDiameterM.sd + 2 * LEVEL_SD_M;
  return {
    unitM: reel.counter.unitM,
    diameterRelativeSd: Math.hypot(levelSdM, reel.fullDiameterM.sd) / current.line.fullDiameterM,
    areaRelativeSds: current.line.segments.map((segment) => areaRelativeSd(record, segment.id, current.levelMeasured)),
  };
}

/** Relative SD of the space that a metre of a segment takes: twice the diameter's, and the packing's. */
export function areaRelativeSd(record: RigRecord, segmentId: string, levelMeasured: boolean): number {
  const productId =
    record.load?.segments.find((segment) => segment.segmentId === segmentId)?.productId ??
    record.segments.find((segment) => segment.id === segmentId)?.productId;
  if (!productId) throw new RangeError(`areaRelativeSd: the rig has no segment ${segmentId}`);
  const { diameterM, packing } = productOf(record, productId);
  const relative = Math.hypot((2 * diameterM.sd) / diameterM.value, packing.sd / packing.value);
  // A measured level fixes the sum over all segments, and so about half of each one's freedom.
  return levelMeasured ? relative / 2 : relative;
}
