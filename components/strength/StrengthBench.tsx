'use client';

import { Dialog } from 'radix-ui';
import type { KeyboardEvent } from 'react';
import { productOf } from '@/core/rig/line/planForRig';
import type { StrengthTestRecord } from '@/core/record/record';
import { BenchFooter } from '@/components/bench/BenchFooter';
import { BenchSheet } from '@/components/bench/BenchSheet';
import { TracePlot } from '@/components/bench/TracePlot';
import { useKeptChoice } from '@/components/fields/useKept';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Caution } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';
import { Misfit, OffExpected } from './Misfit';
import { lastPull, OpenPulls } from './OpenPulls';
import { useGauge } from './useGauge';
import { BREAK_PLACES } from './breakPlaces';

const PLACES = BREAK_PLACES.map((place) => place.value);

/**
 * A session of pulls with wet hands: which piece goes into the grips, tare and pull, the peak huge beside what was
 * expected, where it broke, next. Space pulls and records, 1 to 3 say where it broke, U undoes, Escape leaves.
 */
export function StrengthBench({
  tests,
  pullsEach,
  onLeave,
}: {
  tests: readonly StrengthTestRecord[];
  pullsEach: number;
  onLeave: () => void;
}) {
  const { record } = useRig();
  const { format } = useUnits();
  const open = tests.find((test) => test.pulls.length < pullsEach);
  if (!open) {
    return (
      <BenchSheet onKey={(event) => event.key === 'Escape' && onLeave()} onLeave={onLeave}>
        <Dialog.Title className="lettered text-3xl">All pulled</Dialog.Title>
        <ul className="my-6 grow text-xl">
          {tests.map((test) => (
            <li key={test.id}>
              {productOf(record, test.productId).name}: {test.pulls.length} pulls, mean{' '}
              {format.force(test.pulls.reduce((sum, pull) => sum + pull.peakN, 0) / Math.max(test.pulls.length, 1))},
              expected {format.force(test.expectedN)}
            </li>
          ))}
        </ul>
        <Dialog.Close asChild>
          <Button weight="main" className="min-h-20 text-2xl">
            Leave
          </Button>
        </Dialog.Close>
      </BenchSheet>
    );
  }
  return <OnePull key={`${open.id} ${open.pulls.length}`} test={open} pullsEach={pullsEach} onLeave={onLeave} />;
}

function OnePull({ test, pullsEach, onLeave }: { test: StrengthTestRecord; pullsEach: number; onLeave: () => void }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state } = useSend();
  const gauge = useGauge();
  const typed = useQuantity(`bench-peak:${test.id}`, 'force', null, LIMITS.forceN);
  const [place, setPlace] = useKeptChoice(`bench-place:${test.id}`, PLACES, 'middle');
  const product = productOf(record, test.productId);
  const isVirtual = record.virtualProductIds.includes(test.productId);
  const peakN = gauge.reading?.peakN ?? typed.value;
  const busy = state.kind === 'sending' || gauge.running;
  const pull = async (): Promise<void> => {
    const body = { productId: test.productId, gaugeLengthM: test.gaugeLengthM };
    const pulled = await gauge.pull(record.boat.id, body);
    if (pulled.brokeAt) setPlace(pulled.brokeAt);
  };
  const store = async (): Promise<void> => {
    const instrument = gauge.reading ? 'virtual force gauge' : 'read by eye';
    const body = { peakN, breakPlace: place, instrument };
    const result = await sendNow('recordStrengthPull', { boatId: record.boat.id, testId: test.id }, body);
    if (!result.ok) return;
    typed.forget();
    setPlace(null);
  };
  const last = lastPull(test);
  const undo = async (): Promise<void> => {
    if (!last) return;
    const body = { kind: 'strengthPull' as const, id: last.id, rigId: record.id, reason: 'undone by the tester' };
    await sendNow('withdraw', { boatId: record.boat.id }, body, 'The last pull is taken back.');
  };
  const onKey = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') return onLeave();
    // Digits and blanks belong to the figure that is being typed.
    if (event.target instanceof HTMLInputElement) return;
    const chosen = BREAK_PLACES.find((each) => each.key === event.key);
    if (chosen) setPlace(chosen.value);
    else if (event.key.toLowerCase() === 'u') void undo();
    else if (event.key === ' ') {
      event.preventDefault();
      if (busy) return;
      if (peakN !== null) void store();
      else if (isVirtual) void pull();
    }
  };
  return (
    <BenchSheet onKey={onKey} onLeave={onLeave}>
      <Dialog.Title className="lettered text-2xl sm:text-3xl">
        {product.name}, pull {test.pulls.length + 1} of {pullsEach}
      </Dialog.Title>
      <p className="mt-1 text-lg">
        A {test.condition} piece, {format.length(test.gaugeLengthM)} between the grips
        {test.sampleLabel && `, ${test.sampleLabel}`}. Slack line, tare, then pull steadily until it breaks. Expected:{' '}
        <b className="figures">{format.force(test.expectedN)}</b>.
      </p>
      <div className="grow content-center py-3">
        <p className="text-lg text-ink-soft">
          {gauge.running ? 'pulling' : peakN === null ? 'tared, waiting' : 'broke at'}
        </p>
        <p
          className="figures text-6xl leading-none font-bold text-chalk sm:text-[9rem]"
          aria-live="polite"
          data-testid="bench-peak"
        >
          {gauge.running ? format.force(Math.max(0, gauge.nowN ?? 0)) : peakN === null ? '···' : format.force(peakN)}
        </p>
        {peakN !== null && !gauge.running && <OffExpected peakN={peakN} expectedN={test.expectedN} />}
        {gauge.reading && gauge.reading.slips > 0 && (
          <p className="text-lg text-warn">The line slipped in its grip on the way: its peak still counts.</p>
        )}
        {gauge.problem && (
          <p role="alert" className="text-lg font-semibold text-stop">
            {gauge.problem}
          </p>
        )}
        <TracePlot samples={gauge.samples} label="The pull" />
        <OpenPulls test={test} />
        <Misfit pullsN={test.pulls.map((made) => made.peakN)} />
        <div className="mt-3 grid grid-cols-3 gap-2" role="group" aria-label="It broke">
          {BREAK_PLACES.map((each) => (
            <Button
              key={each.value}
              className={`min-h-16 ${place === each.value ? 'border-4 border-ink' : ''}`}
              aria-pressed={place === each.value}
              onClick={() => setPlace(each.value)}
            >
              {each.text} <kbd className="figures text-sm">{each.key}</kbd>
            </Button>
          ))}
        </div>
      </div>
      <div className="grid gap-3">
        {peakN === null && (
          <Caution>Eye protection on. Out of line with the pull, the snap-back zone clear, the anchor strong.</Caution>
        )}
        <QuantityField label="Or type the peak" {...typed.field} />
        {isVirtual && (
          <Button className="min-h-14" disabled={busy} onClick={() => void pull()}>
            {gauge.reading ? 'Pull another piece' : 'Tare and pull'} on the virtual gauge (simulated)
          </Button>
        )}
        <Button
          weight="main"
          className="min-h-20 text-2xl"
          disabled={busy || peakN === null}
          onClick={() => void store()}
        >
          Record this pull <kbd className="figures text-base">space</kbd>
        </Button>
        <BenchFooter back="Undo" disabled={busy || !last} onBack={() => void undo()} />
      </div>
    </BenchSheet>
  );
}
