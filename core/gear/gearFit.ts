import { fitToEvidence, type EvidenceGroup, type Observation } from '../numerics/fitToEvidence';
import type { Known } from '../provenance/source';
import type { Outcome } from '../result';
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

/** What was seen of one load: segments that were wound, from the arbor outwards. */
export interface LoadToFit {
  readonly reelId: string;
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
  }[];
  /** Levels under the rim (m), measured with the end of a segment just on. */
  readonly levels: readonly { readonly afterSegment: number; readonly levelBelowRimM: number }[];
  /** SD of those levels as they were read (m). */
  readonly levelSdM: number;
}

export type DimensionKey = 'arborDiameterM' | 'widthM' | 'fullDiameterM' | 'lengthPerTurnM';

/** One thing that the fit found: a dimension of a reel (m) or the factor on a line's space. */
export interface FittedUnknown {
  readonly of: { readonly reelId: string; readonly dimension: DimensionKey } | { readonly lineId: string };
  readonly value: number;
  readonly relativeSd: number;
  readonly relativeSdBefore: number;
}

/** How one piece of evidence sits with all the others. */
export interface FittedEvidence {
  readonly kind: 'rating' | 'level' | 'turns';
  readonly name: string;
  readonly reelId: string;
  /** (Observed − fitted) ÷ SD: beyond 3 it does not fit. */
  readonly offBySds: number;
  /** Observed − fitted: metres of level, a share of a rating, or counts. */
  readonly off: number;
}

export interface GearFit {
  readonly unknowns: readonly FittedUnknown[];
  /** Of the unknowns' errors, in their order. */
  readonly correlation: readonly (readonly number[])[];
  readonly evidence: readonly FittedEvidence[];
}

/**
 * How a line's packing differs from one careful load of the same hands to the next, as a relative SD (common
 * practice, no source); the second figure is for two passes of unlike tension.
 */
export const PACKING_REPEAT_RELATIVE_SD = 0.01;
const UNEVEN_TENSION_RELATIVE_SD = 0.06;

/** Scatter of one maker's ratings among themselves, and of makers' ideas of "full", as relative SDs (from memory). */
export const RATING_RELATIVE_SD = 0.05;
export const RATING_HABIT_RELATIVE_SD = 0.06;

/** Counts by which a hand stops off the mark, and the share by which real layers depart from smooth ones. */
const STOP_SD_COUNTS = 0.5;
const TURNS_RELATIVE_SD = 0.004;

interface Unknown {
  readonly of: FittedUnknown['of'] | { readonly habitOf: string };
  readonly before: number;
  readonly relativeSd: number;
}

const DIMENSIONS = ['arborDiameterM', 'widthM', 'fullDiameterM'] as const;

/**
 * Learns spools, lines and counters of one boat from everything that was seen of its loads, all at once: makers'
 * ratings, caliper readings, levels, noted turns and counts. Every unknown has a log-normal prior; lines are shared
 * by reels, so a load on one rod teaches its twin. The equations are those of the spool (levels from volumes,
 * turns from levels), solved by weighted least squares in logarithms.
 *
 * @param reels with dimensions and their SDs as known beforehand (m)
 * @param lines every line that a load names
 * @param loads what was seen, in any order
 * @returns best values with their SDs and correlation, and how each piece of evidence fits
 * @throws RangeError when a load names a reel or a line that is not given
 */
