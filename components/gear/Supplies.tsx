'use client';

import { useState } from 'react';
import type { LineProductRecord, SupplySpoolRecord } from '@/core/rig/record';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useSend } from '@/components/http/useSend';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';

const LEFT_LIMITS = { min: 0, max: LIMITS.supplyLengthM.max };

/** What is left on the shelf, and a spool more. */
export function Supplies({
  boatId,
  spools,
  lines,
}: {
  boatId: string;
  spools: readonly SupplySpoolRecord[];
  lines: readonly LineProductRecord[];
}) {
  const { format } = useUnits();
  const { sendNow, state, fieldError } = useSend();
  const [label, setLabel] = useDraft(`supply:${boatId}:label`, isText);
  const [picked, setPicked] = useState(lines[0]?.id ?? '');
  const bought = useQuantity(`supply:${boatId}:bought`, 'length', null, LIMITS.supplyLengthM);
  const left = useQuantity(`supply:${boatId}:left`, 'length', null, LEFT_LIMITS);
  const lineId = lines.some((line) => line.id === picked) ? picked : (lines[0]?.id ?? '');
  const add = async (): Promise<void> => {
    const body = {
      lineProductId: lineId,
      label: label ?? '',
      boughtLengthM: bought.value,
      remainingLengthM: left.value ?? bought.value,
    };
    const result = await sendNow('addSupply', { boatId }, body, 'The spool is on the shelf.');
    if (!result.ok) return;
    setLabel(null);
    bought.forget();
    left.forget();
  };
  return (
    <Card title="Supply spools on the shelf">
      <ul className="mb-4 flex flex-col divide-y divide-edge text-sm">
        {spools.map((spool) => (
          <li key={spool.id} className="flex flex-wrap justify-between gap-x-4 py-1.5">
            <span>
              <b>{spool.label}</b>: {lines.find((line) => line.id === spool.lineProductId)?.name}
            </span>
            <span className="figures">
              {format.length(spool.remainingLengthM)} left of {format.length(spool.boughtLengthM)}
            </span>
          </li>
        ))}
      </ul>
      <form
        className="grid grid-cols-2 items-start gap-2 sm:grid-cols-5"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <TextField label="Label of a new spool" value={label ?? ''} onChange={setLabel} error={fieldError('label')} />
        <ChoiceField
          label="Line on it"
          value={lineId}
          options={lines.map((line) => ({ value: line.id, text: line.name }))}
          onChange={setPicked}
          error={fieldError('lineProductId')}
        />
        <QuantityField label="Length as bought" {...bought.field} error={fieldError('boughtLengthM')} />
        <QuantityField
          label="Left on it"
          {...left.field}
          error={fieldError('remainingLengthM')}
          hint="empty when it is whole"
        />
        <Button type="submit" className="mt-6" disabled={state.kind === 'sending'}>
          Put it on the shelf
        </Button>
      </form>
    </Card>
  );
}
