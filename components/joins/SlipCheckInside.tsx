'use client';

import { readSlip } from '@/core/joins/slipCheck';
import { FormQuantity } from '@/components/fields/FormParts';
import { neededQuantity, quantity } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';
import { SLIP_LOOK } from './slipLook';

/** The arbor's slip check: a pen stroke across spool and line, a pull, and a look at the stroke. */
export function SlipCheckInside({ joinId }: { joinId: string }) {
  const { record } = useRig();
  const say = useSay();
  const { sendNow, state } = useSend();
  const form = useDraftForm(`slip:${joinId}`, {
    movedM: neededQuantity('smallLength', { min: 0, max: 1 }),
    pulledN: quantity('force', LIMITS.forceN),
  });
  const movedM = form.value('movedM');
  const verdict = movedM === null ? null : readSlip(movedM);
  const store = (): Promise<void> =>
    form.submit((look) => sendNow('checkSlip', { boatId: record.boat.id, rigId: record.id, joinId }, look, 'Noted.'));
  return (
    <>
      <p className="text-sm">
        A slipping spool feels exactly like a broken drag. Draw one stroke across spool and line, lock the drag, pull
        through the rod, and look at the stroke again.
      </p>
      <div className="mt-3 flex flex-wrap items-start gap-3">
        <div className="w-40">
          <FormQuantity form={form} name="movedM" label="The stroke parted by" />
        </div>
        <div className="w-40">
          <FormQuantity form={form} name="pulledN" label="After a pull of" hint="by the scale; may stay empty" />
        </div>
        <Button className="mt-6" disabled={state.kind === 'sending'} onClick={() => void store()}>
          Note the look
        </Button>
      </div>
      {verdict && <p className={`mt-2 text-sm font-semibold ${SLIP_LOOK[verdict.verdict]}`}>{say(verdict.why)}</p>}
    </>
  );
}
