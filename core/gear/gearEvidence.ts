import { PACKING_REPEAT_RELATIVE_SD, STOP_SD_COUNTS, UNEVEN_TENSION_RELATIVE_SD } from '../measurement/errors';
import type { BlockGroup, Observation } from '../numerics/borderedFit';
import type { Known } from '../provenance/source';
import { ratedAreaM2, type CapacityRating, type ReelShape } from './reelShape';

/** A reel as it is known before its loads teach anything. */
export interface ReelToFit extends ReelShape {
  readonly id: string;
  readonly ratings: readonly CapacityRating[];
  readonly counter: { readonly unitM: number; readonly lengthPerTurnM: Known } | null;
}

/** A line as it is known beforehand: the space that one metre takes on a spool. */
export interface LineToFit {
  readonly id: string;
  readonly name: string;
  readonly areaM2: number;
  readonly relativeSd: number;
}

/** Where a piece of evidence stands on record, so that it can be taken back; null where it is stated and not noted. */
export interface EvidenceSource {
  readonly kind: 'level' | 'winding' | 'reverseFill';
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
    /** Null where the counter or the turns alone said when to stop. */
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
}

/** One piece of evidence about a reel: what was seen, from what, and what a spool would make of it. */
export interface Piece {
  readonly kind: 'rating' | 'level' | 'turns';
  readonly reelId: string;
  readonly loadId: string | null;
  readonly source: EvidenceSource | null;
  readonly observation: Observation;
}

/** Everything that was seen of one load, or the ratings of a reel: pieces that are predicted together. */
export interface Seen {
  readonly loadId: string | null;
  /** Places in the border of the lines that it depends on. */
  readonly border: readonly number[];
  readonly pieces: readonly Piece[];
  predict: BlockGroup['predict'];
}

/** Scatter of one maker's ratings among themselves, and of makers' ideas of "full", as relative SDs (from memory). */
export const RATING_RELATIVE_SD = 0.05;
export const RATING_HABIT_RELATIVE_SD = 0.06;

/** The share by which real layers depart from smooth ones. */
const TURNS_RELATIVE_SD = 0.004;

/** A spool as a set of unknowns means it. */
export interface ReelNow {
  readonly arborDiameterM: number;
  readonly widthM: number;
  readonly fullDiameterM: number;
  readonly habit: number;
  readonly lengthPerTurnM: number | null;
}

/** The unknowns of one reel, in the order of its block: logarithms of factors on what is believed. */
export const OWN_UNKNOWNS = ['arborDiameterM', 'widthM', 'fullDiameterM', 'habit', 'lengthPerTurnM'] as const;

/** An exactly known figure still needs an SD above nothing: a thousandth of a thousandth is none. */
const LEAST_RELATIVE_SD = 1e-6;
/** Beyond this a relative SD no longer means a normal logarithm: a figure as vague is unknown within a factor of seven. */
const MOST_RELATIVE_SD = 1;

export const relativeSdOf = ({ value, sd }: Pick<Known, 'value' | 'sd'>): number =>
  Math.min(Math.max(sd / value, LEAST_RELATIVE_SD), MOST_RELATIVE_SD);

/** Prior SDs of a reel's own unknowns. */
export function ownPriorSds(reel: ReelToFit): readonly number[] {
  return [
    relativeSdOf(reel.arborDiameterM),
    relativeSdOf(reel.widthM),
    relativeSdOf(reel.fullDiameterM),
    RATING_HABIT_RELATIVE_SD,
    ...(reel.counter ? [relativeSdOf(reel.counter.lengthPerTurnM)] : []),
  ];
}

function reelAt(reel: ReelToFit, own: readonly number[]): ReelNow {
  const factor = (place: number): number => Math.exp(own[place] ?? 0);
  return {
    arborDiameterM: reel.arborDiameterM.value * factor(0),
    widthM: reel.widthM.value * factor(1),
    fullDiameterM: reel.fullDiameterM.value * factor(2),
    habit: factor(3),
    lengthPerTurnM: reel.counter ? reel.counter.lengthPerTurnM.value * factor(4) : null,
  };
}

/** What a reel's ratings say: all of the one volume, each with its own idea of full. */
export function ratingsSeen(reel: ReelToFit): Seen {
  return {
    loadId: null,
    border: [],
    pieces: reel.ratings.map((rating) => ({
      kind: 'rating',
      reelId: reel.id,
      loadId: null,
      source: null,
      observation: { name: rating.label, value: Math.log(rating.lengthM), sd: RATING_RELATIVE_SD },
    })),
    predict: (own) => {
      const { arborDiameterM, widthM, fullDiameterM, habit } = reelAt(reel, own);
      const discM2 = Math.max(fullDiameterM ** 2 - arborDiameterM ** 2, 1e-9);
      const volumeM3 = habit * (Math.PI / 4) * widthM * discM2;
      return reel.ratings.map((rating) => Math.log(volumeM3 / ratedAreaM2(rating.lineDiameterM)));
    },
  };
}

