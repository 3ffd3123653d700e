import { joinStanding } from '../../joins/joinState';
import { because } from '../../reasons';
import type { JoinRecord, RigRecord } from '../../record/record';
import type { StationState } from '../../record/stationState';
import { productStrength } from '../strength/strengthOfRig';
import { productIdNow } from '../line/woundSegments';

/** True where a join bears the leader. */
export function isAtLeader(record: RigRecord, join: JoinRecord): boolean {
  return record.segments.find((segment) => segment.id === join.outerSegmentId)?.role === 'leader';
}

/** How the joins of a rig stand on the day on which it was read. */
export function joinsState(record: RigRecord): StationState {
  if (record.joins.length === 0) return { state: 'due', why: because('no-line-planned') };
  const nowMs = Date.parse(record.readAt);
  const count = { 'not tied': 0, 'not pulled': 0, due: 0, good: 0 };
  for (const join of record.joins) count[joinStanding(join.lastTie, isAtLeader(record, join), nowMs).standing] += 1;
  if (count.due > 0)
    return { state: 'stale', why: because('joins-due-again', { due: count.due, joins: record.joins.length }) };
  if (count['not tied'] > 0)
    return { state: 'due', why: because('joins-not-tied', { missing: count['not tied'], joins: record.joins.length }) };
  if (count['not pulled'] > 0)
    return {
      state: 'due',
      why: because('joins-not-pulled', { missing: count['not pulled'], joins: record.joins.length }),
    };
  return { state: 'done', why: because('joins-done') };
}

/** What the weaker of the two lines of a join holds (N), as far as it is known; null while neither is. */
export function weakerLineN(record: RigRecord, join: JoinRecord): number | null {
  const strengths = [join.innerSegmentId, join.outerSegmentId].flatMap((id) => {
    const known = id === null ? null : productStrength(record, productIdNow(record, id)).strengthN;
    return known ? [known.value] : [];
  });
  return strengths.length === 0 ? null : Math.min(...strengths);
}
