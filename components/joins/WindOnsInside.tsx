'use client';

import { useState } from 'react';
import { swapPreview, type SwapPreview } from '@/core/rig/joins/swapPreview';
import { FormChoice, FormQuantity, FormText } from '@/components/fields/FormParts';
import { neededQuantity, neededWords, pick } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { offeredLines } from '@/components/keeping/offeredLines';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';
import { NOBODY, peopleOptions, type Person, type WindOn } from './joinsBench';

/** The library of ready leaders, and the swap of one onto this rig in one act. */
export function WindOnsInside({ windOns, people }: { windOns: readonly WindOn[]; people: readonly Person[] }) {
  const { record } = useRig();
  const { load } = record;
  const top = load?.status === 'wound' ? load.segments.findLast((segment) => segment.wound) : undefined;
  const takesLoops = [...record.joins, ...record.planJoins].some(
    (join) => join.outerSegmentId === top?.segmentId && join.kind === 'loop-to-loop',
  );
  return (
    <>
      {!takesLoops && (
        <p className="mb-2 text-sm text-ink-soft">
          {top
            ? 'The outermost line of this rig is not joined loop to loop, so none of these can go on it.'
            : 'Load the reel first; then a ready leader can go on.'}
        </p>
      )}
      {windOns.length === 0 ? (
        <p className="text-sm">None made yet. Make some at the bench, and a trip only needs a swap.</p>
      ) : (
        <ul className="flex flex-col gap-2">
          {windOns.map((windOn) => (
            <Row key={windOn.id} windOn={windOn} canSwap={takesLoops} />
          ))}
        </ul>
      )}
      <NewWindOn people={people} />
    </>
  );
}

function Row({ windOn, canSwap }: { windOn: WindOn; canSwap: boolean }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state } = useSend();
  const isHere = windOn.onRig?.id === record.id;
  const product = record.products.find((candidate) => candidate.id === windOn.productId);
  const preview = canSwap && !windOn.onRig ? swapPreview(record, windOn) : null;
  const swap = (): Promise<unknown> =>
    sendNow(
      'swapWindOn',
      { boatId: record.boat.id, rigId: record.id },
      { windOnId: windOn.id },
      `${windOn.name} is on. Line, counter table, strength and drag follow; tie the loops and note the join.`,
    );
  const signed = (share: number): string => `${(100 * Math.abs(share)).toFixed(1)} % ${share >= 0 ? 'more' : 'less'}`;
  return (
    <li className={`border-l-4 px-3 py-2 ${isHere ? 'border-chalk bg-paper' : 'border-rule bg-paper/50'}`}>
      <p className="flex flex-wrap justify-between gap-x-3">
        <b>{windOn.name}</b>
        <span className="text-sm">
          {isHere ? 'on this rig' : windOn.onRig ? `on ${windOn.onRig.name}` : 'on the shelf'}
        </span>
      </p>
      <p className="text-sm text-ink-soft">
        {format.length(windOn.lengthM)} of {product?.name ?? 'a line'}
        {product?.labelStrengthN != null && `, label ${format.force(product.labelStrengthN)}`}, made{' '}
        {windOn.madeAt.slice(0, 10)}
        {windOn.madeBy && ` by ${windOn.madeBy}`}
      </p>
      {preview && (
        <p className="mt-1 text-sm">
          On here, the level would lie {format.small(Math.abs(preview.levelRiseM))}{' '}
          {preview.levelRiseM >= 0 ? 'higher' : 'lower'}
          {record.reel.counter && `, the counter read ${signed(preview.counterShift)} at ${format.length(preview.atM)}`}
          {weakestWords(preview, format.force)}.
        </p>
      )}
      <p className="mt-1 flex gap-2">
        {preview && (
          <Button disabled={state.kind === 'sending'} onClick={() => void swap()}>
            Swap it on
          </Button>
        )}
        {!windOn.onRig && (
          <Button
            weight="quiet"
            disabled={state.kind === 'sending'}
            onClick={() =>
              void sendNow(
                'retireWindOn',
                { boatId: record.boat.id, windOnId: windOn.id },
                { outOfUse: true },
                'Out of use; its history stays.',
              )
            }
          >
            Out of use
          </Button>
        )}
      </p>
    </li>
  );
}

function weakestWords(
  { weakestBefore: before, weakestAfter: after }: SwapPreview,
  force: (forceN: number) => string,
): string {
  if (!after) return '';
  const place = `${after.name}, ${force(after.strengthN)}`;
  if (before?.name === after.name && Math.abs(before.strengthN - after.strengthN) < 0.005 * after.strengthN) {
    return `; the weakest place stays ${place}`;
  }
  return `; the weakest place becomes ${place}${before ? ` (now ${before.name}, ${force(before.strengthN)})` : ''}`;
}

function NewWindOn({ people }: { people: readonly Person[] }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const [open, setOpen] = useState(false);
  const options = peopleOptions(people);
  const form = useDraftForm(`wind-on:${record.boat.id}`, {
    name: neededWords(),
    productId: pick(record.products.map((product) => product.id)),
    lengthM: neededQuantity('length', LIMITS.segmentLengthM),
    personId: pick(options.map((option) => option.value)),
  });
  const make = (): Promise<void> =>
    form.submit(async ({ personId, ...leader }) => {
      const body = { ...leader, personId: personId === NOBODY ? null : personId };
      const result = await sendNow('makeWindOn', { boatId: record.boat.id }, body, 'In the library.');
      if (result.ok) setOpen(false);
      return result;
    });
  if (!open) {
    return (
      <Button className="mt-3" onClick={() => setOpen(true)}>
        Add a ready leader
      </Button>
    );
  }
  return (
    <div className="mt-3 grid gap-2 sm:grid-cols-2">
      <FormText form={form} name="name" label="Name of it" />
      <FormChoice form={form} name="productId" label="Its line" options={offeredLines(record.products)} />
      <FormQuantity form={form} name="lengthM" label="Its length, loop included" />
      <FormChoice form={form} name="personId" label="Made by" options={options} />
      <div className="flex gap-2">
        <Button weight="main" disabled={state.kind === 'sending'} onClick={() => void make()}>
          Put it in the library
        </Button>
        <Button weight="quiet" onClick={() => setOpen(false)}>
          Not now
        </Button>
      </div>
    </div>
  );
}
