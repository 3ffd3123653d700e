'use client';

import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';

/** 12 to 15 in below the tip (common practice). */
const USUAL_HANG_M = 0.34;

/** Asked once: what hangs from the tip when the counter is zeroed, since it counts as line out. */
export function Hang() {
  const { record } = useRig();
  const { sendNow, state, fieldError } = useSend();
  const hang = useQuantity(`hang:${record.id}`, 'length', record.hangM ?? USUAL_HANG_M, { min: 0, max: 20 });
  const store = async (): Promise<void> => {
    const result = await sendNow(
      'noteHang',
      { boatId: record.boat.id, rigId: record.id },
      { hangM: hang.value },
      'Noted. Every table follows.',
    );
    if (result.ok) hang.forget();
  };
  return (
    <div className="border-l-4 border-rule pl-3">
      <p className="text-sm">
        <b>What hangs from the tip at zero?</b> It is line out that the counter never sees.{' '}
        {record.hangM === null && 'Until you say, none is counted.'}
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <div className="w-36">
          <QuantityField label="Below the tip" {...hang.field} error={fieldError('hangM')} />
        </div>
        <Button disabled={state.kind === 'sending' || hang.value === null} onClick={() => void store()}>
          {record.hangM === null ? 'Count it' : 'Change it'}
        </Button>
      </div>
    </div>
  );
}
