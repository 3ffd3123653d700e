'use client';

import { FormQuantity } from '@/components/fields/FormParts';
import { neededQuantity } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { LIMITS } from '@/usecases/limits';

const WHAT = {
  arbor: { label: 'Diameter of the arbor', limits: LIMITS.arborDiameterM },
  width: { label: 'Between the flanges', limits: LIMITS.widthM },
  rim: { label: 'Diameter at the rim', limits: LIMITS.fullDiameterM },
} as const;

/** One dimension of the rig's spool by a caliper. */
export function DimensionEntry({ what, onDone }: { what: keyof typeof WHAT; onDone: () => void }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const { label, limits } = WHAT[what];
  const form = useDraftForm(`dimension:${record.reel.id}:${what}`, { valueM: neededQuantity('smallLength', limits) });
  const store = (): Promise<void> =>
    form.submit(async ({ valueM }) => {
      const body = { version: record.reel.version, what, valueM };
      const params = { boatId: record.boat.id, reelId: record.reel.id };
      const result = await sendNow('measureReel', params, body, 'Kept. Every figure of this reel follows.');
      if (result.ok) onDone();
      return result;
    });
  return (
    <div className="flex flex-col gap-3">
      <FormQuantity form={form} name="valueM" label={label} />
      <Button weight="main" disabled={state.kind === 'sending'} onClick={() => void store()}>
        Keep it
      </Button>
    </div>
  );
}
