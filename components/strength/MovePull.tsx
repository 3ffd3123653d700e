'use client';

import { productOf } from '@/core/rig/line/planForRig';
import type { StrengthTestRecord } from '@/core/record/record';
import { FormChoice, FormText } from '@/components/fields/FormParts';
import { neededWords, pick } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';

/** The wrong spool was in the grips: a pull goes to the test that it belongs to, and the change stays on record. */
export function MovePull({ test }: { test: StrengthTestRecord }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state } = useSend();
  const others = record.strengthTests.filter((each) => each.id !== test.id);
  const pulls = test.pulls.map((pull, index) => ({ ...pull, number: index + 1 })).toReversed();
  const form = useDraftForm(`move:${test.id}`, {
    pullId: pick(pulls.map((pull) => pull.id)),
    testId: pick(others.map((each) => each.id).toReversed()),
    reason: neededWords(),
  });
  if (test.pulls.length === 0 || others.length === 0) return null;
  const move = (): Promise<void> =>
    form.submit(({ testId, ...which }) =>
      sendNow('movePull', { boatId: record.boat.id, testId }, which, 'Moved. Both rows stay on record.'),
    );
  return (
    <details className="border-l-4 border-rule pl-3">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
        The wrong spool was in the grips? Move a pull
      </summary>
      <div className="flex flex-col gap-2 pb-2">
        <FormChoice
          form={form}
          name="pullId"
          label="The pull"
          options={pulls.map((pull) => ({
            value: pull.id,
            text: `pull ${pull.number}, ${format.force(pull.peakN)}`,
          }))}
        />
        <FormChoice
          form={form}
          name="testId"
          label="Belongs to"
          options={others.toReversed().map((each) => ({
            value: each.id,
            text: `${productOf(record, each.productId).name}, ${each.condition}, ${each.at.slice(0, 10)}`,
          }))}
        />
        <FormText form={form} name="reason" label="Why" />
        <Button disabled={state.kind === 'sending'} onClick={() => void move()}>
          Move this pull
        </Button>
      </div>
    </details>
  );
}
