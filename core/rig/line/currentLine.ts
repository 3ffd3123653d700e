import { asWound, type MeasuredLevel } from '../../load/asWound';
import { ERRORS } from '../../measurement/errors';
import { oncePer } from '../../oncePer';
import { failure, success, type Outcome } from '../../result';
import { bulkRelativeSd } from '../../load/planLoad';
import { buildLoadedLine, type LoadedLine } from '../../spool/loadedLine';
import { plannedLevelM } from './fillOfRig';
import { planForRig, productOf, strainOf } from './planForRig';
import type { LevelRecord, LoadRecord, RigRecord, TrialRecord } from '../../record/record';
import { measuredLevels, productIdNow, woundSegments } from './woundSegments';

export interface CurrentLine {
  readonly line: LoadedLine;
  /** 'planned' until a load of this rig is finished. */
  readonly state: 'planned' | 'wound';
  /** Factor that the measured level puts on the believed packing. */
  readonly packingFactor: number;
  readonly levelMeasured: boolean;
  /** Levels of the load that are on record and that no believable packing gives: nothing rests on them. */
  readonly heldOutLevels: readonly LevelRecord[];
}

export type NoLine = 'no-segments' | 'does-not-fit' | 'nothing-left' | 'nothing-on-the-spool';

/**
 * The line that is on the reel now: as wound, with every later change; or, before that, as planned.
 *
 * @param record the rig
 */
export const currentLine = oncePer((record: RigRecord): Outcome<CurrentLine, NoLine> => {
  if (record.segments.length === 0) return failure('no-segments');
  if (record.load?.status === 'wound') {
    const wound = lineAsWound(record, record.load);
    if (wound.line.woundLengthM > 0) return success(wound);
    return failure('nothing-left');
  }
  const plan = planForRig(record, plannedLevelM(record));
  if (!plan.ok) return plan;
  if (!(plan.value.line.woundLengthM > 0)) {
    return failure('nothing-on-the-spool');
  }
  return success({
    line: plan.value.line,
    state: 'planned',
    packingFactor: 1,
    levelMeasured: false,
    heldOutLevels: [],
  });
});

/** The line of a load that is wound, with what of its record nothing rests on. */
function lineAsWound(record: RigRecord, load: LoadRecord): CurrentLine {
  const { reel } = record;
  const spool = { arborDiameterM: reel.arborDiameterM.value, widthM: reel.widthM.value };
  const wound = asWound(spool, woundSegments(record, load), measuredLevels(record, load));
  const changed = wound.line.segments
    .map((segment) => {
      const now = { ...segment, ...replacedBy(record, load, segment.id) };
      return { ...now, lengthM: now.lengthM + changedSinceM(load, segment.id) };
    })
    // A top shot that is wholly gone is no longer part of the line.
    .filter((segment) => segment.lengthM > 1e-6);
  const last = load.segments.findLast((segment) => segment.wound)?.segmentId;
  return {
    line: buildLoadedLine(spool, changed),
    state: 'wound',
    packingFactor: wound.packingFactor,
    levelMeasured: load.levelBelowRimM !== null && !wound.heldOut.some((level) => level.afterSegmentId === last),
    heldOutLevels: heldOutOf(load, wound.heldOut),
  };
}

/** The line that a load's record comes to on its reel, finished or not. */
export function woundLine(record: RigRecord, load: LoadRecord): LoadedLine {
  return lineAsWound(record, load).line;
}

/** The level readings behind levels that were left out, newest of each segment. */
export function heldOutOf(load: LoadRecord, heldOut: readonly MeasuredLevel[]): readonly LevelRecord[] {
  return heldOut.flatMap((level) => load.levels.findLast((each) => each.segmentId === level.afterSegmentId) ?? []);
}

/** What a replaced segment consists of now; nothing where it is the one that was wound. */
function replacedBy(record: RigRecord, load: LoadRecord, segmentId: string) {
  const replacement = load.replacements.findLast((candidate) => candidate.segmentId === segmentId);
  if (!replacement) return {};
  const product = productOf(record, replacement.productId);
  const { diameterM, packing } = product;
  const strain = strainOf(product).value;
  return { lengthM: replacement.lengthM, lineDiameterM: diameterM.value, packing: packing.value, strain };
}

/** What came off or went on a segment since it was wound or replaced (m). */
export function changedSinceM(load: LoadRecord, segmentId: string): number {
  const since = load.replacements.findLast((candidate) => candidate.segmentId === segmentId)?.at ?? '';
  return load.changes
    .filter((change) => change.segmentId === segmentId && change.at > since)
    .reduce((sum, change) => sum + change.changeM, 0);
}

/** The newest walk or colour of the present load, seen after the last change of line, or null. */
export function validTrial(record: RigRecord): TrialRecord | null {
  const { load } = record;
  if (load?.status !== 'wound') return null;
  const lastChange =
    [...load.changes, ...load.replacements]
      .map((change) => change.at)
      .toSorted()
      .at(-1) ?? '';
  const since = load.finishedAt ?? '';
  return (
    record.trials
      .filter((trial) => trial.kind !== 'turns')
      .filter((trial) => trial.loadId === load.id && trial.at >= since && trial.at >= lastChange)
      .at(-1) ?? null
  );
}

/** Relative SD of the present wound diameter. */
export function diameterRelativeSd(record: RigRecord, current: CurrentLine): number {
  const { sd } = record.reel.fullDiameterM;
  const levelSdM = current.levelMeasured ? 2 * ERRORS.levelM.sd : sd + 2 * ERRORS.levelM.sd;
  return Math.hypot(levelSdM, sd) / current.line.fullDiameterM;
}

/** Relative SD of the space that a metre of a segment takes, as its line is now known. */
export function areaRelativeSd(record: RigRecord, segmentId: string): number {
  const { keys, relativeSds } = record.knowledge.joint;
  const productId = productIdNow(record, segmentId);
  const learned = relativeSds[keys.indexOf(productId)];
  if (learned !== undefined) return learned;
  const { diameterM, packing } = productOf(record, productId);
  return bulkRelativeSd({ lineDiameterM: diameterM, packing });
}
