'use client';

import { fromSi } from '@/core/units/units';
import { useState } from 'react';
import type { ForceSample } from '@/core/force/forceSample';
import type { StrengthTestRecord } from '@/core/record/record';
import { expectedBreak } from '@/core/rig/strength/expectedBreak';
import { productOf } from '@/core/rig/line/planForRig';
import { PULLS_FOR_A_MEAN } from '@/core/rig/strength/strengthOfRig';
import { readBreak } from '@/core/strength/readBreak';
import { TracePlot } from '@/components/bench/TracePlot';
import { UndoButton } from '@/components/bench/UndoButton';
import { VirtualBench } from '@/components/bench/VirtualMark';
import { FormChoice, FormQuantity } from '@/components/fields/FormParts';
import { choice, neededQuantity } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useInstrument } from '@/components/fields/useInstrument';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Caution } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';
import { Misfit, OffExpected } from './Misfit';
import { lastPull, OpenPulls } from './OpenPulls';
import { CorrectPull, MovePull } from './MovePull';
import { BREAK_PLACES } from './breakPlaces';
import { TraceCard } from './TraceCard';

const CONDITIONS: readonly StrengthTestRecord['condition'][] = ['dry', 'soaked'];

/** A pull test of one line: the expected force first, then the pulls. */
export function PullTest({ productId }: { productId: string }) {
  const { record } = useRig();
  const tests = record.strengthTests.filter((test) => test.productId === productId);
  const open = tests.at(-1);
  const [anew, setAnew] = useState(false);
  // Until the page has heard of the test just begun, a pull would go in under the one before it.
  const [begunId, setBegunId] = useState<string | null>(null);
  const isUnheard = begunId !== null && !tests.some((test) => test.id === begunId);
  if (begunId !== null && !isUnheard) setBegunId(null);
  return (
    <div className="flex flex-col gap-4">
      <Caution>
        Eye protection on. Stand out of line with the pull; keep the snap-back zone clear and the anchor strong. Gloves;
        never wrap line on a hand.
      </Caution>
      {isUnheard ? (
        <p role="status">Opening the test …</p>
      ) : open && !anew ? (
        <Pulls key={open.id} test={open} onNew={() => setAnew(true)} />
      ) : (
        <StartTest
          key={productId}
          productId={productId}
          onStarted={(testId) => {
            setBegunId(testId);
            setAnew(false);
          }}
        />
      )}
    </div>
  );
}

function StartTest({ productId, onStarted }: { productId: string; onStarted: (testId: string) => void }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const say = useSay();
  const likely = expectedBreak(record, productOf(record, productId));
  const form = useDraftForm(`pull-test:${productId}`, {
    expectedN: neededQuantity('force', LIMITS.forceN, likely?.valueN.value ?? null),
    gaugeLengthM: neededQuantity('length', LIMITS.gaugeLengthM, 0.5),
    condition: choice(CONDITIONS, 'dry'),
  });
  const start = (): Promise<void> =>
    form.submit(async (test) => {
      const body = { productId, ...test, sampleLabel: '' };
      const result = await sendNow('startStrengthTest', { boatId: record.boat.id }, body, 'Written down. Now pull.');
      if (result.ok) onStarted(result.value.id);
      return result;
    });
  return (
    <div className="flex flex-col gap-3">
      <p className="text-sm">
        Write down what you expect before the first pull: a pull that does not fit then shows at once, and is often the
        wrong spool in the grips.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <FormQuantity
          form={form}
          name="expectedN"
          label="Expected to break at"
          hint={likely ? `starts at ${say(likely.why)}` : undefined}
        />
        <FormQuantity form={form} name="gaugeLengthM" label="Length between grips" />
        <FormChoice
          form={form}
          name="condition"
          label="The line is"
          options={[
            { value: 'dry', text: 'dry' },
            { value: 'soaked', text: 'soaked' },
          ]}
        />
      </div>
      <Button weight="main" disabled={state.kind === 'sending'} onClick={() => void start()}>
        Begin this test
      </Button>
    </div>
  );
}

