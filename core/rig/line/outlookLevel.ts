import { ERRORS } from '../../measurement/errors';
import { planLoad, type JointErrors, type SegmentToPlan } from '../../load/planLoad';
import { PLUS_MINUS_SDS } from '../../numerics/propagate';
import type { Known } from '../../provenance/source';
import type { LoadedLine, LoadedSegment } from '../../spool/loadedLine';
import { knownCounter } from './counterOf';
import { productOf, strainOf } from './planForRig';
import type { LoadRecord, RigRecord } from '../../record/record';
import { isLengthKnown } from './woundSegments';

/** What is open while a reel is wound: halves of 95 % intervals. */
export interface OutlookErrors {
  /** Of the finished level (m). */
  readonly levelM: number;
  /** Of the counts that each segment above the last measured level makes; of its turns without a counter. */
  readonly stops: Readonly<Record<string, number>>;
}

/**
 * How far the finished level and the stops are open while a reel is wound, by the plan's own errors. From the last measured level
 * outwards only what lies above it counts, and the rim's own error drops out, since the level was read from the rim.
 *
 * @param record the rig that is being wound
 * @param load its load
 * @param line what is on, and what from here still goes on
 */
export function outlookErrors(record: RigRecord, load: LoadRecord, line: LoadedLine): OutlookErrors {
  const measured = line.segments.findLastIndex((segment) =>
    load.levels.some((level) => level.segmentId === segment.id),
  );
  const below = line.segments[measured];
  const rest = line.segments.slice(measured + 1).filter((segment) => segment.wound);
  if (rest.length === 0) return { levelM: PLUS_MINUS_SDS * ERRORS.levelM.sd, stops: {} };
  const { reel, knowledge } = record;
  const exactRim: Known = { ...reel.fullDiameterM, sd: 0 };
  const spool = below ? { ...reel, arborDiameterM: fromLevel(below), fullDiameterM: exactRim } : reel;
  const plan = planLoad(
    spool,
    rest.map((segment) => asPlanned(record, load, segment)),
    knownCounter(record),
    0,
    below ? withoutReel(knowledge.joint) : knowledge.joint,
  );
  if (!plan.ok) return { levelM: NaN, stops: {} };
  const stops = plan.value.segments.map(({ id, counts, turns }) => [id, (counts ?? turns).plusMinus] as const);
  return { levelM: plan.value.levelBelowRimM.plusMinus, stops: Object.fromEntries(stops) };
}

function fromLevel(segment: LoadedSegment): Known {
  return { value: segment.outerDiameterM, sd: 2 * ERRORS.levelM.sd, source: 'measured' };
}

/** The lines' errors alone: the spool under them has been measured. */
function withoutReel(joint: JointErrors): JointErrors {
  const keep = joint.keys.flatMap((key, index) =>
    ['arborDiameterM', 'widthM', 'fullDiameterM'].includes(key) ? [] : [index],
  );
  return {
    keys: keep.map((index) => joint.keys[index] ?? ''),
    relativeSds: keep.map((index) => joint.relativeSds[index] ?? NaN),
    correlation: keep.map((a) => keep.map((b) => joint.correlation[a]?.[b] ?? 0)),
  };
}

function asPlanned(record: RigRecord, load: LoadRecord, segment: LoadedSegment): SegmentToPlan {
  const planned = load.segments.find((candidate) => candidate.segmentId === segment.id);
  if (!planned) throw new RangeError(`outlookErrors: the load has no segment ${segment.id}`);
  const product = productOf(record, planned.productId);
  const { diameterM, packing } = product;
  const entry = load.winding.findLast((candidate) => candidate.segmentId === segment.id);
  const constant = knownCounter(record)?.lengthPerTurnM;
  const counted = entry !== undefined && !isLengthKnown(planned, entry) && constant !== undefined;
  const relativeSd = counted ? constant.sd / constant.value : ERRORS.lengthShare.sd;
  return {
    id: segment.id,
    name: segment.name,
    lineId: planned.productId,
    wound: true,
    lineDiameterM: { ...diameterM, value: segment.lineDiameterM },
    packing: { ...packing, value: segment.packing },
    windingStrain: strainOf(product),
    lengthM: { value: segment.lengthM, sd: relativeSd * segment.lengthM, source: 'measured' },
  };
}
