'use client';

import { USUAL_OPENING_M } from '@/core/joins/usual';
import { FormQuantity } from '@/components/fields/FormParts';
import { neededQuantity } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';

/** The smallest opening that joins have to pass on this rod: asked once, a guess until then. */
export function OpeningField() {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state } = useSend();
  const { smallestOpeningM } = record;
  const form = useDraftForm(
    `opening:${record.id}`,
    { openingM: neededQuantity('smallLength', LIMITS.smallestOpeningM, smallestOpeningM) },
    String(smallestOpeningM),
  );
  const store = (): Promise<void> =>
    form.submit((body) => sendNow('noteOpening', { boatId: record.boat.id, rigId: record.id }, body, 'Noted.'));
  return (
    <div className="flex flex-wrap items-end gap-2">
      <div className="w-52">
        <FormQuantity
          form={form}
          name="openingM"
          label="Smallest ring or level wind"
          hint={
            smallestOpeningM === null ? `not told: ${format.small(USUAL_OPENING_M)} is a guess` : 'bore, as measured'
          }
        />
      </div>
      <Button weight="quiet" disabled={state.kind === 'sending'} onClick={() => void store()}>
        Keep it
      </Button>
    </div>
  );
}
