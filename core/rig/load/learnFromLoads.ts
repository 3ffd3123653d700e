import { gearFit, type GearFit, type LineToFit, type LoadToFit, type ReelToFit } from '../../gear/gearFit';
import { learnedReel, type LearnedReel } from '../../gear/learned';
import { LEVEL_SD_M } from '../../load/defaults';
import { bulkRelativeSd } from '../../load/planLoad';
import type { Known } from '../../provenance/source';
import type {
  FinishedLoadRecord,
  LineProductRecord,
  LoadSegmentRecord,
  ReelKnowledge,
  ReelRecord,
  ReverseFillRecord,
  RigRecord,
} from '../record';
import { isLengthKnown, notedCounts } from './woundSegments';

/** A counter's constant as an accepted test of one load gave it (m per turn). */
export interface AcceptedConstant {
  readonly loadId: string;
  readonly lengthPerTurnM: Known;
}

/** Everything of a boat that teaches its reels and lines. */
export interface BoatEvidence {
  readonly reels: readonly ReelRecord[];
  readonly products: readonly LineProductRecord[];
  readonly loads: readonly FinishedLoadRecord[];
  readonly reverseFills: readonly ReverseFillRecord[];
  /** Counter constants that accepted tests gave, by the reel's id, the newest of each load, newest first. */
  readonly constants: ReadonlyMap<string, readonly AcceptedConstant[]>;
  /** When each reel was last forgotten, by its id. */
  readonly resets: ReadonlyMap<string, string>;
}

/** What a boat's loads taught, with what went into it. */
export interface BoatLearning {
  readonly fit: GearFit;
  readonly evidence: BoatEvidence;
  readonly loads: readonly LoadToFit[];
}

/**
 * Learns a boat's reels and lines from all finished loads and reverse fills that still count.
 *
 * @throws Error when the evidence settles on nothing, which the priors exclude
 */
export function learnFromLoads(evidence: BoatEvidence): BoatLearning {
  const loads = [
    ...evidence.loads
      .filter(({ reelId, load }) => counts(evidence, reelId, load.finishedAt ?? ''))
      .map((finished) => loadToFit(finished, evidence)),
    ...evidence.reverseFills.filter((fill) => counts(evidence, fill.reelId, fill.at)).map(reverseFillToFit),
  ];
  const fit = gearFit(
    evidence.reels.map((reel) => reelToFit(reel, evidence.constants)),
    evidence.products.map(lineToFit),
    loads,
  );
  if (!fit.ok) throw new Error(fit.message);
  return { fit: fit.value, evidence, loads };
}

function counts({ resets }: BoatEvidence, reelId: string, at: string): boolean {
  return at > (resets.get(reelId) ?? '');
}

function reelToFit(reel: ReelRecord, constants: BoatEvidence['constants']): ReelToFit {
  const { id, arborDiameterM, widthM, fullDiameterM, ratings, counter } = reel;
  return {
    id,
    arborDiameterM,
    widthM,
    fullDiameterM,
    ratings,
    counter:
      counter?.drive === 'spool'
        ? {
            unitM: counter.unitM,
            lengthPerTurnM: constants.get(id)?.[0]?.lengthPerTurnM ?? counter.lengthPerTurnM,
          }
        : null,
  };
}

function lineToFit(line: LineProductRecord): LineToFit {
  const areaM2 = ((Math.PI / 4) * line.diameterM.value ** 2) / line.packing.value;
  const relativeSd = bulkRelativeSd({ lineDiameterM: line.diameterM, packing: line.packing });
  return { id: line.id, name: line.name, areaM2, relativeSd };
}

function loadToFit({ reelId, rigName, load }: FinishedLoadRecord, evidence: BoatEvidence): LoadToFit {
  const counter = evidence.reels.find((reel) => reel.id === reelId)?.counter;
  const lengthPerTurnM = evidence.constants.get(reelId)?.[0]?.lengthPerTurnM.value ?? counter?.lengthPerTurnM.value;
  const read = (segment: LoadSegmentRecord, reading: number | null | undefined): number | null =>
    counter && lengthPerTurnM && reading != null ? notedCounts(segment, reading, { ...counter, lengthPerTurnM }) : null;
  // A roller tells length; only a counter that the spool drives tells turns.
  const overRoller = counter?.drive === 'roller' ? (counter.unitM ?? NaN) / (lengthPerTurnM ?? NaN) : null;
  const wound = load.segments.filter((segment) => segment.wound);
  const at = (segmentId: string): number => wound.findIndex((segment) => segment.segmentId === segmentId);
  const levels = load.levels
    .filter((level, index) => !load.levels.some((later, i) => i > index && later.segmentId === level.segmentId))
    .map((level) => ({ afterSegment: at(level.segmentId), levelBelowRimM: level.levelBelowRimM }));
  const atEnd =
    load.levelBelowRimM === null ? [] : [{ afterSegment: wound.length - 1, levelBelowRimM: load.levelBelowRimM }];
  return {
    reelId,
    name: rigName,
    evenTension: true,
    levelSdM: LEVEL_SD_M,
    segments: wound.map((segment) => {
      const entry = load.winding.findLast((candidate) => candidate.segmentId === segment.segmentId);
      const counts = read(segment, entry?.reading);
      const rolledM = counts !== null && overRoller !== null ? counts * overRoller : null;
      return {
        name: segment.name,
        lineId: segment.productId,
        lengthM: entry?.meteredLengthM ?? (isLengthKnown(segment, entry) ? segment.plannedLengthM : rolledM),
        counts: overRoller === null ? counts : null,
        turns: entry?.turnsCounted ?? null,
      };
    }),
    levels: [...levels.filter((level) => level.afterSegment !== wound.length - 1 || atEnd.length === 0), ...atEnd],
  };
}

