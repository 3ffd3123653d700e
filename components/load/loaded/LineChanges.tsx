'use client';

import { useState } from 'react';
import type { LineChangeRecord, LoadRecord } from '@/core/rig/record';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';

const REASONS: readonly { value: LineChangeRecord['reason']; text: string }[] = [
  { value: 'lost', text: 'lost: snag, wear, cut off' },
  { value: 'stripped', text: 'stripped to correct the counter' },
  { value: 'added', text: 'added' },
];

/** Line that was lost, stripped or added since the load was finished. */
export function LineChanges({ load }: { load: LoadRecord }) {
  const { record, view } = useRig();
  const { format } = useUnits();
  const { sendNow, state, fieldError } = useSend();
  const segments = view?.current.line.segments.toReversed() ?? [];
  const [segmentId, setSegmentId] = useState(segments[0]?.id ?? '');
  const [reason, setReason] = useState<LineChangeRecord['reason']>('lost');
  const length = useQuantity(`change:${load.id}`, 'length', null, LIMITS.segmentLengthM);
  const chosen = segments.some((segment) => segment.id === segmentId) ? segmentId : (segments[0]?.id ?? '');
  const noteChange = async (): Promise<void> => {
    const result = await sendNow(
      'changeLength',
      { boatId: record.boat.id, rigId: record.id, loadId: load.id },
      { segmentId: chosen, changeM: length.value, reason, note: '' },
      'Noted. Fill, counter and drag follow; what rests on the old length is marked stale.',
    );
    if (result.ok) length.forget();
  };
  return (
    <Card title="Line lost or changed since">
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
        <ChoiceField
          label="Segment"
          value={chosen}
          options={segments.map((segment) => ({ value: segment.id, text: segment.name }))}
          onChange={setSegmentId}
        />
        <ChoiceField label="What happened" value={reason} options={REASONS} onChange={setReason} />
        <QuantityField label="Length" {...length.field} error={fieldError('changeM')} />
        <Button disabled={state.kind === 'sending' || length.value === null} onClick={() => void noteChange()}>
          Note it
        </Button>
      </div>
    </Card>
  );
}
