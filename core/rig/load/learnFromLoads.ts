import type { EvidenceSource, LineToFit, LoadToFit, ReelToFit } from '../../gear/gearEvidence';
import type { FittedEvidence, FittedReel, GearFit } from '../../gear/fittedGear';
import { gearFit, learnGear } from '../../gear/gearFit';
import { learnedReel, type LearnedReel } from '../../gear/learned';
import { isUnlikeTension } from '../../load/tension';
import { ERRORS } from '../../measurement/errors';
import { LINE_ERRORS } from '../../measurement/lineErrors';
import { bulkRelativeSd, labelOf } from '../../load/planLoad';
import type { Known } from '../../provenance/source';
import type {
  FinishedLoadRecord,
  LineProductRecord,
  LoadRecord,
  LoadSegmentRecord,
  ReelKnowledge,
  ReelRecord,
  ReverseFillRecord,
  TrialRecord,
  RigRecord,
  WindingEntryRecord,
} from '../../record/record';
import { trialOf } from '../counter/loadObservations';
import { isLengthKnown, notedCounts } from '../line/woundSegments';

/** Everything of a boat that teaches its reels and lines. */
export interface BoatEvidence {
  readonly reels: readonly ReelRecord[];
  readonly products: readonly LineProductRecord[];
  readonly loads: readonly FinishedLoadRecord[];
  readonly reverseFills: readonly ReverseFillRecord[];
  /** Tests of the counters that count, of all finished loads, oldest first. */
  readonly trials: readonly TrialRecord[];
  /** When each reel was last forgotten, by its id. */
  readonly resets: ReadonlyMap<string, string>;
}

/** What a boat's loads taught of its lines: plain data, kept with the version of its evidence. */
export type LearnedLines = Pick<GearFit, 'lines' | 'tapeShare' | 'sharedCovariance'>;

/** What is known of a boat's lines before it ever loaded a reel. */
export const NOTHING_LEARNED: LearnedLines = {
  lines: [],
  tapeShare: 0,
  sharedCovariance: [[ERRORS.tapeShare.sd ** 2]],
};

/** What loads taught of one reel: plain data. */
export interface LearnedOfReel {
  readonly reel: FittedReel;
  readonly evidence: readonly FittedEvidence[];
  /** Loads and reverse fills of this very reel that count. */
  readonly loadsSeen: number;
  /** The newest finished load of the reel, and what was known before it; null while there is none. */
  readonly before: { readonly loadId: string; readonly learned: LearnedReel } | null;
}

export interface BoatLearning {
  readonly lines: LearnedLines;
  /** Of reels with a load or a reverse fill; the others are known by their own figures. */
  readonly reels: readonly LearnedOfReel[];
}

/** Learns a boat's reels and lines from all finished loads and reverse fills that still count. */
export function learnFromLoads(evidence: BoatEvidence): BoatLearning {
  const loads = [
    ...evidence.loads
      .filter(({ reelId, load }) => counts(evidence, reelId, load.finishedAt ?? ''))
      .map((finished) => loadToFit(finished, evidence)),
    ...evidence.reverseFills
      .filter((fill) => counts(evidence, fill.reelId, fill.at))
      .map((fill) => reverseFillToFit(fill, evidence.loads)),
  ];
  const worked = new Set([...evidence.loads, ...evidence.reverseFills].map(({ reelId }) => reelId));
  const seenLines = new Set(loads.flatMap((load) => load.segments.map((segment) => segment.lineId)));
  const reels = evidence.reels.filter((reel) => worked.has(reel.id));
  const gear = learnGear(
    reels.map(reelToFit),
    evidence.products.filter((line) => seenLines.has(line.id)).map(lineToFit),
    loads,
  );
  const { lines, tapeShare, sharedCovariance } = gear.fit;
  return {
    lines: { lines, tapeShare, sharedCovariance },
    reels: reels.map((reel, place): LearnedOfReel => {
      const fitted = gear.fit.reels[place];
      if (!fitted) throw new Error('learnFromLoads: the fit has lost a reel');
      const newest = evidence.loads.findLast((each) => each.reelId === reel.id)?.load.id;
      const isOnly = loads.every((load) => load.loadId === newest);
      return {
        reel: fitted,
        evidence: gear.fit.evidence.filter((each) => each.reelId === reel.id),
        loadsSeen: loads.filter((load) => load.reelId === reel.id).length,
        // A load's own evidence must not be counted beside what it has taught.
        before: newest
          ? {
              loadId: newest,
              learned: learnedReel(gear.before(newest, reelToFit(reel)), reel.id, isOnly ? 'measured' : 'learned'),
            }
          : null,
      };
    }),
  };
}