interface WoundState {
  /** Diameter after each segment (m). */
  readonly diametersM: readonly number[];
  readonly turns: readonly number[];
}

/** Winds a load in thought; stops early at a segment of which neither length nor turns are known. */
function windLoad(
  load: LoadToFit,
  reel: ReelNow,
  areaM2: (segment: number) => number,
  unitM: number | null,
): WoundState {
  const diametersM: number[] = [];
  const turns: number[] = [];
  let innerM = reel.arborDiameterM;
  for (const [index, segment] of load.segments.entries()) {
    const area = areaM2(index);
    let outerM: number;
    if (segment.lengthM !== null) {
      outerM = Math.sqrt(innerM ** 2 + (4 * area * segment.lengthM) / (Math.PI * reel.widthM));
    } else {
      const byCounter =
        segment.counts !== null && unitM !== null && reel.lengthPerTurnM !== null
          ? (segment.counts * unitM) / reel.lengthPerTurnM
          : null;
      const gone = segment.turns ?? byCounter;
      if (gone === null) break;
      outerM = innerM + (2 * area * gone) / reel.widthM;
    }
    diametersM.push(outerM);
    turns.push(((outerM - innerM) * reel.widthM) / (2 * area));
    innerM = outerM;
  }
  return { diametersM, turns };
}

/**
 * What was seen of one load: levels from volumes, turns from levels.
 *
 * @param lines every line of the boat that loads name, in the order of the border
 * @throws RangeError when the load names a line that is not given
 */
export function loadSeen(load: LoadToFit, reel: ReelToFit, lines: readonly LineToFit[]): Seen {
  const unitM = reel.counter?.unitM ?? null;
  const places = load.segments.map(({ lineId }) => {
    const place = lines.findIndex((line) => line.id === lineId);
    if (place < 0) throw new RangeError(`gearFit: line ${lineId} is not given`);
    return place;
  });
  const wind = (own: readonly number[], border: readonly number[]) => {
    const now = reelAt(reel, own);
    const areaM2 = (segment: number): number => {
      const place = places[segment] ?? 0;
      return (lines[place]?.areaM2 ?? NaN) * Math.exp(border[place] ?? 0);
    };
    return { now, wound: windLoad(load, now, areaM2, unitM) };
  };
  const { now: believed, wound } = wind([], []);
  const levels = load.levels.filter((level) => wound.diametersM[level.afterSegment] !== undefined);
  const counted = load.segments.flatMap((segment, index) => {
    const known = segment.lengthM !== null && wound.turns[index] !== undefined;
    const value = segment.turns ?? (unitM === null ? null : segment.counts);
    return known && value !== null ? [{ segment, index, value }] : [];
  });
  const levelSdM = (afterSegment: number): number => {
    const diameterM = wound.diametersM[afterSegment] ?? NaN;
    const repeatSd = load.evenTension ? PACKING_REPEAT_RELATIVE_SD : UNEVEN_TENSION_RELATIVE_SD;
    return Math.hypot(load.levelSdM, (repeatSd * (diameterM ** 2 - believed.arborDiameterM ** 2)) / (4 * diameterM));
  };
  const from = { reelId: reel.id, loadId: load.loadId ?? null };
  return {
    loadId: load.loadId ?? null,
    border: [...new Set(places)],
    pieces: [
      ...levels.map(({ afterSegment, levelBelowRimM, source }): Piece => ({
        kind: 'level',
        ...from,
        source: source ?? null,
        observation: {
          name: `${load.name}: level after ${load.segments[afterSegment]?.name ?? ''}`,
          value: levelBelowRimM,
          sd: levelSdM(afterSegment),
        },
      })),
      ...counted.map(({ segment, value }): Piece => ({
        kind: 'turns',
        ...from,
        source: segment.source ?? null,
        observation: {
          name: `${load.name}: ${segment.turns === null ? 'counts' : 'turns'} of ${segment.name}`,
          value,
          sd: Math.hypot(STOP_SD_COUNTS, TURNS_RELATIVE_SD * value),
        },
      })),
    ],
    predict: (own, border) => {
      const { now, wound: again } = wind(own, border);
      return [
        ...levels.map(({ afterSegment }) => (now.fullDiameterM - (again.diametersM[afterSegment] ?? NaN)) / 2),
        ...counted.map(({ segment, index }) => {
          const turns = again.turns[index] ?? NaN;
          return segment.turns === null ? (turns * (now.lengthPerTurnM ?? NaN)) / (unitM ?? NaN) : turns;
        }),
      ];
    },
  };
}
