import { colouredLengthsM } from '../../load/colours';
import { failure, success, type Outcome } from '../../result';
import type { LoadedLine } from '../../spool/loadedLine';
import type { RigRecord } from '../../record/record';

/**
 * Where a change of colour lies: the length off the spool when so many colours of a segment are out (m).
 *
 * @param coloursOut counted from the segment's outer end
 */
export function colourPlace(
  record: RigRecord,
  line: LoadedLine,
  segmentId: string,
  coloursOut: number,
): Outcome<number, 'no-colours' | 'not-so-many-colours'> {
  const wound = record.load?.segments.find((segment) => segment.segmentId === segmentId);
  const colours = wound?.colours.length ?? 0;
  const at = line.segments.findIndex((segment) => segment.id === segmentId);
  const segment = line.segments[at];
  if (!segment?.wound || colours === 0) return failure('no-colours');
  if (coloursOut > colours) return failure('not-so-many-colours', { colours });
  const outsideM = line.segments
    .slice(at + 1)
    .filter((each) => each.wound)
    .reduce((sum, each) => sum + each.lengthM, 0);
  const lengths = colouredLengthsM(wound?.colours ?? [], segment.lengthM, wound?.colourLengthM ?? null);
  // The outermost colours may be gone with line that was lost.
  const leaving = lengths[lengths.length - coloursOut];
  if (!leaving) return failure('not-so-many-colours', { colours: lengths.length });
  return success(outsideM + segment.lengthM - leaving.fromM);
}