function counts({ resets }: BoatEvidence, reelId: string, at: string): boolean {
  return at > (resets.get(reelId) ?? '');
}

function reelToFit(reel: ReelRecord): ReelToFit {
  const { id, arborDiameterM, widthM, fullDiameterM, ratings, counter } = reel;
  return { id, arborDiameterM, widthM, fullDiameterM, ratings, counter };
}

function lineToFit(line: LineProductRecord): LineToFit {
  const areaM2 = ((Math.PI / 4) * line.diameterM.value ** 2) / line.packing.value;
  const relativeSd = bulkRelativeSd({ lineDiameterM: line.diameterM, packing: line.packing });
  return {
    ...{ id: line.id, name: line.name, areaM2, relativeSd, windingStrain: LINE_ERRORS[line.material].windingStrain },
    label: labelOf({
      lineDiameterM: line.diameterM,
      labelOf: line.diameterM.source === 'label' ? line.material : undefined,
    }),
  };
}

function loadToFit({ reelId, rigName, load }: FinishedLoadRecord, evidence: BoatEvidence): LoadToFit {
  const counter = evidence.reels.find((reel) => reel.id === reelId)?.counter;
  const lengthPerTurnM = counter?.lengthPerTurnM.value;
  const read = (segment: LoadSegmentRecord, entry: WindingEntryRecord | undefined): number | null =>
    counter && lengthPerTurnM && entry?.reading != null
      ? notedCounts(segment, entry.reading, { ...counter, lengthPerTurnM }, entry.laps)
      : null;
  const wound = load.segments.filter((segment) => segment.wound);
  const at = (segmentId: string): number => wound.findIndex((segment) => segment.segmentId === segmentId);
  const levels = load.levels
    .filter((level, index) => !load.levels.some((later, i) => i > index && later.segmentId === level.segmentId))
    .map(({ id, segmentId, levelBelowRimM }) => ({
      afterSegment: at(segmentId),
      levelBelowRimM,
      source: { kind: 'level', id } satisfies EvidenceSource,
    }));
  const last = load.levels.findLast((level) => at(level.segmentId) === wound.length - 1);
  const atEnd =
    load.levelBelowRimM === null
      ? []
      : [
          {
            afterSegment: wound.length - 1,
            levelBelowRimM: load.levelBelowRimM,
            source: last ? ({ kind: 'level', id: last.id } satisfies EvidenceSource) : null,
          },
        ];
  return {
    reelId,
    loadId: load.id,
    name: rigName,
    evenTension: true,
    levelSdM: ERRORS.levelM.sd,
    segments: wound.map((segment) => {
      const entry = load.winding.findLast((candidate) => candidate.segmentId === segment.segmentId);
      const counts = read(segment, entry);
      return {
        name: segment.name,
        lineId: segment.productId,
        lengthM: entry?.meteredLengthM ?? (isLengthKnown(segment, entry) ? segment.plannedLengthM : null),
        counts,
        turns: entry?.turnsCounted ?? null,
        source: entry ? { kind: 'winding', id: entry.id } : null,
      };
    }),
    levels: [...levels.filter((level) => level.afterSegment !== wound.length - 1 || atEnd.length === 0), ...atEnd],
    trials: trialsOf(load, wound, evidence.trials),
  };
}

/** Tests of a load's counter, each of the line as it was then: what went since winding is gone, until a segment was replaced. */
function trialsOf(
  load: LoadRecord,
  wound: readonly LoadSegmentRecord[],
  trials: readonly TrialRecord[],
): NonNullable<LoadToFit['trials']> {
  const finishedAt = load.finishedAt ?? '';
  const changedTill = (at: string): readonly number[] =>
    wound.map(({ segmentId }) => {
      const changes = load.changes.filter((change) => change.segmentId === segmentId && change.at <= at);
      return changes.reduce((sum, change) => sum + change.changeM, 0);
    });
  return trials
    .filter((trial) => trial.loadId === load.id && trial.at >= finishedAt)
    .flatMap((trial) => {
      const isWhole = !load.replacements.some((each) => each.at <= trial.at);
      return trialOf(trial, changedTill(trial.at), isWhole).map((observation) => ({
        observation,
        source: { kind: 'trial', id: trial.id } satisfies EvidenceSource,
      }));
    });
}

