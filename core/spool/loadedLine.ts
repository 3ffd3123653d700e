import { requirePositive } from '../result';
import { woundAreaM2, woundDiameterM, type SpoolGeometry } from './spoolGeometry';
import { lengthPaidOutM, turnsBetween, turnsPayingOut } from './turns';

/** One segment as it goes on, in SI. */
export interface SegmentToLoad {
  readonly id: string;
  readonly name: string;
  readonly lengthM: number;
  readonly lineDiameterM: number;
  readonly packing: number;
  /** How much it is stretched as it lies on the spool, as a share of its relaxed length: it takes so much more turns. 0 if left out. */
  readonly strain?: number;
  /** False for what is let out by hand and never goes on the spool; only outermost segments can be. */
  readonly wound: boolean;
}

export interface LoadedSegment extends SegmentToLoad {
  readonly areaM2: number;
  /** Wound diameters under and over the segment (m); equal when it is not wound. */
  readonly innerDiameterM: number;
  readonly outerDiameterM: number;
  readonly turns: number;
}

/**
 * The central value: a line from arbor to hook with the wound geometry under it. Immutable. Every
 * lens (spool, counter, strength, drag) is a function of this and a few parameters over length out.
 */
export interface LoadedLine {
  readonly spool: SpoolGeometry;
  /** In order from the arbor. */
  readonly segments: readonly LoadedSegment[];
  readonly woundLengthM: number;
  readonly handLinedLengthM: number;
  readonly totalLengthM: number;
  /** Wound diameter with nothing paid out (m). */
  readonly fullDiameterM: number;
  readonly woundTurns: number;
}

/**
 * Winds segments onto a spool, from the arbor outwards.
 *
 * @param spool bare spool
 * @param segments in order from the arbor; hand-lined ones last
 * @throws RangeError for figures that are not positive, or a wound segment outside a hand-lined one
 */
export function buildLoadedLine(spool: SpoolGeometry, segments: readonly SegmentToLoad[]): LoadedLine {
  requirePositive('buildLoadedLine', { arborDiameterM: spool.arborDiameterM, widthM: spool.widthM });
  let diameterM = spool.arborDiameterM;
  let volumeM3 = 0;
  let handLinedLengthM = 0;
  const loaded = segments.map((segment): LoadedSegment => {
    requirePositive('buildLoadedLine', { lengthM: segment.lengthM });
    const areaM2 = woundAreaM2(segment.lineDiameterM, segment.packing);
    const innerDiameterM = diameterM;
    if (!segment.wound) {
      handLinedLengthM += segment.lengthM;
      return { ...segment, areaM2, innerDiameterM, outerDiameterM: innerDiameterM, turns: 0 };
    }
    if (handLinedLengthM > 0) {
      throw new RangeError('buildLoadedLine: a wound segment cannot lie outside a hand-lined one');
    }
    volumeM3 += areaM2 * segment.lengthM;
    diameterM = woundDiameterM(spool, volumeM3);
    const turns = stretchOf(segment) * turnsBetween(segment.lengthM, innerDiameterM, diameterM);
    return { ...segment, areaM2, innerDiameterM, outerDiameterM: diameterM, turns };
  });
  const totalLengthM = loaded.reduce((sum, segment) => sum + segment.lengthM, 0);
  return {
    spool,
    segments: loaded,
    woundLengthM: totalLengthM - handLinedLengthM,
    handLinedLengthM,
    totalLengthM,
    fullDiameterM: diameterM,
    woundTurns: loaded.reduce((sum, segment) => sum + segment.turns, 0),
  };
}

/** Length as it lies on the spool over relaxed length. */
export const stretchOf = ({ strain = 0 }: Pick<SegmentToLoad, 'strain'>): number => 1 + strain;

/** Wound segments from the outside in: the order in which they leave the spool. */
function leavingOrder(line: LoadedLine): readonly LoadedSegment[] {
  return line.segments.filter((segment) => segment.wound).toReversed();
}

/**
 * Slack allowed when a length asked for is compared with the length that there is: lengths are sums
 * of doubles, so the last micrometre is not meant.
 */
const LENGTH_SLACK_M = 1e-6;

export interface SpoolState {
  /** Spool turns since the spool was full. */
  readonly turns: number;
  /** Mean wound diameter (m). */
  readonly diameterM: number;
  /** The segment that is leaving the spool (at a join, the one that has just left). */
  readonly segment: LoadedSegment;
}

/**
 * What the spool is like with a length paid off it.
 *
 * @param line the loaded line
 * @param paidOutM length that has left the spool (m), without what is hand-lined
 * @throws RangeError when more is asked for than is wound
 */
export function spoolStateAt(line: LoadedLine, paidOutM: number): SpoolState {
  if (!(paidOutM >= 0) || paidOutM > line.woundLengthM + LENGTH_SLACK_M) {
    throw new RangeError(`spoolStateAt: ${paidOutM} m is not between 0 and the ${line.woundLengthM} m that are wound`);
  }
  let remainingM = paidOutM;
  let turns = 0;
  let last: LoadedSegment | undefined;
  for (const segment of leavingOrder(line)) {
    last = segment;
    if (remainingM <= segment.lengthM) {
      const gone = turnsPayingOut(remainingM, segment.outerDiameterM, segment.areaM2, line.spool.widthM);
      const diameterM = segment.outerDiameterM - (2 * segment.areaM2 * gone) / line.spool.widthM;
      return { turns: turns + stretchOf(segment) * gone, diameterM, segment };
    }
    turns += segment.turns;
    remainingM -= segment.lengthM;
  }
  if (!last) throw new RangeError('spoolStateAt: nothing is wound on this spool');
  return { turns, diameterM: line.spool.arborDiameterM, segment: last };
}

/**
 * Length that has left the spool after a number of turns: the inverse of {@link spoolStateAt}.
 *
 * @throws RangeError when there are more turns than are wound
 */
export function paidOutAfterTurnsM(line: LoadedLine, turns: number): number {
  if (!(turns >= 0)) throw new RangeError(`paidOutAfterTurnsM: turns must not be negative, not ${turns}`);
  let remaining = turns;
  let lengthM = 0;
  for (const segment of leavingOrder(line)) {
    if (remaining <= segment.turns) {
      const relaxed = remaining / stretchOf(segment);
      return lengthM + lengthPaidOutM(relaxed, segment.outerDiameterM, segment.areaM2, line.spool.widthM);
    }
    remaining -= segment.turns;
    lengthM += segment.lengthM;
  }
  if (remaining > 1e-6) throw new RangeError(`paidOutAfterTurnsM: only ${line.woundTurns} turns are wound`);
  return lengthM;
}
