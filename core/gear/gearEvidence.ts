import { loadModel, SLIP_KEY, STRETCH, TAPE_KEY, type BelievedLoad } from '../calibration/loadModel';
import { predicted, sdOf, valueOf, type CounterObservation } from '../calibration/observations';
import type { Counter } from '../counter/counter';
import { ERRORS, EVIDENCE_TAILS } from '../measurement/errors';
import type { LabelledLine } from '../measurement/lineErrors';
import type { BlockGroup, Observation } from '../numerics/borderedProblem';
import type { Known } from '../provenance/source';
import { lengthWoundOnM } from '../spool/turns';
import { ratedAreaM2, type CapacityRating, type ReelShape } from './reelShape';

/** A reel as it is known before its loads teach anything. */
export interface ReelToFit extends ReelShape {
  readonly id: string;
  readonly ratings: readonly CapacityRating[];
  readonly counter:
    (Pick<Counter, 'unitM' | 'drive'> & Partial<Pick<Counter, 'display'>> & { readonly lengthPerTurnM: Known }) | null;
}

/** A line as it is known beforehand: the space that one metre takes on a spool. */
export interface LineToFit {
  readonly id: string;
  readonly name: string;
  readonly areaM2: number;
  readonly relativeSd: number;
  /** The part of it that a label leaves open, where the line is known by its label: shared in part with other labels. */
  readonly label?: LabelledLine | undefined;
  /** How much it is stretched as it goes on, as a share of its relaxed length. */
  readonly windingStrain: { readonly value: number; readonly sd: number };
}

/** Where a piece of evidence stands on record, so that it can be taken back; null where it is stated and not noted. */
export interface EvidenceSource {
  readonly kind: 'level' | 'winding' | 'reverseFill' | 'trial';
  readonly id: string;
}

/** What was seen of one load: segments that were wound, from the arbor outwards. */
export interface LoadToFit {
  readonly reelId: string;
  /** The load's own key, where it can be left out of the fit. */
  readonly loadId?: string;
  readonly name: string;
  /** False for a fill worked out in two passes of unlike tension: its level says less. */
  readonly evenTension: boolean;
  readonly segments: readonly {
    readonly name: string;
    readonly lineId: string;
    /** Relaxed (m); null where the counter or the turns alone said when to stop. */
    readonly lengthM: number | null;
    /** Unwrapped counts from zero at its start, or null. */
    readonly counts: number | null;
    /** Spool turns that were counted, or null. */
    readonly turns: number | null;
    readonly source?: EvidenceSource | null;
  }[];
  /** Levels under the rim (m), measured with the end of a segment just on. */
  readonly levels: readonly {
    readonly afterSegment: number;
    readonly levelBelowRimM: number;
    readonly source?: EvidenceSource | null;
  }[];
  /** SD of those levels as they were read (m). */
  readonly levelSdM: number;
  /** Walks, colours and spool turns that this load's counter was tested by; gone since it was wound: as observations have it. */
  readonly trials?: readonly { readonly observation: CounterObservation; readonly source: EvidenceSource }[];
}

/** One piece of evidence about a reel: what was seen, from what, and what a spool would make of it. */
export interface Piece {
  readonly kind: 'rating' | 'level' | 'turns' | 'walk';
  readonly reelId: string;
  readonly loadId: string | null;
  readonly source: EvidenceSource | null;
  readonly observation: Observation;
}

/** Everything that was seen of one load, or the ratings of a reel: pieces that are predicted together. */
export interface Seen {
  readonly loadId: string | null;
  /** Places in the border that it depends on: of its lines, and of the tape behind all of them. */
  readonly border: readonly number[];
  /** SDs of what is this load's own. */
  readonly innerPriorSds: readonly number[];
  readonly pieces: readonly Piece[];
  predict: BlockGroup['predict'];
}

/** The unknowns of one reel, in the order of its block: logarithms of factors on what is believed. */
export const OWN_UNKNOWNS = ['arborDiameterM', 'widthM', 'fullDiameterM', 'habit', 'lengthPerTurnM'] as const;

/** Under what key each of them goes into a load's model. */
const OWN_KEYS = {
  arborDiameterM: 'arborDiameterM',
  widthM: 'widthM',
  fullDiameterM: 'fullDiameterM',
  habit: 'habit',
  lengthPerTurnM: 'counter',
} as const;

/** An exactly known figure still needs an SD above nothing: a thousandth of a thousandth is none. */
const LEAST_RELATIVE_SD = 1e-6;
/** Beyond this a relative SD no longer means a normal logarithm: a figure as vague is unknown within a factor of seven. */
const MOST_RELATIVE_SD = 1;

