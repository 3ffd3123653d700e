import type { SegmentToSolve } from '../spool/solveSegment';
import { woundAreaM2 } from '../spool/spoolGeometry';

/** A segment that could give way so that a stack fits. */
export interface CanGive {
  readonly id: string;
  readonly name: string;
  readonly lengthM: number;
  /** How much less of it alone would do (m). */
  readonly lessM: number;
}

/**
 * Which segments of a stack that does not fit could give way, each alone, the smallest share of its length first.
 *
 * @param segments from the arbor; those without a length, and those let out by hand, give nothing
 * @param excessVolumeM3 space that they take beyond what there is
 * @returns empty where no single one of them can give enough
 */
export function whatCanGive(segments: readonly SegmentToSolve[], excessVolumeM3: number): readonly CanGive[] {
  return segments
    .flatMap(({ id, name, lengthM, lineDiameterM, packing, wound }): CanGive[] => {
      if (!wound || lengthM === null) return [];
      const lessM = Math.max(0, excessVolumeM3) / woundAreaM2(lineDiameterM, packing);
      return lessM < lengthM ? [{ id, name, lengthM, lessM }] : [];
    })
    .toSorted((a, b) => a.lessM / a.lengthM - b.lessM / b.lengthM);
}
