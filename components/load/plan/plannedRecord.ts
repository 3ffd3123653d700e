import type { RigRecord } from '@/core/record/record';
import { plannedFillOf } from './fillDraft';
import { draftJoins, draftSegments, type StackDraft } from './stackDraft';

/** The rig as it would be with a draft stored, or null while the draft has no readable line. */
export function plannedRecord(record: RigRecord, draft: StackDraft): RigRecord | null {
  const segments = draftSegments(draft);
  if (!segments || segments.length === 0) return null;
  const joins = draftJoins(draft).map((join) => ({
    ...join,
    id: `draft-${join.outerSegmentId}${join.part === 'join' ? '' : ` ${join.part}`}`,
    breaks: [],
    lastTie: null,
    lastSlip: null,
    pullTested: record.planJoins.some(
      (old) =>
        old.outerSegmentId === join.outerSegmentId &&
        old.part === join.part &&
        old.kind === join.kind &&
        old.pullTested,
    ),
  }));
  const fill = plannedFillOf(draft.fill, record.reel.fullDiameterM.value);
  return {
    ...record,
    ...{ segments, joins, planJoins: joins, load: null, making: null },
    fill: fill.ok ? fill.value : record.fill,
  };
}