function Pulls({ test, onNew }: { test: StrengthTestRecord; onNew: () => void }) {
  const { record } = useRig();
  const { format, units } = useUnits();
  const say = useSay();
  const { sendNow, state } = useSend();
  const form = useDraftForm(`peak:${test.id}`, {
    peakN: neededQuantity('force', LIMITS.forceN),
    breakPlace: choice(
      BREAK_PLACES.map((place) => place.value),
      'middle',
    ),
  });
  const { instrument, readBy, forget } = useInstrument(`peak:${test.id}`, form.raw('peakN'));
  const peakN = form.value('peakN');
  const [samples, setSamples] = useState<readonly ForceSample[]>([]);
  const [unread, setUnread] = useState<string | null>(null);
  const last = lastPull(test);
  const recordPull = (): Promise<void> =>
    form.submit(async (made) => {
      const body = { ...made, instrument };
      const result = await sendNow('recordStrengthPull', { boatId: record.boat.id, testId: test.id }, body);
      if (result.ok) {
        setSamples([]);
        forget();
      }
      return result;
    });
  const pull = async (): Promise<void> => {
    const result = await sendNow('breakOnVirtualGauge', { boatId: record.boat.id }, { productId: test.productId });
    if (!result.ok) return;
    const shown = result.value;
    const read = readBreak(shown.samples);
    setSamples(shown.samples);
    setUnread(read.ok ? null : say(read));
    if (!read.ok) return;
    const typed = { text: fromSi('force', read.value, 'kg').toFixed(3), unit: 'kg' };
    form.set('peakN', typed);
    form.set('breakPlace', shown.breakPlace ?? 'middle');
    readBy(shown.instrument, typed);
  };
  return (
    <div className="flex flex-col gap-3">
      <p>
        Pull {test.pulls.length + 1}, {test.condition}, {format.length(test.gaugeLengthM)} between grips. Expected{' '}
        <b className="figures">{format.force(test.expectedN)}</b>.
        {test.pulls.length < PULLS_FOR_A_MEAN && ` One pull is an anecdote: ${PULLS_FOR_A_MEAN} make a mean.`}
      </p>
      <div className="grid grid-cols-2 gap-2">
        <FormQuantity form={form} name="peakN" label="Peak force" />
        <FormChoice form={form} name="breakPlace" label="It broke" options={BREAK_PLACES} />
      </div>
      {peakN !== null && <OffExpected peakN={peakN} expectedN={test.expectedN} />}
      <Button weight="main" disabled={state.kind === 'sending'} onClick={() => void recordPull()}>
        Record this pull
      </Button>
      {record.virtualProductIds.includes(test.productId) && (
        <VirtualBench instrument="force gauge">
          <Button disabled={state.kind === 'sending'} onClick={() => void pull()}>
            Pull on the virtual gauge
          </Button>
          <TracePlot samples={samples} label="The virtual pull" />
          {unread && (
            <p role="alert" className="font-semibold text-stop">
              {unread}
            </p>
          )}
        </VirtualBench>
      )}
      {test.pulls.length > 0 && (
        <p className="figures text-sm">
          So far: {test.pulls.map((made) => format.force(made.peakN).replace(` ${units.force}`, '')).join(', ')}{' '}
          {units.force}
        </p>
      )}
      <OpenPulls test={test} />
      <Misfit pullsN={test.pulls.map((made) => made.peakN)} />
      <Moved test={test} />
      <MovePull test={test} />
      <CorrectPull test={test} />
      <TraceCard test={test} />
      <div className="flex flex-wrap gap-2">
        {last && <UndoButton kind="strengthPull" id={last.id} what="pull" reason="undone by the tester" />}
        <Button weight="quiet" onClick={onNew}>
          Begin another test of this line
        </Button>
      </div>
    </div>
  );
}

/** Pulls that were moved here or corrected, and why. */
function Moved({ test }: { test: StrengthTestRecord }) {
  const { format } = useUnits();
  const moved = test.pulls.filter((pull) => pull.note !== '');
  if (moved.length === 0) return null;
  return (
    <ul className="text-sm">
      {moved.map((pull) => (
        <li key={pull.id}>
          {format.force(pull.peakN)} was moved here or corrected: {pull.note}.
        </li>
      ))}
    </ul>
  );
}
