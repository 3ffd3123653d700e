import { failure, success, type Outcome } from '../result';
import { spoolVolumeM3, woundAreaM2, type SpoolGeometry } from '../spool/spoolGeometry';
import type { SegmentToLoad } from '../spool/loadedLine';

/**
 * Packs a wound load so that it ends at the level that was measured: one common factor on the
 * packing of every wound segment, since one level cannot tell the segments apart.
 *
 * @param spool bare spool
 * @param segments as wound, with believed packing
 * @param measuredDiameterM wound diameter read at the end (m)
 * @returns segments with fitted packing, and the factor; 'implausible-level' when it would need a
 *   packing more than a third away from what was believed
 */
export function fittedPacking(
  spool: SpoolGeometry,
  segments: readonly SegmentToLoad[],
  measuredDiameterM: number,
): Outcome<{ readonly segments: readonly SegmentToLoad[]; readonly factor: number }, 'implausible-level'> {
  const believedM3 = segments
    .filter((segment) => segment.wound)
    .reduce((sum, segment) => sum + woundAreaM2(segment.lineDiameterM, segment.packing) * segment.lengthM, 0);
  const measuredM3 = spoolVolumeM3(spool, measuredDiameterM);
  const factor = believedM3 / measuredM3;
  if (!(factor > 2 / 3 && factor < 1.5)) {
    return failure(
      'implausible-level',
      'That level would need the line to pack more than a third tighter or looser than lines do. ' +
        'Was it measured from the rim, and was everything on?',
      { factor },
    );
  }
  return success({
    factor,
    segments: segments.map((segment) => (segment.wound ? { ...segment, packing: segment.packing * factor } : segment)),
  });
}
