'use client';

import type { LineProductRecord } from '@/core/record/record';
import { FormChoice, FormQuantity, FormText } from '@/components/fields/FormParts';
import { neededQuantity, pick, quantity, words } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { offeredLines } from '@/components/keeping/offeredLines';
import { Button } from '@/components/ui/Button';
import { LIMITS } from '@/usecases/limits';

const LEFT_LIMITS = { min: 0, max: LIMITS.supplyLengthM.max };

/** A spool more on the shelf. */
export function SupplyForm({ boatId, lines }: { boatId: string; lines: readonly LineProductRecord[] }) {
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
  );
}
