import { fillOfRig } from '@/core/rig/line/fillOfRig';
import { planForRig } from '@/core/rig/line/planForRig';
import type { RigRecord } from '@/core/record/record';
import { soonGoneOf, targetOf } from './fillDraft';
import { plannedRecord } from './plannedRecord';
import type { StackDraft } from './stackDraft';

/** What a stack that is being edited comes to, as far as it can be read. */
export function planOfDraft(record: RigRecord, draft: StackDraft) {
  const planned = plannedRecord(record, draft);
  const target = targetOf(draft.fill, record.reel.fullDiameterM.value);
  const soonGoneM = soonGoneOf(draft.fill);
  const fill = planned && target && soonGoneM !== null ? fillOfRig(planned, target, soonGoneM) : null;
  const levelM = fill?.ok ? fill.value : null;
  const plan = planned && levelM !== null ? planForRig(planned, levelM) : null;
  return { planned, target, fill, levelM, plan };
}