export const relativeSdOf = ({ value, sd }: Pick<Known, 'value' | 'sd'>): number =>
  Math.min(Math.max(sd / value, LEAST_RELATIVE_SD), MOST_RELATIVE_SD);

/** The width that line fills, as a measured width leaves it open: beside the flanges there is room that no turn fills. */
export const filledWidth = (width: Known): Known => ({
  ...width,
  sd: Math.hypot(width.sd, ERRORS.flangeShare.sd * width.value),
});

/** Prior SDs of a reel's own unknowns. */
export function ownPriorSds(reel: ReelToFit): readonly number[] {
  return [
    relativeSdOf(reel.arborDiameterM),
    relativeSdOf(filledWidth(reel.widthM)),
    relativeSdOf(reel.fullDiameterM),
    ERRORS.ratingHabitShare.sd,
    ...(reel.counter ? [relativeSdOf(reel.counter.lengthPerTurnM)] : []),
  ];
}

/** What a reel's ratings say: all of the one volume, each with its own idea of full. */
export function ratingsSeen(reel: ReelToFit): Seen {
  return {
    loadId: null,
    border: [],
    innerPriorSds: [],
    pieces: reel.ratings.map((rating) => ({
      kind: 'rating',
      reelId: reel.id,
      loadId: null,
      source: null,
      observation: {
        name: rating.label,
        value: Math.log(rating.lengthM),
        sd: ERRORS.ratingShare.sd,
        tails: EVIDENCE_TAILS,
      },
    })),
    predict: (own) => {
      const factor = (place: number): number => Math.exp(own[place] ?? 0);
      const arborM = reel.arborDiameterM.value * factor(0);
      const discM2 = Math.max((reel.fullDiameterM.value * factor(2)) ** 2 - arborM ** 2, 1e-9);
      const volumeM3 = factor(3) * (Math.PI / 4) * reel.widthM.value * factor(1) * discM2;
      return reel.ratings.map((rating) => Math.log(volumeM3 / ratedAreaM2(rating.lineDiameterM)));
    },
  };
}

/** A segment as it is believed to lie, before the load is fitted. */
interface Laid {
  readonly lengthM: number;
  readonly isKnown: boolean;
}

/** Winds a load in thought; stops early at a segment of which neither length nor turns are known. */
function layInThought(load: LoadToFit, reel: ReelToFit, lineOf: (segment: number) => LineToFit): readonly Laid[] {
  const laid: Laid[] = [];
  let innerM = reel.arborDiameterM.value;
  for (const [index, segment] of load.segments.entries()) {
    const { areaM2: area, windingStrain } = lineOf(index);
    const perDiscM2 = (4 * area) / (Math.PI * reel.widthM.value);
    let { lengthM } = segment;
    const isKnown = lengthM !== null;
    if (lengthM === null) {
      const { counter } = reel;
      const byCounter =
        segment.counts !== null && counter ? (segment.counts * counter.unitM) / counter.lengthPerTurnM.value : null;
      const isRolled = segment.turns === null && counter?.drive === 'roller';
      const gone = segment.turns ?? byCounter;
      if (gone === null) break;
      lengthM = isRolled ? gone : lengthWoundOnM(gone / (1 + windingStrain.value), innerM, area, reel.widthM.value);
    }
    if (!(lengthM > 0)) break;
    laid.push({ lengthM, isKnown });
    innerM = Math.sqrt(innerM ** 2 + perDiscM2 * lengthM);
  }
  return laid;
}

/** A counter that does not move: for reels without one, of which only turns are counted. */
const NO_COUNTER = {
  unitM: 1,
  display: 'rounds',
  drive: 'spool',
  lengthPerTurnM: { value: 1, sd: 1e-9, source: 'measured' },
} as const;

type SeenOfLoad = Pick<Piece, 'kind' | 'source'> & { readonly observation: CounterObservation };

/** What was seen of a load, as observations with where each stands on record. */
function observationsOf(load: LoadToFit, laid: readonly Laid[], hasCounter: boolean): readonly SeenOfLoad[] {
  const goneSinceM = laid.map(() => 0);
  const levels = load.levels.filter((level) => level.afterSegment < laid.length);
  return [
    ...levels.map(({ afterSegment, levelBelowRimM, source }) => ({
      kind: 'level' as const,
      source: source ?? null,
      observation: {
        kind: 'level' as const,
        name: `${load.name}: level after ${load.segments[afterSegment]?.name ?? ''}`,
        ...{ afterSegment, levelBelowRimM, levelSdM: load.levelSdM, goneSinceM },
      },
    })),
    ...laid.flatMap((_, segment) => {
      const { name = '', turns = null, counts = null, source = null } = load.segments[segment] ?? {};
      const reading = turns ?? (hasCounter ? counts : null);
      if (reading === null) return [];
      const byHand = turns !== null;
      return [
        {
          kind: 'turns' as const,
          source,
          observation: {
            kind: 'wound' as const,
            name: `${load.name}: ${byHand ? 'turns' : 'counts'} of ${name}`,
            ...{ segment, fromShare: 0, toShare: 1, reading, byHand, goneSinceM },
          },
        },
      ];
    }),
    ...(hasCounter ? (load.trials ?? []) : []).map(({ observation, source }) => ({
      kind: observation.kind === 'turns' ? ('turns' as const) : ('walk' as const),
      source,
      observation: { ...observation, name: `${load.name}: ${observation.name}` },
    })),
  ];
}

