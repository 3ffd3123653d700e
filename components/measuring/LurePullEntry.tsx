'use client';

import { KNOT_MS } from '@/core/units/units';
import { FormQuantity } from '@/components/fields/FormParts';
import { neededQuantity } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { LIMITS } from '@/usecases/limits';

/** What the lure of a rig pulls at the speed that it is towed at, by a scale. */
export function LurePullEntry({ onDone }: { onDone: () => void }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const { towed } = record;
  const form = useDraftForm(`lure-pull:${record.id}`, { lurePullN: neededQuantity('force', LIMITS.forceN) });
  if (!towed) return <p>Say first how it is towed, at the Depth station.</p>;
  const store = (): Promise<void> =>
    form.submit(async ({ lurePullN }) => {
      const params = { boatId: record.boat.id, rigId: record.id };
      const { lure, speedMS } = towed;
      const result = await sendNow('noteLurePull', params, { lure, speedMS, lurePullN }, 'Kept. The depth follows.');
      if (result.ok) onDone();
      return result;
    });
  return (
    <div className="flex flex-col gap-3">
      <p className="text-sm">
        {towed.lure}, at {(towed.speedMS / KNOT_MS).toFixed(1)} kn {towed.speedBy}.
      </p>
      <FormQuantity form={form} name="lurePullN" label="The scale shows" />
      <Button weight="main" disabled={state.kind === 'sending'} onClick={() => void store()}>
        Keep this pull
      </Button>
    </div>
  );
}
