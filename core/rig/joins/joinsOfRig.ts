import { joinStanding } from '../../joins/joinState';
import type { JoinRecord, RigRecord } from '../record';
import type { StationState } from '../stationState';
import { productStrength } from '../strength/strengthOfRig';
import { productIdNow } from '../load/woundSegments';

/** True where a join bears the leader. */
export function isAtLeader(record: RigRecord, join: JoinRecord): boolean {
  return record.segments.find((segment) => segment.id === join.outerSegmentId)?.role === 'leader';
}

/** How the joins of a rig stand on the day on which it was read. */
export function joinsState(record: RigRecord): StationState {
  if (record.joins.length === 0) return { state: 'due', why: 'no line planned yet' };
  const nowMs = Date.parse(record.readAt);
  const count = { 'not tied': 0, 'not pulled': 0, due: 0, good: 0 };
  for (const join of record.joins) count[joinStanding(join.lastTie, isAtLeader(record, join), nowMs).standing] += 1;
  if (count.due > 0) return { state: 'stale', why: `${count.due} of ${record.joins.length} due for retying` };
  if (count['not tied'] > 0)
    return { state: 'due', why: `${count['not tied']} of ${record.joins.length} not noted as tied` };
  if (count['not pulled'] > 0)
    return { state: 'due', why: `${count['not pulled']} of ${record.joins.length} never pull-tested` };
  return { state: 'done', why: 'all tied and pulled' };
}

/** What the weaker of the two lines of a join holds (N), as far as it is known; null while neither is. */
export function weakerLineN(record: RigRecord, join: JoinRecord): number | null {
  const strengths = [join.innerSegmentId, join.outerSegmentId].flatMap((id) => {
    const known = id === null ? null : productStrength(record, productIdNow(record, id)).strengthN;
    return known ? [known.value] : [];
  });
  return strengths.length === 0 ? null : Math.min(...strengths);
}
