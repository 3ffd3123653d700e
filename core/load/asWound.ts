import { buildLoadedLine, type LoadedLine, type SegmentToLoad } from '../spool/loadedLine';
import { woundAreaM2, woundDiameterM, type SpoolGeometry } from '../spool/spoolGeometry';
import { lengthWoundOnM } from '../spool/turns';
import { failure, success, type Outcome } from '../result';
import { fittedPacking } from './fittedPacking';

/** A segment that has been wound: its planned figures, and the turns that the counter saw. */
export interface WoundSegment extends SegmentToLoad {
  /** Spool turns from the noted reading; null where none was noted or the counter's constant is unknown. */
  readonly notedTurns: number | null;
  /** True where the length was known before winding (a whole spool, colours, a taped length). */
  readonly lengthKnown: boolean;
}

export interface AsWound {
  readonly line: LoadedLine;
  /** Factor that the measured level puts on the believed packing; 1 without a level. */
  readonly packingFactor: number;
}

/** Passes after which lengths and packing agree to far below a millimetre. */
const PASSES = 20;

/**
 * The line that is really on the spool after winding: lengths stopped by the counter follow from the
 * turns that were noted, lengths known beforehand stay, and the measured level sets the packing.
 * Lengths from turns depend a little on packing and the other way round, so both are repeated until
 * they agree.
 *
 * @param spool bare spool
 * @param segments in order from the arbor
 * @param measuredDiameterM wound diameter at the end (m), or null when it was not measured
 * @returns the line; or 'implausible-level' when no believable packing gives that level
 */
export function asWound(
  spool: SpoolGeometry,
  segments: readonly WoundSegment[],
  measuredDiameterM: number | null,
): Outcome<AsWound, 'implausible-level'> {
  let factor = 1;
  for (let pass = 0; pass < PASSES; pass += 1) {
    const withLengths = lengthsFromTurns(spool, segments, factor);
    if (measuredDiameterM === null) return success({ line: buildLoadedLine(spool, withLengths), packingFactor: 1 });
    const fitted = fittedPacking(spool, withLengths, measuredDiameterM);
    if (!fitted.ok) return fitted;
    const nextFactor = factor * fitted.value.factor;
    if (!(nextFactor > 0.5 && nextFactor < 2)) return failure('implausible-level', 'No packing gives that level.');
    const change = Math.abs(nextFactor / factor - 1);
    factor = nextFactor;
    // A relative change of 1e-9 in packing is far below a millimetre of line.
    if (change < 1e-9) break;
  }
  return success({ line: buildLoadedLine(spool, lengthsFromTurns(spool, segments, factor)), packingFactor: factor });
}

function lengthsFromTurns(spool: SpoolGeometry, segments: readonly WoundSegment[], factor: number): SegmentToLoad[] {
  let volumeM3 = 0;
  return segments.map(({ notedTurns, lengthKnown, ...segment }) => {
    if (!segment.wound) return segment;
    const packing = segment.packing * factor;
    const areaM2 = woundAreaM2(segment.lineDiameterM, packing);
    const innerDiameterM = woundDiameterM(spool, volumeM3);
    const lengthM =
      notedTurns === null || lengthKnown || notedTurns <= 0
        ? segment.lengthM
        : lengthWoundOnM(notedTurns, innerDiameterM, areaM2, spool.widthM);
    volumeM3 += areaM2 * lengthM;
    return { ...segment, packing, lengthM };
  });
}
