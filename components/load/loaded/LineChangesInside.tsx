'use client';

import type { LineChangeRecord, LoadRecord } from '@/core/record/record';
import { FormChoice, FormQuantity } from '@/components/fields/FormParts';
import { choice, neededQuantity, pick } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';

const REASONS: readonly { value: Exclude<LineChangeRecord['reason'], 'kept'>; text: string }[] = [
  { value: 'lost', text: 'lost: snag, wear, cut off' },
  { value: 'stripped', text: 'stripped to correct the counter' },
  { value: 'added', text: 'added' },
];

/** Line that was lost, stripped or added since the load was finished. */
export function LineChangesInside({ load }: { load: LoadRecord }) {
  const { record, view } = useRig();
  const { format } = useUnits();
  const { sendNow, state } = useSend();
  const segments = view?.current.line.segments.toReversed() ?? [];
  const form = useDraftForm(`change:${load.id}`, {
    segmentId: pick(segments.map((segment) => segment.id)),
    reason: choice(['lost', 'stripped', 'added'], 'lost'),
    changeM: neededQuantity('length', LIMITS.segmentLengthM),
  });
  const noteChange = (): Promise<void> =>
    form.submit((change) =>
      sendNow(
        'changeLength',
        { boatId: record.boat.id, rigId: record.id, loadId: load.id },
        { ...change, note: '' },
        'Noted. Fill, counter and drag follow; what rests on the old length is marked stale.',
      ),
    );
  return (
    <>
      {load.changes.length > 0 && (
        <ul className="mb-3 list-disc pl-5 text-sm">
          {load.changes.map((change) => (
            <li key={change.id}>
              {load.segments.find((segment) => segment.segmentId === change.segmentId)?.name}:{' '}
              {format.length(Math.abs(change.changeM))} {change.reason}
              {change.note && ` (${change.note})`}
            </li>
          ))}
        </ul>
      )}
      <div className="grid gap-2 sm:grid-cols-[1fr_1fr_1fr_auto] sm:items-end">
        <FormChoice
          form={form}
          name="segmentId"
          label="Segment"
          options={segments.map((segment) => ({ value: segment.id, text: segment.name }))}
        />
        <FormChoice form={form} name="reason" label="What happened" options={REASONS} />
        <FormQuantity form={form} name="changeM" label="Length" />
        <Button disabled={state.kind === 'sending'} onClick={() => void noteChange()}>
          Note it
        </Button>
      </div>
    </>
  );
}
