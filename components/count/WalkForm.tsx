'use client';

import { useState } from 'react';
import type { LoadRecord } from '@/core/rig/record';
import { UndoButton } from '@/components/bench/UndoButton';
import { VirtualBench } from '@/components/bench/VirtualMark';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { TextField } from '@/components/fields/TextField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';

/** A walk that a 100 ft tape allows (m), as a starting value. */
const USUAL_WALK_M = 30.48;

/** The guided tape test: walk, read, record. */
export function WalkForm({ load }: { load: LoadRecord }) {
  const { record } = useRig();
  const { sendNow, state, fieldError } = useSend();
  const bench = useVirtualReel();
  const length = useQuantity(`walk:${load.id}`, 'length', USUAL_WALK_M, LIMITS.walkLengthM);
  const [text, setText] = useDraft(`walk-reading:${load.id}`, isText);
  const [instrument, setInstrument] = useState('read by eye');
  const reading = text !== null && /^\d+$/.test(text.trim()) ? Number(text) : null;
  const problem =
    text !== null && text.trim() !== '' && reading === null ? 'A counter shows whole numbers only.' : undefined;
  const recordWalk = async (): Promise<void> => {
    const body = { loadId: load.id, trueLengthM: length.value, reading, instrument };
    const result = await sendNow(
      'POST',
      `/api/boats/${record.boat.id}/rigs/${record.id}/trials`,
      body,
      'The walk is recorded.',
    );
    if (result.ok) setText(null);
  };
  const walk = async (): Promise<void> => {
    if (length.value === null) return;
    const shown = await bench.work({ act: 'walk', lengthM: length.value });
    if (shown?.reading == null) return;
    setText(String(shown.reading));
    setInstrument(shown.instrument);
  };
  return (
    <div className="flex flex-col gap-4">
      <ol className="list-decimal space-y-1 pl-5 text-sm">
        <li>
          Stake the tape down; clip the line&apos;s end at its zero, with 30 cm or so hanging from the tip, as over the
          water.
        </li>
        <li>Zero the counter. Free spool, thumb on it. Walk to the mark, line just tight.</li>
        <li>Read the counter with the same point of the line at the tip.</li>
      </ol>
      <div className="grid grid-cols-2 gap-2">
        <QuantityField label="True length walked" {...length.field} error={fieldError('trueLengthM')} />
        <TextField
          label="Counter reads"
          inputMode="numeric"
          figures
          value={text ?? ''}
          onChange={(now) => {
            setText(now);
            setInstrument('read by eye');
          }}
          error={problem ?? fieldError('reading')}
        />
      </div>
      <Button
        weight="main"
        disabled={state.kind === 'sending' || reading === null || length.value === null}
        onClick={() => void recordWalk()}
      >
        Record this walk
      </Button>
      {record.hasVirtualReel && (
        <VirtualBench instrument="counter reel">
          <Button disabled={bench.busy || length.value === null} onClick={() => void walk()}>
            Walk the tape with the virtual reel
          </Button>
        </VirtualBench>
      )}
      <Trials />
    </div>
  );
}

function Trials() {
  const { record } = useRig();
  const { format } = useUnits();
  const last = record.trials.at(-1);
  if (!last) return null;
  return (
    <div>
      <h3 className="lettered">Walks of this load</h3>
      <table className="w-full text-sm">
        <thead>
          <tr className="border-b border-ink text-left">
            <th className="py-1">true</th>
            <th className="py-1">read</th>
            <th className="py-1">stripped before</th>
            <th className="py-1">by</th>
          </tr>
        </thead>
        <tbody>
          {record.trials.map((trial) => (
            <tr key={trial.id} className="border-b border-edge">
              <td className="figures py-1">{format.length(trial.trueLengthM)}</td>
              <td className="figures py-1">{format.counts(trial.reading)}</td>
              <td className="figures py-1">
                {trial.strippedBeforeM === 0 ? '–' : format.length(trial.strippedBeforeM)}
              </td>
              <td className="py-1">{trial.instrument}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <UndoButton kind="trial" id={last.id} what="walk" reason="undone by the person who walked" />
    </div>
  );
}
