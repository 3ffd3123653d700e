'use client';

import { USUAL_RANGE } from '@/core/rig/line/workingRange';
import { FormQuantity } from '@/components/fields/FormParts';
import { neededQuantity } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';

const LIMITS = { min: 1, max: 2000 };

/** The lengths of line out that this rod is fished with: every sentence about error, and what is worth measuring, speaks of them. */
export function WorkingRange() {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const { workingRange } = record;
  const { fromM, toM } = workingRange ?? USUAL_RANGE;
  const form = useDraftForm(
    `working-range:${record.id}`,
    { fromM: neededQuantity('length', LIMITS, fromM), toM: neededQuantity('length', LIMITS, toM) },
    `${fromM} ${toM}`,
    'follow',
  );
  const send = (range: { fromM: number; toM: number } | null) =>
    sendNow(
      'noteWorkingRange',
      { boatId: record.boat.id, rigId: record.id },
      { range },
      'Noted. What is said of errors follows.',
    );
  return (
    <div className="border-l-4 border-rule pl-3">
      <p className="text-sm">
        <b>How far out is this rod fished?</b> What is said of the counter&apos;s error speaks of these lengths.{' '}
        {!workingRange && 'Until you say, the usual ones.'}
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <div className="w-32">
          <FormQuantity form={form} name="fromM" label="From" />
        </div>
        <div className="w-32">
          <FormQuantity form={form} name="toM" label="To" />
        </div>
        <Button disabled={state.kind === 'sending'} onClick={() => void form.submit((range) => send(range))}>
          {workingRange ? 'Change it' : 'Keep it'}
        </Button>
        {workingRange && (
          <Button weight="quiet" disabled={state.kind === 'sending'} onClick={() => void send(null)}>
            The usual ones
          </Button>
        )}
      </div>
    </div>
  );
}
