'use client';

import { useState } from 'react';
import { LAID_BY, type LaidBy } from '@/core/load/tension';
import { FormCheck, FormChoice, FormQuantity } from '@/components/fields/FormParts';
import { check, choice, neededQuantity, quantity, type Spec } from '@/components/fields/specs';
import { ChoiceField } from '@/components/fields/TextField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { UndoButton } from '@/components/bench/UndoButton';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { LAID_BY_OPTIONS } from '../wind/tensionWords';
import { LIMITS } from '@/usecases/limits';

const WHOLE = 'whole';

type NeededQuantity = ReturnType<typeof neededQuantity>;

/** How much of each went on, by the segment's id; then the level. */
type FillSpecs = Readonly<Record<`on-${string}`, NeededQuantity>> & {
  readonly levelBelowRimM: NeededQuantity;
  readonly evenTension: ReturnType<typeof check>;
  readonly laidBy: Spec<LaidBy | '', LaidBy | ''>;
  readonly tensionN: ReturnType<typeof quantity>;
};

/**
 * The by-hand way, guided: everything above the backing goes on first, then backing until the spool is full. What fits
 * is kept as this reel's capacity.
 */
export function ReverseFill({ aloneId, onDone }: { aloneId?: string; onDone?: () => void }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state } = useSend();
  const [open, setOpen] = useState(aloneId !== undefined);
  const [kept, setAlone] = useDraft(`reverse:${record.id}:alone`, isText);
  const stack = record.segments.filter((segment) => segment.wound);
  const meant = aloneId ?? kept;
  const alone = stack.some((segment) => segment.id === meant) ? (meant ?? WHOLE) : WHOLE;
  const wrongWayRound = alone === WHOLE ? stack.toReversed() : stack.filter((segment) => segment.id === alone);
  const form = useDraftForm<FillSpecs>(`reverse:${record.id}:${alone}`, {
    ...Object.fromEntries(
      wrongWayRound.map(({ id, lengthM }) => [`on-${id}`, neededQuantity('length', LIMITS.segmentLengthM, lengthM)]),
    ),
    levelBelowRimM: neededQuantity('smallLength', LIMITS.levelBelowRimM),
    evenTension: check(true),
    laidBy: choice(['', ...LAID_BY], ''),
    tensionN: quantity('force', LIMITS.windingTensionN),
  });
  const store = (): Promise<void> =>
    form.submit(
      async ({ levelBelowRimM, evenTension, laidBy, tensionN, ...on }) => {
        const result = await sendNow(
          'reverseFill',
          { boatId: record.boat.id, reelId: record.reel.id },
          {
            levelBelowRimM,
            evenTension,
            laidBy: laidBy === '' ? null : laidBy,
            tensionN,
            note: '',
            segments: wrongWayRound.map(({ id, productId }) => ({ productId, lengthM: on[`on-${id}`] ?? null })),
          },
          'Kept as this reel’s capacity. The plan follows it.',
        );
        if (result.ok) {
          setOpen(false);
          onDone?.();
        }
        return result;
      },
      Object.fromEntries(wrongWayRound.map(({ id }, index) => [`segments.${index}.lengthM`, `on-${id}` as const])),
    );
  const last = record.reverseFills.at(-1);
  return (
    <div className="border-l-4 border-rule pl-3">
      {aloneId === undefined && (
        <p>
          <b>Nothing is known of the reel?</b> The by-hand way works once for every reel: wind it the wrong way round.
        </p>
      )}
      {last && (
        <p className="mt-1 flex flex-wrap items-center gap-x-2">
          Found on {last.at.slice(0, 10)}:{' '}
          {last.segments
            .map(
              (each) =>
                `${format.length(each.lengthM)} ${record.products.find((p) => p.id === each.productId)?.name ?? ''}`,
            )
            .join(' + ')}{' '}
          fill it to {format.small(last.levelBelowRimM)} under the rim{last.evenTension ? '' : ', with unlike tension'}.
          <UndoButton kind="reverseFill" id={last.id} what="reverse fill" reason="taken back at the bench" />
        </p>
      )}
      {!open && stack.length > 0 && (
        <Button className="mt-2" onClick={() => setOpen(true)}>
          Guide me through a reverse fill
        </Button>
      )}
      {open && (
        <div className="mt-2 flex flex-col gap-3">
          {aloneId === undefined && (
            <ChoiceField
              label="What goes on"
              value={alone}
              options={[
                { value: WHOLE, text: 'the whole stack, the wrong way round' },
                ...stack.map((segment) => ({
                  value: segment.id,
                  text: `${segment.name} alone, to learn how it packs`,
                })),
              ]}
              onChange={setAlone}
            />
          )}
          {aloneId === undefined && (
            <ol className="list-decimal space-y-1 pl-5">
              <li>
                Wind the line on in this order: {wrongWayRound.map((segment) => segment.name).join(', ')}. Loose joins
                will do; keep the tension that you will wind with.
              </li>
              {alone === WHOLE && (
                <li>
                  Stop the last one, {wrongWayRound.at(-1)?.name}, when the spool is as full as you want it. Cut it
                  there.
                </li>
              )}
              <li>Measure the level, and note how much of each line is on.</li>
              <li>Take everything off, onto another spool, and wind it the right way round.</li>
            </ol>
          )}
          <div className="grid grid-cols-2 gap-2">
            {wrongWayRound.map(({ id, name }) => (
              <FormQuantity key={id} form={form} name={`on-${id}`} label={`${name} that went on`} />
            ))}
            <FormQuantity form={form} name="levelBelowRimM" label="Level under the rim" />
            <FormChoice form={form} name="laidBy" label="Tension came from" options={LAID_BY_OPTIONS} />
            <FormQuantity form={form} name="tensionN" label="Tension by the scale" hint="may stay empty" />
          </div>
          <FormCheck
            form={form}
            name="evenTension"
            label="wound with the tension of the real winding; if not, it counts for much less"
          />
          <div className="flex gap-2">
            <Button weight="main" disabled={state.kind === 'sending'} onClick={() => void store()}>
              Keep this capacity
            </Button>
            {aloneId === undefined && (
              <Button weight="quiet" onClick={() => setOpen(false)}>
                Leave it
              </Button>
            )}
          </div>
        </div>
      )}
    </div>
  );
}
