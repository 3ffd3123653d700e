import { PLUS_MINUS_SDS } from '../numerics/propagate';
import type { Known } from '../provenance/source';

/** What a segment's plain line holds (N). */
export interface SegmentStrength {
  readonly segmentId: string;
  readonly name: string;
  readonly lengthM: number;
  readonly strengthN: Known;
}

/** The join at the inner (arbor) end of a segment; the outermost segments are joined in between. */
export interface JoinStrength {
  readonly joinId: string;
  readonly name: string;
  readonly innerSegmentId: string | null;
  readonly outerSegmentId: string;
  readonly efficiency: Known;
}

export interface StrengthPlace {
  readonly kind: 'segment' | 'join';
  readonly id: string;
  readonly name: string;
  /** Length from the hook to this place: the near end of a segment (m). */
  readonly fromHookM: number;
  readonly toHookM: number;
  readonly strengthN: Known;
}

export interface RigStrength {
  /** From the hook to the arbor. */
  readonly places: readonly StrengthPlace[];
  /** Weakest place by mean, without the arbor join, which only bears when the spool is empty. */
  readonly weakest: StrengthPlace;
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
    const { segmentId: id, name, strengthN } = segment;
    places.push({ kind: 'segment', id, name, fromHookM, toHookM, strengthN });
    for (const join of joins.filter((candidate) => candidate.outerSegmentId === segment.segmentId)) {
      const inner = join.innerSegmentId === null ? segment : find(join.innerSegmentId);
      const weaker = inner.strengthN.value < segment.strengthN.value ? inner.strengthN : segment.strengthN;
      const place: StrengthPlace = {
        kind: 'join',
        id: join.joinId,
        name: join.name,
        fromHookM: toHookM,
        toHookM,
        strengthN: times(weaker, join.efficiency),
      };
      if (join.innerSegmentId === null) arborJoin = place;
      else places.push(place);
    }
    fromHookM = toHookM;
  }
  return { places, weakest: weakestOf(places), arborJoin };
}

/** Product of two independent figures; it is measured only if both are. */
function times(strengthN: Known, efficiency: Known): Known {
  const value = strengthN.value * efficiency.value;
  const relative = Math.hypot(strengthN.sd / strengthN.value, efficiency.sd / efficiency.value);
  const source = efficiency.source === 'measured' ? strengthN.source : efficiency.source;
  return { value, sd: value * relative, source };
}

function weakestOf(places: readonly StrengthPlace[]): StrengthPlace {
  const [first, ...rest] = places;
  if (!first) throw new RangeError('rigStrength: a rig needs at least one segment');
  return rest.reduce((weakest, place) => (place.strengthN.value < weakest.strengthN.value ? place : weakest), first);
}

/**
 * The weakest place of what is off the spool, or on its way, with a length out.
 *
 * @param strength the rig's strength
 * @param lengthOutM length from the hook to the tip (m)
 */
export function weakestWithin(strength: RigStrength, lengthOutM: number): StrengthPlace {
  return weakestOf(strength.places.filter((place, index) => index === 0 || place.fromHookM <= lengthOutM));
}

/** ± of a strength: half of its 95 % interval (N). */
export function strengthPlusMinusN(strengthN: Known): number {
  return PLUS_MINUS_SDS * strengthN.sd;
}
