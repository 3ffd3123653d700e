'use client';

import { useState } from 'react';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { UndoButton } from '@/components/bench/UndoButton';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';
import { readTyped, type Typed } from '@/components/fields/typedQuantity';

const WHOLE = 'whole';

/**
 * The by-hand way, guided: everything above the backing goes on first, then backing until the spool is full. What fits
 * is kept as this reel's capacity.
 */
export function ReverseFill() {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state, fieldError } = useSend();
  const level = useQuantity(`reverse:${record.id}:level`, 'smallLength', null, LIMITS.levelBelowRimM);
  const [lengths, setLengths] = useState<Readonly<Record<string, Typed>>>({});
  const [even, setEven] = useState(true);
  const [open, setOpen] = useState(false);
  const [alone, setAlone] = useState(WHOLE);
  const stack = record.segments.filter((segment) => segment.wound);
  const wrongWayRound = alone === WHOLE ? stack.toReversed() : stack.filter((segment) => segment.id === alone);
  const rows = wrongWayRound.map((segment) => {
    const read = readTyped(lengths[segment.id] ?? null, segment.lengthM, 'length', LIMITS.segmentLengthM);
    return { segment, lengthM: read.ok ? read.value : null };
  });
  const store = async (): Promise<void> => {
    const body = {
      levelBelowRimM: level.value,
      evenTension: even,
      note: '',
      segments: rows.map(({ segment, lengthM }) => ({ productId: segment.productId, lengthM })),
    };
    const result = await sendNow(
      'reverseFill',
      { boatId: record.boat.id, reelId: record.reel.id },
      body,
      'Kept as this reel’s capacity. The plan follows it.',
    );
    if (!result.ok) return;
    level.forget();
    setLengths({});
    setOpen(false);
  };
  const last = record.reverseFills.at(-1);
  return (
    <div className="border-l-4 border-rule pl-3">
      <p>
        <b>Nothing is known of the reel?</b> The by-hand way works once for every reel: wind it the wrong way round.
      </p>
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
          <ChoiceField
            label="What goes on"
            value={alone}
            options={[
              { value: WHOLE, text: 'the whole stack, the wrong way round' },
              ...stack.map((segment) => ({ value: segment.id, text: `${segment.name} alone, to learn how it packs` })),
            ]}
            onChange={setAlone}
          />
          <ol className="list-decimal space-y-1 pl-5">
            <li>
              Wind the line on in this order: {wrongWayRound.map((segment) => segment.name).join(', ')}. Loose joins
              will do; keep the tension that you will wind with.
            </li>
            {alone === WHOLE && (
              <li>
                Stop the last one, {wrongWayRound.at(-1)?.name}, when the spool is as full as you want it. Cut it there.
              </li>
            )}
            <li>Measure the level, and note how much of each line is on.</li>
            <li>Take everything off, onto another spool, and wind it the right way round.</li>
          </ol>
          <div className="grid grid-cols-2 gap-2">
            {rows.map(({ segment }) => (
              <QuantityField
                key={segment.id}
                label={`${segment.name} that went on`}
                quantity="length"
                typed={lengths[segment.id] ?? null}
                initialSi={segment.lengthM}
                limits={LIMITS.segmentLengthM}
                onTyped={(typed) => setLengths({ ...lengths, [segment.id]: typed })}
              />
            ))}
            <QuantityField label="Level under the rim" {...level.field} error={fieldError('levelBelowRimM')} />
          </div>
          <label className="flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              checked={even}
              onChange={(event) => setEven(event.target.checked)}
              className="size-5 accent-chalk"
            />
            wound with the tension of the real winding; if not, it counts for much less
          </label>
          <div className="flex gap-2">
            <Button
              weight="main"
              disabled={state.kind === 'sending' || level.value === null || rows.some((row) => row.lengthM === null)}
              onClick={() => void store()}
            >
              Keep this capacity
            </Button>
            <Button weight="quiet" onClick={() => setOpen(false)}>
              Leave it
            </Button>
          </div>
        </div>
      )}
    </div>
  );
}