export function gearFit(
  reels: readonly ReelToFit[],
  lines: readonly LineToFit[],
  loads: readonly LoadToFit[],
): Outcome<GearFit, 'no-fit'> {
  const unknowns = unknownsOf(reels, lines);
  const indexOf = new Map(unknowns.map((unknown, index) => [keyOf(unknown.of), index]));
  const placeOf = (key: string): number => {
    const index = indexOf.get(key);
    if (index === undefined) throw new RangeError(`gearFit: ${key} is not given`);
    return index;
  };
  // Looked up once: the fit reads these some ten thousand times.
  const reelPlaces = new Map(
    reels.map(({ id, counter }) => [
      id,
      {
        arborDiameterM: placeOf(`${id} arborDiameterM`),
        widthM: placeOf(`${id} widthM`),
        fullDiameterM: placeOf(`${id} fullDiameterM`),
        habit: placeOf(`${id} habit`),
        lengthPerTurnM: counter ? placeOf(`${id} lengthPerTurnM`) : null,
      },
    ]),
  );
  const linePlaces = new Map(lines.map(({ id }) => [id, placeOf(`line ${id}`)]));
  const read = (values: readonly number[]): Reader => {
    const at = (index: number): number => (unknowns[index]?.before ?? NaN) * Math.exp(values[index] ?? NaN);
    return {
      reel: (id) => {
        const places = reelPlaces.get(id);
        if (!places) throw new RangeError(`gearFit: reel ${id} is not given`);
        return {
          arborDiameterM: at(places.arborDiameterM),
          widthM: at(places.widthM),
          fullDiameterM: at(places.fullDiameterM),
          habit: at(places.habit),
          lengthPerTurnM: places.lengthPerTurnM === null ? null : at(places.lengthPerTurnM),
        };
      },
      areaM2: (id) => {
        const place = linePlaces.get(id);
        if (place === undefined) throw new RangeError(`gearFit: line ${id} is not given`);
        return at(place);
      },
    };
  };
  const centre = read(unknowns.map(() => 0));
  const seen = [...reels.map(ratingsSeen), ...loads.map((load) => loadSeen(load, reels, centre))];
  const placesOf = (keys: readonly string[]): readonly number[] =>
    keys.flatMap((key) => indexOf.get(key) ?? []).filter((place, index, places) => places.indexOf(place) === index);
  const fit = fitToEvidence(
    unknowns.map((unknown) => unknown.relativeSd),
    seen.map((group): EvidenceGroup => ({
      dependsOn: placesOf(group.keys),
      observations: group.evidence.map((each) => each.observation),
      predict: (values) => group.predict(read(values)),
    })),
  );
  if (!fit.ok) return fit;
  const { values, covariance, residuals } = fit.value;
  const shown = unknowns.flatMap(({ of, before, relativeSd }, index) => {
    const sd = Math.sqrt(covariance[index]?.[index] ?? NaN);
    // Lines are reported as factors on the space that was believed.
    const value = Math.exp(values[index] ?? NaN) * ('lineId' in of ? 1 : before);
    return 'habitOf' in of ? [] : [{ index, unknown: { of, value, relativeSd: sd, relativeSdBefore: relativeSd } }];
  });
  const evidence = seen.flatMap((group) => group.evidence.map((each) => ({ ...each, reelId: group.reelId })));
  const sdOf = (index: number): number => Math.sqrt(covariance[index]?.[index] ?? NaN);
  return {
    ok: true,
    value: {
      unknowns: shown.map((each) => each.unknown),
      correlation: shown.map((a) =>
        shown.map((b) => (a === b ? 1 : (covariance[a.index]?.[b.index] ?? NaN) / (sdOf(a.index) * sdOf(b.index)))),
      ),
      evidence: evidence.map(({ observation, kind, reelId }, index) => ({
        kind,
        reelId,
        name: observation.name,
        offBySds: residuals[index] ?? NaN,
        off: (residuals[index] ?? NaN) * observation.sd,
      })),
    },
  };
}

interface ReelNow {
  readonly arborDiameterM: number;
  readonly widthM: number;
  readonly fullDiameterM: number;
  readonly habit: number;
  readonly lengthPerTurnM: number | null;
}

interface Reader {
  reel(id: string): ReelNow;
  areaM2(lineId: string): number;
}

/** What was seen of one reel at a time: its ratings, or one load. */
interface Seen {
  readonly reelId: string;
  /** Unknowns that it depends on. */
  readonly keys: readonly string[];
  readonly evidence: readonly { readonly kind: FittedEvidence['kind']; readonly observation: Observation }[];
  predict(now: Reader): readonly number[];
}

const REEL_KEYS = ['arborDiameterM', 'widthM', 'fullDiameterM', 'lengthPerTurnM', 'habit'];

function keyOf(of: Unknown['of']): string {
  if ('lineId' in of) return `line ${of.lineId}`;
  return 'habitOf' in of ? `${of.habitOf} habit` : `${of.reelId} ${of.dimension}`;
}

/** An exactly known figure still needs an SD above nothing: a thousandth of a thousandth is none. */
const LEAST_RELATIVE_SD = 1e-6;

function unknownsOf(reels: readonly ReelToFit[], lines: readonly LineToFit[]): readonly Unknown[] {
  const unknown = (of: Unknown['of'], known: { value: number; sd: number }): Unknown => ({
    of,
    before: known.value,
    relativeSd: Math.max(known.sd / known.value, LEAST_RELATIVE_SD),
  });
  return [
    ...reels.flatMap((reel) => [
      ...DIMENSIONS.map((dimension) => unknown({ reelId: reel.id, dimension }, reel[dimension])),
      unknown({ habitOf: reel.id }, { value: 1, sd: RATING_HABIT_RELATIVE_SD }),
      ...(reel.counter ? [unknown({ reelId: reel.id, dimension: 'lengthPerTurnM' }, reel.counter.lengthPerTurnM)] : []),
    ]),
    ...lines.map((line) => unknown({ lineId: line.id }, { value: line.areaM2, sd: line.areaM2 * line.relativeSd })),
  ];
}

