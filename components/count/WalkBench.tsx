'use client';

import { Dialog } from 'radix-ui';
import type { KeyboardEvent } from 'react';
import { correctionTable } from '@/core/calibration/correctionTable';
import { useRig } from '@/components/rig/RigProvider';
import { BenchFooter } from '@/components/bench/BenchFooter';
import { BenchSheet } from '@/components/bench/BenchSheet';
import { NumberPad } from '@/components/bench/NumberPad';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { OpenTrials } from './OpenTrials';
import { lastTrial, type Trial } from './useTrial';

/**
 * The walk with one hand and a phone in the other: what to do in a sentence, the reading huge. Digits type it, arrows
 * nudge it, space records it, U takes the last walk back, Escape leaves.
 */
export function WalkBench({ trial, onLeave }: { trial: Trial; onLeave: () => void }) {
  const { record, view } = useRig();
  const { format } = useUnits();
  const digits = record.reel.counter?.digits ?? 3;
  const lengthM = trial.length.value;
  const expected = view?.counter && lengthM !== null ? correctionTable(view.counter, [lengthM])[0] : undefined;
  const nudge = (by: number): void => {
    const from = trial.reading ?? Math.round(expected?.value ?? 0);
    trial.type(String(Math.max(0, from + by)));
  };
  const canStore = trial.reading !== null && lengthM !== null && !trial.busy;
  const onKey = (event: KeyboardEvent): void => {
    const step = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (event.key === 'Escape') onLeave();
    else if (event.key === ' ') {
      event.preventDefault();
      if (canStore) void trial.storeWalk();
    } else if (event.key.toLowerCase() === 'u') void trial.undo();
    else if (step !== undefined) {
      event.preventDefault();
      nudge(step);
    } else if (/^\d$/.test(event.key)) trial.type((trial.text + event.key).slice(-digits - 1));
    else if (event.key === 'Backspace') trial.type(trial.text.slice(0, -1));
  };
  const last = lastTrial(record);
  return (
    <BenchSheet onKey={onKey} onLeave={onLeave}>
      <Dialog.Title className="lettered text-2xl sm:text-3xl">
        Walk {lengthM === null ? 'the tape' : format.length(lengthM)}
      </Dialog.Title>
      <p className="mt-1 text-lg">
        Clip the end at the tape&apos;s zero with a forearm of line below the tip. Zero the counter, free spool, walk,
        and read at the same point.
      </p>
      <div className="grow content-center py-4">
        <p className="text-lg text-ink-soft">the counter reads</p>
        <p
          className="figures text-8xl leading-none font-bold text-chalk sm:text-[12rem]"
          aria-live="polite"
          data-testid="walk-reading"
        >
          {trial.text === '' ? '···' : trial.text.padStart(digits, '0')}
        </p>
        <p className="mt-3 min-h-7 text-lg">
          {trial.problem ?? (expected && `Expected: ${format.counts(expected.value, expected.plusMinus)}.`)}
        </p>
        {view && <OpenTrials view={view} />}
        {last && (
          <p className="text-ink-soft">
            Last: {format.counts(last.reading)}
            {last.trueLengthM !== null && ` at a true ${format.length(last.trueLengthM)}`}.
          </p>
        )}
        <div className="mt-3 max-w-xl">
          <NumberPad
            disabled={trial.busy}
            onDigit={(digit) => trial.type((trial.text + digit).slice(-digits - 1))}
            onErase={() => trial.type(trial.text.slice(0, -1))}
            onStep={nudge}
          />
        </div>
      </div>
      <div className="grid gap-3">
        {record.hasVirtualReel && (
          <Button className="min-h-14" disabled={trial.busy} onClick={() => void trial.walkVirtually()}>
            Walk with the virtual reel (simulated)
          </Button>
        )}
        <Button weight="main" className="min-h-24 text-2xl" disabled={!canStore} onClick={() => void trial.storeWalk()}>
          Record this walk <kbd className="figures text-base">space</kbd>
        </Button>
        <BenchFooter back="Undo" disabled={trial.busy || !last} onBack={() => void trial.undo()} />
      </div>
    </BenchSheet>
  );
}
