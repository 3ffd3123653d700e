'use client';

import { readSlip } from '@/core/joins/slipCheck';
import type { JoinRecord } from '@/core/rig/record';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
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
  const { sendNow, state, fieldError } = useSend();
  const moved = useQuantity(`moved:${join.id}`, 'smallLength', null, { min: 0, max: 1 });
  const pulled = useQuantity(`slip-pull:${join.id}`, 'force', null, LIMITS.forceN);
  const verdict = moved.value === null ? null : readSlip(moved.value);
  const last = join.lastSlip;
  const store = async (): Promise<void> => {
    const result = await sendNow(
      'checkSlip',
      { boatId: record.boat.id, rigId: record.id, joinId: join.id },
      { movedM: moved.value, pulledN: pulled.value },
      'Noted.',
    );
    if (!result.ok) return;
    moved.forget();
    pulled.forget();
  };
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
          <QuantityField label="The stroke parted by" {...moved.field} error={fieldError('movedM')} />
        </div>
        <div className="w-40">
          <QuantityField
            label="After a pull of"
            {...pulled.field}
            error={fieldError('pulledN')}
            hint="by the scale; may stay empty"
          />
        </div>
        <Button disabled={state.kind === 'sending' || moved.value === null} onClick={() => void store()}>
          Note the look
        </Button>
      </div>
      {verdict && <p className={`mt-2 text-sm font-semibold ${LOOK[verdict.verdict]}`}>{say(verdict.why)}</p>}
    </Card>
  );
}
