'use client';

import { productOf } from '@/core/rig/line/planForRig';
import { FormText } from '@/components/fields/FormParts';
import { neededNumber } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { GRAMS_PER_KG_M, TEN_METRES_GRAMS } from '@/components/gear/tenMetres';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';

/** What ten metres of a line weigh, dry, on a scale: how it sinks follows. */
export function TenMetresEntry({ lineId, onDone }: { lineId: string; onDone: () => void }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const line = productOf(record, lineId);
  const form = useDraftForm(`ten-metres:${lineId}`, { grams: neededNumber(TEN_METRES_GRAMS) });
  const store = (): Promise<void> =>
    form.submit(async ({ grams }) => {
      const body = {
        version: line.version,
        read: { way: 'weighed' as const, massKgPerM: grams / GRAMS_PER_KG_M },
      };
      const params = { boatId: record.boat.id, lineId };
      const result = await sendNow('measureLine', params, body, 'Kept. Every rod with it follows.');
      if (result.ok) onDone();
      return result;
    });
  return (
    <div className="flex flex-col gap-3">
      <p className="text-sm">How {line.name} sinks is a guess by its material so far.</p>
      <FormText form={form} name="grams" label="Ten metres of it weigh, g" inputMode="decimal" />
      <Button weight="main" disabled={state.kind === 'sending'} onClick={() => void store()}>
        Keep this weight
      </Button>
    </div>
  );
}
