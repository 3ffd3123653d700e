import { failure, success, type Outcome } from '../result';
import type { LoadedLine, SegmentToLoad } from './loadedLine';
import { buildLoadedLine } from './loadedLine';
import { spoolVolumeM3, woundAreaM2, type SpoolGeometry } from './spoolGeometry';

/** A segment whose length may be the one that is solved for. */
export type SegmentToSolve = Omit<SegmentToLoad, 'lengthM'> & { readonly lengthM: number | null };

export interface SolvedLine {
  readonly solvedSegmentId: string;
  readonly solvedLengthM: number;
  readonly line: LoadedLine;
}

/**
 * Solves the one unknown length so that the spool ends at a wound diameter. Volume is a·L, so the
 * problem is linear: L = (V(target) − Σ aᵢLᵢ)/a.
 *
 * @param spool bare spool
 * @param segments in order from the arbor; exactly one wound segment has a null length
 * @param targetDiameterM wound diameter to reach (m)
 * @returns the solved line; or 'does-not-fit' with figures `takenVolumeM3`, `excessLastLengthM`
 *   (how much of the outermost known wound segment would have to go) and `availableVolumeM3`
 * @throws RangeError when not exactly one wound segment is unknown
 */
export function solveSegment(
  spool: SpoolGeometry,
  segments: readonly SegmentToSolve[],
  targetDiameterM: number,
): Outcome<SolvedLine, 'does-not-fit'> {
  const unknown = segments.filter((segment) => segment.lengthM === null);
  const solved = unknown[0];
  if (unknown.length !== 1 || !solved?.wound) {
    throw new RangeError(`solveSegment: exactly one wound segment must have no length, not ${unknown.length}`);
  }
  // A level below the middle of the spool leaves no room at all.
  const availableVolumeM3 = targetDiameterM > 0 ? spoolVolumeM3(spool, targetDiameterM) : 0;
  const known = segments.filter((segment) => segment.wound && segment.lengthM !== null);
  const takenVolumeM3 = known.reduce(
    (sum, segment) => sum + woundAreaM2(segment.lineDiameterM, segment.packing) * (segment.lengthM ?? 0),
    0,
  );
  const excessVolumeM3 = takenVolumeM3 - availableVolumeM3;
  if (excessVolumeM3 >= 0) {
    const last = known.at(-1);
    const excessLastLengthM = last ? excessVolumeM3 / woundAreaM2(last.lineDiameterM, last.packing) : 0;
    return failure('does-not-fit', {
      availableVolumeM3,
      takenVolumeM3,
      excessLastLengthM,
      lastLengthM: last?.lengthM ?? 0,
      solved: solved.name,
      last: last?.name ?? '',
    });
  }
  const solvedLengthM = -excessVolumeM3 / woundAreaM2(solved.lineDiameterM, solved.packing);
  const line = buildLoadedLine(
    spool,
    segments.map((segment) => ({ ...segment, lengthM: segment.lengthM ?? solvedLengthM })),
  );
  return success({ solvedSegmentId: solved.id, solvedLengthM, line });
}
