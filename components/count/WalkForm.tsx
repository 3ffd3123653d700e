'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { LoadRecord } from '@/core/record/record';
import { UndoButton } from '@/components/bench/UndoButton';
import { VirtualBench } from '@/components/bench/VirtualMark';
import { QuantityField } from '@/components/fields/QuantityField';
import { useKeptChoice } from '@/components/fields/useKept';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { fetched } from '@/components/ui/fetched';
import { OtherTests } from './OtherTests';
import { lastTrial, useTrial, type TrialWay } from './useTrial';

/** Loaded when it is first asked for. */
const WalkBench = dynamic(() => fetched(() => import('./WalkBench')).then(({ WalkBench: loaded }) => loaded), {
  ssr: false,
});

const WAYS: readonly { value: TrialWay; text: string }[] = [
  { value: 'tape', text: 'a walk along a tape' },
  { value: 'colour', text: 'colours of lead core at the tip' },
  { value: 'turns', text: 'spool turns by hand' },
];

/** The ways to test a counter: walk a tape, let colours out, count turns. */
export function WalkForm({ load, only }: { load: LoadRecord; only?: TrialWay }) {
  const { record } = useRig();
  const trial = useTrial(load);
  const [chosen, setWay] = useKeptChoice(`trial-way:${load.id}`, ['tape', 'colour', 'turns'], 'tape');
  const way = only ?? chosen;
  const [onBench, setOnBench] = useState(false);
  const hasColours = load.segments.some((segment) => segment.wound && segment.colours.length > 1);
  const last = lastTrial(record);
  const { counter } = record.reel;
  const turnsTest = counter?.drive === 'spool';
  return (
    <div className="flex flex-col gap-4">
      {!only && (
        <ChoiceField
          label="Test it by"
          value={way}
          options={WAYS.filter(
            (each) => (each.value !== 'colour' || hasColours) && (each.value !== 'turns' || turnsTest),
          )}
          onChange={setWay}
        />
      )}
      {way === 'tape' ? (
        <>
          {!only && (
            <ol className="list-decimal space-y-1 pl-5 text-sm">
              <li>
                Stake the tape down and clip the line&apos;s end at its zero, with a forearm of line below the tip.
              </li>
              <li>
                {counter
                  ? 'Zero the counter, free spool, and walk.'
                  : 'Walk while a helper counts the turns of the spool.'}
              </li>
              <li>{counter ? 'Read' : 'Stop counting'} where the same point of the tip stands at the mark.</li>
            </ol>
          )}
          <div className="grid grid-cols-2 gap-2">
            <QuantityField label="True length walked" {...trial.length.field} error={trial.fieldError('trueLengthM')} />
            <TextField
              label={counter ? 'Counter reads' : 'Spool turns counted'}
              inputMode="numeric"
              figures
              value={trial.text}
              onChange={trial.type}
              error={trial.problem}
            />
          </div>
          <div className="flex flex-wrap gap-2">
            <Button
              weight="main"
              disabled={trial.busy || trial.reading === null || trial.length.value === null}
              onClick={() => void trial.storeWalk()}
            >
              Record this walk
            </Button>
            {counter && <Button onClick={() => setOnBench(true)}>Bench mode</Button>}
          </div>
          {record.hasVirtualReel && counter && (
            <VirtualBench instrument="counter reel">
              <Button disabled={trial.busy || trial.length.value === null} onClick={() => void trial.walkVirtually()}>
                Walk the tape with the virtual reel
              </Button>
            </VirtualBench>
          )}
        </>
      ) : (
        <OtherTests key={way} way={way} load={load} trial={trial} />
      )}
      {last && <UndoButton kind="trial" id={last.id} what="test" reason="undone by the person who made it" />}
      {onBench && <WalkBench trial={trial} onLeave={() => setOnBench(false)} />}
    </div>
  );
}