/**
 * What was seen of one load, by the one model of a load: levels, counts and turns of its segments, walks.
 *
 * @param lines every line of the boat that loads name, in the order of the border; the tape is behind the last
 * @throws RangeError when the load names a line that is not given
 */
export function loadSeen(load: LoadToFit, reel: ReelToFit, lines: readonly LineToFit[]): Seen {
  const places = load.segments.map(({ lineId }) => {
    const place = lines.findIndex((line) => line.id === lineId);
    if (place < 0) throw new RangeError(`gearFit: line ${lineId} is not given`);
    return place;
  });
  const lineOf = (segment: number): LineToFit => lines[places[segment] ?? -1] as LineToFit;
  const laid = layInThought(load, reel, lineOf);
  const counter = { display: 'unknown' as const, ...(reel.counter ?? NO_COUNTER) };
  const model = loadModel({
    ...reel,
    constantM: counter.lengthPerTurnM,
    counter,
    joint: null,
    repeatRelativeSd: load.evenTension ? ERRORS.packingRepeatShare.sd : ERRORS.unevenTensionShare.sd,
    segments: laid.map(({ lengthM, isKnown }, index): BelievedLoad['segments'][number] => ({
      id: String(index),
      name: load.segments[index]?.name ?? '',
      lineId: load.segments[index]?.lineId ?? '',
      wound: true,
      lengthM,
      // Any packing does that gives the line its room.
      lineDiameterM: Math.sqrt((4 * lineOf(index).areaM2) / Math.PI),
      packing: 1,
      areaRelativeSd: NaN,
      lengthRelativeSd: isKnown ? ERRORS.lengthShare.sd : ERRORS.plannedLengthShare.sd,
      windingStrain: lineOf(index).windingStrain,
    })),
  });
  const seen = observationsOf(load, laid, reel.counter !== null).filter(({ observation }) =>
    Number.isFinite(
      predicted(
        observation,
        model.realise(() => 0),
        counter.unitM,
      ),
    ),
  );
  const isWalked = seen.some(({ observation }) => observation.kind === 'tape');
  const inner = model.unknowns.filter(
    (each) => (each.scope === 'load' || each.scope === 'winding') && isMoved(each.key, seen),
  );
  const border = [...new Set(places.slice(0, laid.length)), ...(isWalked ? [lines.length] : [])];
  const from = { reelId: reel.id, loadId: load.loadId ?? null };
  return {
    loadId: load.loadId ?? null,
    border,
    innerPriorSds: inner.map(({ sd }) => Math.max(sd, LEAST_RELATIVE_SD)),
    pieces: seen.map(({ kind, source, observation }): Piece => ({
      ...{ kind, source },
      ...from,
      observation: {
        name: observation.name,
        value: valueOf(observation, counter.display),
        sd: sdOf(observation, counter),
        tails: EVIDENCE_TAILS,
      },
    })),
    predict: (own, ofBorder, ofLoad) => {
      const at = new Map<string, number>([
        ...OWN_UNKNOWNS.map((key, place): [string, number] => [OWN_KEYS[key], own[place] ?? 0]),
        ...places.map((place, index): [string, number] => [load.segments[index]?.lineId ?? '', ofBorder[place] ?? 0]),
        [TAPE_KEY, ofBorder[lines.length] ?? 0],
        ...inner.map(({ key }, place): [string, number] => [key, ofLoad[place] ?? 0]),
      ]);
      const now = model.realise((key) => at.get(key) ?? 0);
      return seen.map(({ observation }) => predicted(observation, now, counter.unitM));
    },
  };
}

/** True where something that was seen of a load moves with one of its own unknowns. */
function isMoved(key: string, seen: readonly { readonly observation: CounterObservation }[]): boolean {
  const counted = seen.filter(({ observation }) => observation.kind !== 'level');
  if (key === SLIP_KEY) return counted.some(({ observation }) => observation.kind === 'wound');
  return key.startsWith(STRETCH) ? counted.some(({ observation }) => observation.kind !== 'turns') : seen.length > 0;
}
