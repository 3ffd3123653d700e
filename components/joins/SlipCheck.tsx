'use client';

import { readSlip } from '@/core/joins/slipCheck';
import type { JoinRecord } from '@/core/record/record';
import { FormQuantity } from '@/components/fields/FormParts';
import { neededQuantity, quantity } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';

const LOOK = { holds: 'text-go', bedding: 'text-warn', slips: 'text-stop' } as const;

/** The arbor's slip check: a pen stroke across spool and line, a pull, and a look at the stroke. */
export function SlipCheck({ join }: { join: JoinRecord }) {
  const { record } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const { sendNow, state } = useSend();
  const form = useDraftForm(`slip:${join.id}`, {
    movedM: neededQuantity('smallLength', { min: 0, max: 1 }),
    pulledN: quantity('force', LIMITS.forceN),
  });
  const movedM = form.value('movedM');
  const verdict = movedM === null ? null : readSlip(movedM);
  const last = join.lastSlip;
  const store = (): Promise<void> =>
    form.submit((look) =>
      sendNow('checkSlip', { boatId: record.boat.id, rigId: record.id, joinId: join.id }, look, 'Noted.'),
    );
  return (
    <Card title="Slip check at the arbor">
      <p className="text-sm">
        A slipping spool feels exactly like a broken drag. Draw one stroke across spool and line, lock the drag, pull
        through the rod, and look at the stroke again.
      </p>
      {last && (
        <p className="mt-2 text-sm">
          Last look, {new Date(last.at).toISOString().slice(0, 10)}: parted by{' '}
          <b className="figures">{format.small(last.movedM)}</b>
          {last.pulledN !== null && ` after a pull of ${format.force(last.pulledN)}`}.{' '}
          <span className={LOOK[readSlip(last.movedM).verdict]}>{say(readSlip(last.movedM).why)}</span>
        </p>
      )}
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <div className="w-40">
          <FormQuantity form={form} name="movedM" label="The stroke parted by" />
        </div>
        <div className="w-40">
          <FormQuantity form={form} name="pulledN" label="After a pull of" hint="by the scale; may stay empty" />
        </div>
        <Button disabled={state.kind === 'sending'} onClick={() => void store()}>
          Note the look
        </Button>
      </div>
      {verdict && <p className={`mt-2 text-sm font-semibold ${LOOK[verdict.verdict]}`}>{say(verdict.why)}</p>}
    </Card>
  );
}
