import { TWO_STRANDS } from '../../joins/usual';
import type { JoinRecord } from '../../record/joins';

const isAtSamePlace = (a: JoinRecord, b: JoinRecord): boolean =>
  a.outerSegmentId === b.outerSegmentId && a.innerSegmentId === b.innerSegmentId;

/**
 * The structures that are on a line: what meets at each place as it was noted, with the ends that belong to it. Where the meeting is
 * the planned one its ends are the planned ones, noted or not: without them it could not be there. Where another is planned and not
 * tied yet, the ends that were noted with the old one stay.
 *
 * @param noted of each place what was noted last, meetings and ends
 * @param planned as the stack has them
 */
export function structuresOn(noted: readonly JoinRecord[], planned: readonly JoinRecord[]): readonly JoinRecord[] {
  const isPlanned = (join: JoinRecord): boolean => planned.some(({ id }) => id === join.id);
  return noted
    .filter((join) => join.part === 'join')
    .flatMap((meeting) => {
      const ends = (isPlanned(meeting) ? planned : noted).filter(
        (each) => each.part !== 'join' && isAtSamePlace(each, meeting),
      );
      return [...ends, meeting];
    });
}

/** The segments in which a structure is: one for an end, both for what meets them; of the arbor's join the one above it. */
export function segmentsOfJoin(
  join: Pick<JoinRecord, 'part' | 'innerSegmentId' | 'outerSegmentId'>,
): readonly string[] {
  const { part, innerSegmentId, outerSegmentId } = join;
  if (part === 'outer' || innerSegmentId === null) return [outerSegmentId];
  return part === 'inner' ? [innerSegmentId] : [innerSegmentId, outerSegmentId];
}

/**
 * How much more each line of a meeting holds because its end is doubled, inner and outer; 1 where it is not. What was pulled counts as
 * it was pulled.
 */
export function strandsAt(
  joins: readonly JoinRecord[],
  meeting: JoinRecord,
  isMeasured: boolean,
): readonly [inner: number, outer: number] {
  const of = (part: JoinRecord['part']): number =>
    !isMeasured &&
    meeting.part === 'join' &&
    joins.some((each) => each.part === part && each.kind === 'long-loop-twist' && isAtSamePlace(each, meeting))
      ? TWO_STRANDS
      : 1;
  return [of('inner'), of('outer')];
}