/** A fill found the wrong way round says less of a reel whose real winding after it is known to have had unlike tension. */
function reverseFillToFit(fill: ReverseFillRecord, loads: readonly FinishedLoadRecord[]): LoadToFit {
  const after = loads.find(({ reelId, load }) => reelId === fill.reelId && load.startedAt > fill.at);
  return {
    reelId: fill.reelId,
    name: 'the reverse fill',
    evenTension: fill.evenTension && !(after && isUnlikeTension(fill, after.load)),
    levelSdM: ERRORS.levelM.sd,
    segments: fill.segments.map((segment, index) => ({
      name: `line ${index + 1}`,
      lineId: segment.productId,
      lengthM: segment.lengthM,
      counts: null,
      turns: null,
    })),
    levels: [
      {
        afterSegment: fill.segments.length - 1,
        levelBelowRimM: fill.levelBelowRimM,
        source: { kind: 'reverseFill', id: fill.id },
      },
    ],
  };
}

/** What a record is known by: of the boat's lines, and of its own reel where that was ever loaded. */
export interface KnownBy {
  readonly lines: LearnedLines;
  readonly reel: LearnedOfReel | null;
  /** When the reel was last forgotten, or null. */
  readonly resetAt: string | null;
  /** False where newer evidence is on record, and what it teaches has not been worked out. */
  readonly isCurrent: boolean;
}

/** The part of a boat's learning that speaks of one reel. */
export function knownBy(learning: BoatLearning, reelId: string, resetAt: string | null): KnownBy {
  return {
    lines: learning.lines,
    reel: learning.reels.find((each) => each.reel.reelId === reelId) ?? null,
    resetAt,
    isCurrent: true,
  };
}

/** A reel that never was loaded, as its own figures and ratings have it; the boat's lines say nothing of it. */
function neverLoaded(reel: ReelRecord, lines: LearnedLines): LearnedOfReel {
  const { reels, evidence } = gearFit([reelToFit(reel)], [], []);
  const [alone] = reels;
  if (!alone) throw new Error('neverLoaded: the fit has lost the reel');
  const withShared = alone.dimensions.map(() => lines.sharedCovariance.map(() => 0));
  return { reel: { ...alone, withShared }, evidence, loadsSeen: 0, before: null };
}

/** A rig's record with its reel and lines as they were learned. */
export function withKnowledge(record: Omit<RigRecord, 'knowledge'>, known: KnownBy): RigRecord {
  const before = record.reel;
  const ofReel = known.reel ?? neverLoaded(before, known.lines);
  const depth = depthOf(before, ofReel.loadsSeen);
  // A guess that ratings have shaped rests on the maker; measured figures stay measured until a load says more.
  const learned = learnedReel(
    { ...known.lines, reels: [ofReel.reel] },
    before.id,
    depth === 'learned' ? 'learned' : depth === 'ratings' ? 'maker' : 'measured',
  );
  const lines = known.lines.lines.map((line) => {
    const factor: Known = { value: line.value, sd: line.value * line.relativeSd, source: 'learned' };
    return { productId: line.lineId, factor, relativeSdBefore: line.relativeSdBefore };
  });
  const isOn = record.load?.status === 'wound' && ofReel.before?.loadId === record.load.id;
  const knowledge: ReelKnowledge = {
    depth,
    loadsSeen: ofReel.loadsSeen,
    before: {
      arborDiameterM: before.arborDiameterM,
      widthM: before.widthM,
      fullDiameterM: before.fullDiameterM,
    },
    lengthPerTurnM: ofReel.loadsSeen > 0 ? learned.lengthPerTurnM : null,
    beforeLoad: isOn ? (ofReel.before?.learned ?? null) : null,
    tapeShare: learned.tapeShare,
    joint: learned.joint,
    lines,
    evidence: ofReel.evidence,
    resetAt: known.resetAt,
    isCurrent: known.isCurrent,
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

function depthOf(reel: ReelRecord, loadsSeen: number): ReelKnowledge['depth'] {
  if (loadsSeen > 0) return 'learned';
  const { arborDiameterM, widthM, fullDiameterM } = reel.measured;
  return arborDiameterM !== null && widthM !== null && fullDiameterM !== null ? 'measured' : 'ratings';
}
