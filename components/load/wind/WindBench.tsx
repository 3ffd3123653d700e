'use client';

import { Dialog } from 'radix-ui';
import type { KeyboardEvent } from 'react';
import type { LoadRecord } from '@/core/record/record';
import { useRig } from '@/components/rig/RigProvider';
import { BenchFooter } from '@/components/bench/BenchFooter';
import { BenchSheet } from '@/components/bench/BenchSheet';
import { NumberPad } from '@/components/bench/NumberPad';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { Checkpoint } from './Checkpoint';
import { Clash } from './Clash';
import { LapsPassed } from './LapsPassed';
import { LengthQuestion } from './LengthQuestion';
import { LevelOutlook } from './LevelOutlook';
import type { Winding } from './useWinding';
import { asShown, handleTurns, lapWords, tieWords, whyReadingsDiffer } from './windingWords';

/**
 * Bench mode for wet hands: the one number that matters now, huge. Digits type the reading, arrows nudge it, space
 * notes it, A or B answers which length is on, C says that a colour has changed, U takes the last note back, Escape leaves.
 */
export function WindBench({ load, winding, onLeave }: { load: LoadRecord; winding: Winding; onLeave: () => void }) {
  const { record } = useRig();
  const { counter } = record.reel;
  const onKey = (event: KeyboardEvent): void => {
    // Digits and letters belong to the field that is being typed into.
    if (event.target instanceof HTMLInputElement && event.key !== 'Escape') return;
    if (winding.busy && event.key !== 'Escape') return;
    const steps: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 };
    const step = steps[event.key];
    if (event.key === 'Escape') {
      // A message on the screen would otherwise take the first Escape for itself.
      onLeave();
    } else if (event.key === ' ') {
      event.preventDefault();
      if (winding.next && winding.canNote && !winding.asked) void winding.note();
    } else if (winding.asked && winding.canNote && ['a', 'b'].includes(event.key.toLowerCase())) {
      void winding.note(event.key.toLowerCase() === 'a' ? 'piece' : 'counter');
    } else if (event.key.toLowerCase() === 'u') {
      void winding.undo();
    } else if (event.key.toLowerCase() === 'c') {
      void winding.noteColour();
    } else if (!counter) {
      return;
    } else if (step !== undefined) {
      event.preventDefault();
      winding.nudge(step);
    } else if (/^\d$/.test(event.key)) {
      winding.type((winding.text + event.key).slice(-counter.digits));
    } else if (event.key === 'Backspace') {
      winding.type(winding.text.slice(0, -1));
    }
  };
  return (
    <BenchSheet onKey={onKey} onLeave={onLeave}>
      <Clash winding={winding} />
      {winding.next ? (
        <Now load={load} winding={winding} />
      ) : (
        <Dialog.Title className="lettered text-4xl">All on. Leave bench mode and measure the level.</Dialog.Title>
      )}
      <div className="mt-4">
        <BenchFooter
          back="Undo"
          disabled={winding.busy || load.winding.length === 0}
          onBack={() => void winding.undo()}
        />
      </div>
    </BenchSheet>
  );
}

function Now({ load, winding }: { load: LoadRecord; winding: Winding }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { counter } = record.reel;
  if (!winding.next) return null;
  const { segment, now } = winding.next;
  const nextColour = winding.colours.find((colour) => colour.readReading === null);
  const shown = winding.text === '' ? '···' : winding.text.padStart(counter?.digits ?? 0, '0');
  return (
    <>
      <Dialog.Title className="lettered text-2xl sm:text-3xl">{segment.name}</Dialog.Title>
      <p className="mt-1 text-lg">
        {tieWords(record, load.segments, segment)} {counter && 'Zero the counter. '}
        {segment.lengthKnown
          ? `Wind all ${format.length(now.lengthM)} on.`
          : `Stop after ${format.length(now.lengthM)}.`}
      </p>
      <div className="grid grow content-center gap-4 py-3 sm:grid-cols-2">
        <div>
          <p className="text-lg text-ink-soft">
            {counter ? (segment.lengthKnown ? 'should end near' : 'stop at') : 'spool turns'}{' '}
            {counter && lapWords(now.stopLaps, counter.digits)}
          </p>
          <p className="figures text-7xl leading-none font-bold sm:text-[11rem]">
            {counter && now.stopReading !== null ? asShown(now.stopReading, counter.digits) : format.counts(now.turns)}
          </p>
          {!counter && (
            <p className="mt-1 text-ink-soft">
              ± {format.counts(now.stopPlusMinus)}
              {handleTurns(record.reel, now.turns, format)}
            </p>
          )}
          {counter && (
            <p className="mt-1 text-ink-soft">
              ± {format.counts(now.stopPlusMinus)}: {whyReadingsDiffer(now, counter)}
            </p>
          )}
        </div>
        {counter && (
          <div>
            <p className="text-lg text-ink-soft">the counter reads</p>
            <p
              className="figures mb-2 text-7xl leading-none font-bold text-chalk sm:text-[11rem]"
              aria-live="polite"
              data-testid="bench-reading"
            >
              {shown}
            </p>
            {winding.problem && (
              <p role="alert" className="font-semibold text-stop">
                {winding.problem}
              </p>
            )}
            <NumberPad
              disabled={winding.busy}
              onDigit={(digit) => winding.type((winding.text + digit).slice(-counter.digits))}
              onErase={() => winding.type(winding.text.slice(0, -1))}
              onStep={winding.nudge}
            />
          </div>
        )}
      </div>
      <div className="grid gap-3">
        {counter && <LapsPassed winding={winding} counter={counter} />}
        {winding.asked && winding.canNote ? (
          <LengthQuestion winding={winding} large />
        ) : (
          <Button
            weight="main"
            className="min-h-20 text-2xl"
            disabled={winding.busy || !winding.canNote}
            onClick={() => void winding.note()}
          >
            {counter ? 'Note this reading' : 'It is on'} <kbd className="figures text-base">space</kbd>
          </Button>
        )}
        {nextColour && counter && (
          <Button
            className="min-h-16 text-lg"
            disabled={winding.busy || winding.reading === null}
            onClick={() => void winding.noteColour()}
          >
            Colour changed: {nextColour.nextColour} follows, near {asShown(nextColour.expectedReading, counter.digits)}{' '}
            <kbd className="figures text-sm">C</kbd>
          </Button>
        )}
        {load.winding.length > 0 && <LevelOutlook winding={winding} />}
        {load.winding.at(-1) && <Checkpoint segmentId={load.winding.at(-1)?.segmentId ?? ''} loadId={load.id} />}
        {record.hasVirtualReel && (
          <Button className="min-h-14" disabled={winding.busy} onClick={() => void winding.windVirtually()}>
            Wind it on the virtual reel (simulated)
          </Button>
        )}
      </div>
    </>
  );
}
