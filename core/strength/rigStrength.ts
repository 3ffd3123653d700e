import { PLUS_MINUS_SDS } from '../numerics/propagate';
import type { Known } from '../provenance/source';

/** What a segment's plain line holds (N). */
export interface SegmentStrength {
  readonly segmentId: string;
  readonly name: string;
  readonly lengthM: number;
  readonly strengthN: Known;
  /** What 95 of 100 pieces hold (N); null while there are not enough pulls. */
  readonly boundN: number | null;
}

/** The join at the inner (arbor) end of a segment; the outermost segments are joined in between. */
export interface JoinStrength {
  readonly joinId: string;
  readonly name: string;
  readonly innerSegmentId: string | null;
  readonly outerSegmentId: string;
  /** What meets the two, or what is made of the end of one of them; the first where left out. */
  readonly part?: 'join' | 'inner' | 'outer';
  /** How much more than one strand each line holds where its end is doubled. */
  readonly strands?: readonly [inner: number, outer: number];
  readonly efficiency: Known;
  /** Share that 95 of 100 such joins keep; null while it was not broken often enough. */
  readonly boundShare: number | null;
}

export interface StrengthPlace {
  readonly kind: 'segment' | 'join';
  readonly id: string;
  readonly name: string;
  /** Length from the hook to this place: the near end of a segment (m). */
  readonly fromHookM: number;
  readonly toHookM: number;
  readonly strengthN: Known;
  /** What 95 of 100 such places hold (N); null while it cannot be said. */
  readonly boundN: number | null;
}

export interface RigStrength {
  /** From the hook to the arbor. */
  readonly places: readonly StrengthPlace[];
  /** Weakest place by mean, without the arbor join, which only bears when the spool is empty. */
  readonly weakest: StrengthPlace;
  /** Weakest place by the lower bound, of those that have one; null while none has. */
  readonly weakestByBound: StrengthPlace | null;
  readonly arborJoin: StrengthPlace | null;
}

/**
 * Strength along a whole rig: every segment, and every join as efficiency × the weaker of the two
 * lines that meet.
 *
 * @param segments in order from the arbor, at least one
 * @param joins in any order; the one without an inner segment is the arbor join
 * @throws RangeError when there is no segment, or a join names a segment that is not there
 */
export function rigStrength(segments: readonly SegmentStrength[], joins: readonly JoinStrength[]): RigStrength {
  const places: StrengthPlace[] = [];
  let arborJoin: StrengthPlace | null = null;
  let fromHookM = 0;
  const find = (id: string): SegmentStrength => {
    const segment = segments.find((candidate) => candidate.segmentId === id);
    if (!segment) throw new RangeError(`rigStrength: a join names the segment ${id}, which is not in the rig`);
    return segment;
  };
  for (const segment of segments.toReversed()) {
    const toHookM = fromHookM + segment.lengthM;
    const { segmentId: id, name, strengthN, boundN } = segment;
    places.push({ kind: 'segment', id, name, fromHookM, toHookM, strengthN, boundN });
    for (const join of joins.filter((candidate) => candidate.outerSegmentId === segment.segmentId)) {
      const inner = join.innerSegmentId === null ? segment : find(join.innerSegmentId);
      const weaker = weakerOf(inner.strengthN, segment.strengthN, join);
      const place: StrengthPlace = {
        kind: 'join',
        id: join.joinId,
        name: join.name,
        fromHookM: toHookM,
        toHookM,
        strengthN: times(weaker, join.efficiency),
        // Broken samples carry the scatter of their line with them.
        boundN: join.boundShare === null ? null : join.boundShare * weaker.value,
      };
      if (join.innerSegmentId === null) arborJoin = place;
      else places.push(place);
    }
    fromHookM = toHookM;
  }
  return { places, weakest: weakestOf(places), weakestByBound: weakestByBound(places), arborJoin };
}

/** The line that a structure is held against: its own one for an end, else the weaker of both, a doubled one with both strands. */
function weakerOf(inner: Known, outer: Known, { part = 'join', strands = [1, 1] }: JoinStrength): Known {
  if (part !== 'join') return part === 'inner' ? inner : outer;
  const [a, b] = [scaled(inner, strands[0]), scaled(outer, strands[1])];
  return a.value < b.value ? a : b;
}

const scaled = ({ value, sd, source }: Known, by: number): Known => ({ value: by * value, sd: by * sd, source });

/** Product of two independent figures; it is measured only if both are. */
function times(strengthN: Known, efficiency: Known): Known {
  const value = strengthN.value * efficiency.value;
  const relative = Math.hypot(strengthN.sd / strengthN.value, efficiency.sd / efficiency.value);
  const source = efficiency.source === 'measured' ? strengthN.source : efficiency.source;
  return { value, sd: value * relative, source };
}

/**
 * The strength of what may be out: places that begin within a length from the hook, and the weakest of those.
 *
 * @param outM length from the hook (m)
 */
export function withinReach(strength: RigStrength, outM: number): RigStrength {
  const places = strength.places.filter((place, index) => index === 0 || place.fromHookM <= outM);
  return { ...strength, places, weakest: weakestOf(places), weakestByBound: weakestByBound(places) };
}

function weakestOf(places: readonly StrengthPlace[]): StrengthPlace {
  const [first, ...rest] = places;
  if (!first) throw new RangeError('rigStrength: a rig needs at least one segment');
  return rest.reduce((weakest, place) => (place.strengthN.value < weakest.strengthN.value ? place : weakest), first);
}

function weakestByBound(places: readonly StrengthPlace[]): StrengthPlace | null {
  const bound = places.filter((place) => place.boundN !== null);
  return bound.toSorted((a, b) => (a.boundN ?? 0) - (b.boundN ?? 0))[0] ?? null;
}

/** Whether a rig would break on a snag where it is meant to. */
export interface SnagBreak {
  readonly meant: StrengthPlace;
  /** What would be saved: every place inside of the break. */
  readonly breaksAt: StrengthPlace;
  readonly asMeant: boolean;
}

/**
 * Where the rig breaks on a snag against where it is meant to, usually the leader, so that the rest is saved. A break at
 * the join of the meant segment saves as much as one in the segment.
 *
 * @param meantId id of the segment or join that is meant to break; null for the outermost segment
 * @returns null where there is no such place
 */
export function snagBreak(strength: RigStrength, meantId: string | null): SnagBreak | null {
  const { places, weakest } = strength;
  const meant = meantId === null ? places[0] : places.find((place) => place.id === meantId);
  if (!meant) return null;
  const asMeant = weakest.fromHookM >= meant.fromHookM - 1e-9 && weakest.toHookM <= meant.toHookM + 1e-9;
  return { meant, breaksAt: weakest, asMeant };
}

/** The rig's strength once its weakest place is as strong as whatever comes next; null where there is one place only. */
export function nextWeakest(strength: RigStrength): StrengthPlace | null {
  const others = strength.places.filter((place) => place !== strength.weakest);
  return others.toSorted((a, b) => a.strengthN.value - b.strengthN.value)[0] ?? null;
}

/**
 * The weakest place of what is off the spool, or on its way, with a length out.
 *
 * @param strength the rig's strength
 * @param lengthOutM length from the hook to the tip (m)
 */
export function weakestWithin(strength: RigStrength, lengthOutM: number): StrengthPlace {
  return withinReach(strength, lengthOutM).weakest;
}

/** ± of a strength: half of its 95 % interval (N). */
export function strengthPlusMinusN(strengthN: Known): number {
  return PLUS_MINUS_SDS * strengthN.sd;
}
