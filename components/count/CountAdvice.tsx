'use client';

import { useMemo } from 'react';
import { correctionTable } from '@/core/calibration/correctionTable';
import { evidenceWorth, plusMinusWithout, restsOn } from '@/core/calibration/evidenceWorth';
import { countsAt } from '@/core/calibration/observations';
import { adviceForRig, type CounterAdvice } from '@/core/rig/count/adviceForRig';
import { validTrial } from '@/core/rig/line/currentLine';
import { wasLogged } from '@/core/rig/counter/loadObservations';
import type { LoadRecord } from '@/core/record/record';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Caution } from '@/components/ui/Card';
import { showFold } from '@/components/ui/folds';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { WithMeasureNext } from '@/components/worth/WithMeasureNext';

/** What the counter does by everything that is known of it, and what to do about it. */
export function CountAdvice({ load }: { load: LoadRecord }) {
  const { record, states, view } = useRig();
  const say = useSay();
  const advice = view && adviceForRig(view);
  if (!view || !advice) return null;
  const figure = view.counter ? correctionTable(view.counter, [advice.atM])[0] : undefined;
  const isTested = validTrial(record) !== null;
  const canAccept = isTested || wasLogged(record);
  return (
    <div className="flex flex-col gap-4">
      <WithMeasureNext
        figure={{ kind: 'counter', value: advice.readsNow, plusMinus: figure?.plusMinus ?? 0 }}
        kinds={['counter']}
      >
        <Answer advice={advice} />
      </WithMeasureNext>
      <p className="text-sm">{basisWords(isTested, wasLogged(record))}</p>
      {states.count.state === 'done' ? (
        <p className="font-semibold text-go">Accepted: {say(states.count.why)}. The supply line may be cut.</p>
      ) : (
        <Accept load={load} canAccept={canAccept} />
      )}
    </div>
  );
}

function basisWords(isTested: boolean, isLogged: boolean): string {
  if (isTested) {
    return `It rests on your test of the line as it is${isLogged ? ', the winding log' : ''} and every level that was read.`;
  }
  if (isLogged) {
    return 'No walk is needed: the winding was logged, and what went on in so many counts comes off in as many. A walk would narrow the ±.';
  }
  return 'There is no test of the line as it is now: one walk along a tape binds the whole table to this very line.';
}

/** The reading at the usual walk, and in plain words which way it lies. */
function Answer({ advice }: { advice: CounterAdvice }) {
  const { view } = useRig();
  const { format } = useUnits();
  const figure = view?.counter ? correctionTable(view.counter, [advice.atM])[0] : undefined;
  const { errorNow, atM } = advice;
  const alone = useMemo(() => {
    const estimate = view?.counter;
    const { unitM } = estimate?.counter ?? { unitM: NaN };
    return estimate ? restsOn(evidenceWorth(estimate, (load) => countsAt(load, atM, unitM))) : null;
  }, [view, atM]);
  const unitM = view?.counter?.counter.unitM ?? 1;
  const isTrueHere = Math.abs(advice.readsNow - advice.atM / unitM) <= 0.5;
  return (
    <div aria-live="polite">
      <p className="figures text-4xl font-bold">
        {format.counts(advice.readsNow, figure?.plusMinus)}{' '}
        <span className="text-lg">at a true {format.length(advice.atM)}</span>
      </p>
      <p>
        {isTrueHere
          ? 'The counter is true here to within its own whole count.'
          : errorNow < 0
            ? `The counter reads ${format.percent(-errorNow)} low: the spool is too full, each turn takes more line than it counts. Line would have to come off.`
            : `The counter reads ${format.percent(errorNow)} high: the spool is not full enough, each turn takes less line than it counts. Line would have to go on.`}
      </p>
      {alone && figure && (
        <p className="text-sm text-warn">
          This rests on one measurement, {alone.observation.name}: without it the figure would be known to ±{' '}
          {plusMinusWithout(figure.plusMinus, alone).toFixed(1)} counts only. A second one would show a slip in it.
        </p>
      )}
    </div>
  );
}

function Accept({ load, canAccept }: { load: LoadRecord; canAccept: boolean }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const accept = (method: 'true' | 'card'): void => {
    void sendNow(
      'acceptCalibration',
      { boatId: record.boat.id, rigId: record.id },
      { loadId: load.id, method },
      'The counter is accepted.',
    );
  };
  return (
    <div className="flex flex-col gap-2">
      <Caution>
        Do not cut the supply line before you have accepted one of these: until then everything can be undone.
      </Caution>
      <div className="flex flex-wrap items-center gap-2">
        {canAccept ? (
          <>
            <Button weight="main" disabled={state.kind === 'sending'} onClick={() => accept('card')}>
              Accept, with the table
            </Button>
            <Button disabled={state.kind === 'sending'} onClick={() => accept('true')}>
              Accept as true
            </Button>
          </>
        ) : (
          <>
            <Button weight="main" onClick={() => showFold('test')}>
              Test it along a tape
            </Button>
            <span className="text-sm text-ink-soft">It can be accepted once the line as it is now was tested.</span>
          </>
        )}
      </div>
    </div>
  );
}
