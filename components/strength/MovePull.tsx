'use client';

import { useState } from 'react';
import { productOf } from '@/core/rig/line/planForRig';
import type { StrengthTestRecord } from '@/core/record/record';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';

/** The wrong spool was in the grips: a pull goes to the test that it belongs to, and the change stays on record. */
export function MovePull({ test }: { test: StrengthTestRecord }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state, fieldError } = useSend();
  const others = record.strengthTests.filter((each) => each.id !== test.id);
  const [pullId, setPullId] = useState(test.pulls.at(-1)?.id ?? '');
  const [testId, setTestId] = useState(others.at(-1)?.id ?? '');
  const [reason, setReason] = useState('');
  if (test.pulls.length === 0 || others.length === 0) return null;
  const move = async (): Promise<void> => {
    const result = await sendNow(
      'movePull',
      { boatId: record.boat.id, testId },
      { pullId, reason },
      'Moved. Both rows stay on record.',
    );
    if (result.ok) setReason('');
  };
  return (
    <details className="border-l-4 border-rule pl-3">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
        The wrong spool was in the grips? Move a pull
      </summary>
      <div className="flex flex-col gap-2 pb-2">
        <ChoiceField
          label="The pull"
          value={pullId}
          options={test.pulls.map((pull, index) => ({
            value: pull.id,
            text: `pull ${index + 1}, ${format.force(pull.peakN)}`,
          }))}
          onChange={setPullId}
        />
        <ChoiceField
          label="Belongs to"
          value={testId}
          options={others.map((each) => ({
            value: each.id,
            text: `${productOf(record, each.productId).name}, ${each.condition}, ${each.at.slice(0, 10)}`,
          }))}
          onChange={setTestId}
        />
        <TextField label="Why" value={reason} onChange={setReason} error={fieldError('reason')} />
        <Button disabled={state.kind === 'sending' || reason.trim() === ''} onClick={() => void move()}>
          Move this pull
        </Button>
      </div>
    </details>
  );
}