function ratingsSeen(reel: ReelToFit): Seen {
  return {
    reelId: reel.id,
    keys: REEL_KEYS.map((key) => `${reel.id} ${key}`),
    evidence: reel.ratings.map((rating) => ({
      kind: 'rating',
      observation: { name: rating.label, value: Math.log(rating.lengthM), sd: RATING_RELATIVE_SD },
    })),
    predict: (now) => {
      const { arborDiameterM, widthM, fullDiameterM, habit } = now.reel(reel.id);
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
function windLoad(load: LoadToFit, now: Reader, unitM: number | null): WoundState {
  const reel = now.reel(load.reelId);
  const diametersM: number[] = [];
  const turns: number[] = [];
  let innerM = reel.arborDiameterM;
  for (const segment of load.segments) {
    const areaM2 = now.areaM2(segment.lineId);
    let outerM: number;
    if (segment.lengthM !== null) {
      outerM = Math.sqrt(innerM ** 2 + (4 * areaM2 * segment.lengthM) / (Math.PI * reel.widthM));
    } else {
      const byCounter =
        segment.counts !== null && unitM !== null && reel.lengthPerTurnM !== null
          ? (segment.counts * unitM) / reel.lengthPerTurnM
          : null;
      const gone = segment.turns ?? byCounter;
      if (gone === null) break;
      outerM = innerM + (2 * areaM2 * gone) / reel.widthM;
    }
    diametersM.push(outerM);
    turns.push(((outerM - innerM) * reel.widthM) / (2 * areaM2));
    innerM = outerM;
  }
  return { diametersM, turns };
}

function loadSeen(load: LoadToFit, reels: readonly ReelToFit[], centre: Reader): Seen {
  const reel = reels.find((candidate) => candidate.id === load.reelId);
  if (!reel) throw new RangeError(`gearFit: ${load.name} is on a reel that is not given`);
  const unitM = reel.counter?.unitM ?? null;
  const wound = windLoad(load, centre, unitM);
  const levels = load.levels.filter((level) => wound.diametersM[level.afterSegment] !== undefined);
  const counted = load.segments.flatMap((segment, index) => {
    const known = segment.lengthM !== null && wound.turns[index] !== undefined;
    const value = segment.turns ?? (unitM === null ? null : segment.counts);
    return known && value !== null ? [{ segment, index, value }] : [];
  });
  const levelSdM = (afterSegment: number): number => {
    const diameterM = wound.diametersM[afterSegment] ?? NaN;
    const repeatSd = load.evenTension ? PACKING_REPEAT_RELATIVE_SD : UNEVEN_TENSION_RELATIVE_SD;
    const { arborDiameterM } = centre.reel(reel.id);
    return Math.hypot(load.levelSdM, (repeatSd * (diameterM ** 2 - arborDiameterM ** 2)) / (4 * diameterM));
  };
  return {
    reelId: reel.id,
    keys: [...REEL_KEYS.map((key) => `${reel.id} ${key}`), ...load.segments.map((segment) => `line ${segment.lineId}`)],
    evidence: [
      ...levels.map(({ afterSegment, levelBelowRimM }) => ({
        kind: 'level' as const,
        observation: {
          name: `${load.name}: level after ${load.segments[afterSegment]?.name ?? ''}`,
          value: levelBelowRimM,
          sd: levelSdM(afterSegment),
        },
      })),
      ...counted.map(({ segment, value }) => ({
        kind: 'turns' as const,
        observation: {
          name: `${load.name}: ${segment.turns === null ? 'counts' : 'turns'} of ${segment.name}`,
          value,
          sd: Math.hypot(STOP_SD_COUNTS, TURNS_RELATIVE_SD * value),
        },
      })),
    ],
    predict: (now) => {
      const { fullDiameterM, lengthPerTurnM } = now.reel(reel.id);
      const again = windLoad(load, now, unitM);
      return [
        ...levels.map(({ afterSegment }) => (fullDiameterM - (again.diametersM[afterSegment] ?? NaN)) / 2),
        ...counted.map(({ segment, index }) => {
          const turns = again.turns[index] ?? NaN;
          return segment.turns === null ? (turns * (lengthPerTurnM ?? NaN)) / (unitM ?? NaN) : turns;
        }),
      ];
    },
  };
}
