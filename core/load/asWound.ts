import { buildLoadedLine, stretchOf, type LoadedLine, type SegmentToLoad } from '../spool/loadedLine';
import { spoolVolumeM3, woundAreaM2, woundDiameterM, type SpoolGeometry } from '../spool/spoolGeometry';
import { lengthWoundOnM } from '../spool/turns';

/** A segment that has been wound: its planned figures, and the turns that the counter saw. */
export interface WoundSegment extends SegmentToLoad {
  /** Spool turns from the noted reading; null where none was noted or the counter's constant is unknown. */
  readonly notedTurns: number | null;
  /** True where the length was known before winding (a whole spool, colours, a taped length). */
  readonly lengthKnown: boolean;
}

/** A wound diameter that was measured when a segment's end had just gone on. */
export interface MeasuredLevel {
  readonly afterSegmentId: string;
  readonly diameterM: number;
}

export interface AsWound {
  readonly line: LoadedLine;
  /** Factor that the measured levels put on the believed packing, over all wound line; 1 without a level. */
  readonly packingFactor: number;
  /** Levels that no believable packing gives: they were left out, and nothing rests on them. */
  readonly heldOut: readonly MeasuredLevel[];
}

/** No line packs more than a third tighter or looser than lines do (from memory). */
const LEAST_FACTOR = 2 / 3;
const MOST_FACTOR = 1.5;

/** Passes after which lengths and packing agree to far below a millimetre. */
const PASSES = 20;

/**
 * The line that is really on the spool after winding: lengths stopped by the counter follow from the
 * turns that were noted, lengths known beforehand stay, and measured levels set the packing. Each level
 * speaks for the segments wound since the level before it, and puts one factor on their packing, since one
 * level cannot tell segments apart; what lies above the last level keeps its believed packing.
 *
 * Lengths from turns depend a little on packing and the other way round, so both are repeated until they
 * agree.
 *
 * @param spool bare spool
 * @param segments in order from the arbor
 * @param levels measured diameters, in the order of winding, one a segment at most
 * @returns the line; a level that no believable packing gives is held out and named
 * @throws RangeError when the levels do not follow the order of winding
 */
export function asWound(
  spool: SpoolGeometry,
  segments: readonly WoundSegment[],
  levels: readonly MeasuredLevel[],
): AsWound {
  const kept = [...levels];
  const heldOut: MeasuredLevel[] = [];
  let factors: readonly number[] = segments.map(() => 1);
  for (let pass = 0; pass < PASSES && kept.length > 0; pass += 1) {
    const next = refit(spool, segments, kept, factors);
    if ('impossible' in next) {
      heldOut.push(next.impossible);
      kept.splice(kept.indexOf(next.impossible), 1);
      factors = segments.map(() => 1);
      pass = -1;
      continue;
    }
    const change = Math.max(...next.factors.map((factor, index) => Math.abs(factor / (factors[index] ?? 1) - 1)));
    factors = next.factors;
    // A relative change of 1e-9 in packing is far below a millimetre of line.
    if (change < 1e-9) break;
  }
  const line = buildLoadedLine(spool, lengthsFromTurns(spool, segments, factors));
  const fittedM3 = volumeM3(line.segments);
  const believedM3 = line.segments.reduce(
    (sum, segment, index) => sum + volumeM3([segment]) * (factors[index] ?? 1),
    0,
  );
  return { line, packingFactor: fittedM3 > 0 ? believedM3 / fittedM3 : 1, heldOut };
}

/** One round: what the levels say of the packing, given the lengths that the present factors give. */
function refit(
  spool: SpoolGeometry,
  segments: readonly WoundSegment[],
  levels: readonly MeasuredLevel[],
  factors: readonly number[],
): { readonly factors: readonly number[] } | { readonly impossible: MeasuredLevel } {
  const laid = lengthsFromTurns(spool, segments, factors);
  const next = [...factors];
  let from = 0;
  let belowM3 = 0;
  for (const level of levels) {
    const to = segments.findIndex((segment) => segment.id === level.afterSegmentId);
    if (to < from) throw new RangeError('asWound: levels must follow the order of winding');
    // A level at or under the arbor leaves no room for line.
    if (!(level.diameterM > spool.arborDiameterM)) return { impossible: level };
    const measuredM3 = spoolVolumeM3(spool, level.diameterM) - belowM3;
    const ratio = volumeM3(laid.slice(from, to + 1)) / measuredM3;
    for (let index = from; index <= to; index += 1) {
      const factor = (factors[index] ?? 1) * ratio;
      if (!(factor > LEAST_FACTOR && factor < MOST_FACTOR)) return { impossible: level };
      next[index] = factor;
    }
    belowM3 += measuredM3;
    from = to + 1;
  }
  return { factors: next };
}

function volumeM3(segments: readonly SegmentToLoad[]): number {
  return segments.reduce(
    (sum, segment) => sum + (segment.wound ? woundAreaM2(segment.lineDiameterM, segment.packing) * segment.lengthM : 0),
    0,
  );
}

function lengthsFromTurns(
  spool: SpoolGeometry,
  segments: readonly WoundSegment[],
  factors: readonly number[],
): SegmentToLoad[] {
  let takenM3 = 0;
  return segments.map(({ notedTurns, lengthKnown, ...segment }, index) => {
    if (!segment.wound) return segment;
    const packing = segment.packing * (factors[index] ?? 1);
    const areaM2 = woundAreaM2(segment.lineDiameterM, packing);
    const lengthM =
      notedTurns === null || lengthKnown || notedTurns <= 0
        ? segment.lengthM
        : lengthWoundOnM(notedTurns / stretchOf(segment), woundDiameterM(spool, takenM3), areaM2, spool.widthM);
    takenM3 += areaM2 * lengthM;
    return { ...segment, packing, lengthM };
  });
}