function reverseFillToFit(fill: ReverseFillRecord): LoadToFit {
  return {
    reelId: fill.reelId,
    name: 'the reverse fill',
    evenTension: fill.evenTension,
    levelSdM: LEVEL_SD_M,
    segments: fill.segments.map((segment, index) => ({
      name: `line ${index + 1}`,
      lineId: segment.productId,
      lengthM: segment.lengthM,
      counts: null,
      turns: null,
    })),
    levels: [{ afterSegment: fill.segments.length - 1, levelBelowRimM: fill.levelBelowRimM }],
  };
}

/** A rig's record with its reel and lines as they were learned. */
export function withKnowledge(record: Omit<RigRecord, 'knowledge'>, learning: BoatLearning): RigRecord {
  const { fit, evidence, loads } = learning;
  const before = record.reel;
  const loadsSeen = loads.filter((load) => load.reelId === before.id).length;
  const depth = depthOf(before, loadsSeen);
  // A guess that ratings have shaped rests on the maker; measured figures stay measured until a load says more.
  const learned = learnedReel(
    fit,
    before.id,
    depth === 'learned' ? 'learned' : depth === 'ratings' ? 'maker' : 'measured',
  );
  const seenLines = new Set(loads.flatMap((load) => load.segments.map((segment) => segment.lineId)));
  const lines = fit.unknowns.flatMap((unknown) => {
    if (!('lineId' in unknown.of) || !seenLines.has(unknown.of.lineId)) return [];
    const factor: Known = { value: unknown.value, sd: unknown.value * unknown.relativeSd, source: 'learned' };
    return [{ productId: unknown.of.lineId, factor, relativeSdBefore: unknown.relativeSdBefore }];
  });
  const knowledge: ReelKnowledge = {
    depth,
    loadsSeen,
    before: {
      arborDiameterM: before.arborDiameterM,
      widthM: before.widthM,
      fullDiameterM: before.fullDiameterM,
    },
    lengthPerTurnM: loadsSeen > 0 ? learned.lengthPerTurnM : null,
    beforeLoad: learnedBefore(record, learning),
    joint: learned.joint,
    lines,
    evidence: fit.evidence.filter((each) => each.reelId === before.id),
    resetAt: evidence.resets.get(before.id) ?? null,
  };
  return {
    ...record,
    knowledge,
    reel: {
      ...before,
      arborDiameterM: learned.arborDiameterM,
      widthM: learned.widthM,
      fullDiameterM: learned.fullDiameterM,
    },
    products: record.products.map((product) => {
      const line = lines.find((candidate) => candidate.productId === product.id);
      if (!line) return product;
      const value = product.packing.value / line.factor.value;
      return { ...product, packing: { value, sd: value * line.factor.sd, source: 'learned' } };
    }),
  };
}

/**
 * What was known before the load that is on now: a load's own evidence must not be counted beside what it has taught.
 * Null while nothing is wound.
 */
function learnedBefore(record: Omit<RigRecord, 'knowledge'>, { evidence }: BoatLearning): LearnedReel | null {
  const { load } = record;
  if (load?.status !== 'wound') return null;
  const others = learnFromLoads({
    ...evidence,
    loads: evidence.loads.filter((each) => each.load.id !== load.id),
    constants: new Map(
      [...evidence.constants].map(([reelId, all]) => [reelId, all.filter((each) => each.loadId !== load.id)]),
    ),
  });
  return learnedReel(others.fit, record.reel.id, others.loads.length > 0 ? 'learned' : 'measured');
}

function depthOf(reel: ReelRecord, loadsSeen: number): ReelKnowledge['depth'] {
  if (loadsSeen > 0) return 'learned';
  const { arborDiameterM, widthM, fullDiameterM } = reel.measured;
  return arborDiameterM !== null && widthM !== null && fullDiameterM !== null ? 'measured' : 'ratings';
}
