'use client';

import type { LineProductRecord, SupplySpoolRecord } from '@/core/record/record';
import { FormChoice, FormQuantity, FormText } from '@/components/fields/FormParts';
import { neededQuantity, pick, quantity, words } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { More } from '@/components/keeping/More';
import { offeredLines } from '@/components/keeping/offeredLines';
import { PutAway } from '@/components/keeping/PutAway';
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
  const { sendNow, state } = useSend();
  const form = useDraftForm(`supply:${boatId}`, {
    label: words(),
    lineProductId: pick(lines.map((line) => line.id)),
    boughtLengthM: neededQuantity('length', LIMITS.supplyLengthM),
    remainingLengthM: quantity('length', LEFT_LIMITS),
  });
  const add = (): Promise<void> =>
    form.submit(({ remainingLengthM, ...spool }) =>
      sendNow(
        'addSupply',
        { boatId },
        { ...spool, remainingLengthM: remainingLengthM ?? spool.boughtLengthM },
        'The spool is on the shelf.',
      ),
    );
  return (
    <Card title="Supply spools on the shelf">
      <ul className="mb-4 flex flex-col divide-y divide-edge text-sm">
        {spools
          .filter(({ archivedAt }) => archivedAt === null)
          .map((spool) => (
            <li key={spool.id} className="flex flex-wrap justify-between gap-x-4 py-1.5">
              <span>
                <b>{spool.label}</b>: {lines.find((line) => line.id === spool.lineProductId)?.name}
              </span>
              <span className="figures">
                {format.length(spool.remainingLengthM)} left of {format.length(spool.boughtLengthM)}
                <More
                  boatId={boatId}
                  thing="supply"
                  id={spool.id}
                  name={spool.label}
                  stays="Put away, no line is taken from it any more: an empty spool, or one that is lost. What was taken stays on record."
                />
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
        <FormText form={form} name="label" label="Label of a new spool" />
        <FormChoice form={form} name="lineProductId" label="Line on it" options={offeredLines(lines)} />
        <FormQuantity form={form} name="boughtLengthM" label="Length as bought" />
        <FormQuantity form={form} name="remainingLengthM" label="Left on it" hint="empty when it is whole" />
        <Button type="submit" className="mt-6" disabled={state.kind === 'sending'}>
          Put it on the shelf
        </Button>
      </form>
      <PutAway
        boatId={boatId}
        thing="supply"
        what="Spools"
        rows={spools.filter(({ archivedAt }) => archivedAt !== null).map(({ id, label }) => ({ id, name: label }))}
      />
    </Card>
  );
}
