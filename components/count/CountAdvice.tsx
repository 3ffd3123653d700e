'use client';

import { correctionTable } from '@/core/calibration/correctionTable';
import { adviceForRig } from '@/core/rig/adviceForRig';
import { validTrial } from '@/core/rig/currentLine';
import type { LoadRecord } from '@/core/rig/record';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Caution } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';

/** What the newest walk says, and what to do about it: three ways side by side. */
export function CountAdvice({ load }: { load: LoadRecord }) {
  const { record, states } = useRig();
  const { format } = useUnits();
  const trial = validTrial(record);
  const unitM = record.reel.counter?.unitM ?? 1;
  if (!trial) return <Expectation />;
  const error = (trial.reading * unitM) / trial.trueLengthM - 1;
  return (
    <div className="flex flex-col gap-4">
      <div aria-live="polite">
        <p className="figures text-4xl font-bold">
          {format.counts(trial.reading)} <span className="text-lg">at a true {format.length(trial.trueLengthM)}</span>
        </p>
        <p>
          {Math.abs(error) < 0.005
            ? 'The counter is true here to within half a per cent.'
            : error < 0
              ? `The counter reads ${format.percent(-error)} low: the spool is too full, each turn takes more line than it counts. Line would have to come off.`
              : `The counter reads ${format.percent(error)} high: the spool is not full enough, each turn takes less line than it counts. Line would have to go on.`}
        </p>
      </div>
      <Ways load={load} readsHigh={error > 0} />
      {states.count.state === 'done' ? (
        <p className="font-semibold text-go">Accepted: {states.count.why}. The supply line may be cut.</p>
      ) : (
        <Accept load={load} />
      )}
    </div>
  );
}

/** A walk that a 100 ft tape allows (m): what the next walk should show. */
const USUAL_WALK_M = 30.48;

/** Before a walk: what to expect of it, and what that rests on. */
function Expectation() {
  const { record, view } = useRig();
  const { format } = useUnits();
  if (!view?.evidence || !view.correction) return null;
  const walkM = Math.min(USUAL_WALK_M, view.current.line.woundLengthM);
  const [reading] = correctionTable(view.current.line, view.evidence, view.correction, [walkM]);
  return (
    <div aria-live="polite">
      {reading && (
        <p className="figures text-4xl font-bold">
          {format.counts(reading.value, reading.plusMinus)}{' '}
          <span className="text-lg">expected at a true {format.length(walkM)}</span>
        </p>
      )}
      <p>
        There is no walk of the line as it is now. Until one is made, every reading below rests on{' '}
        {record.calibration
          ? 'the constant that an earlier test of this reel gave'
          : "the maker's statement of the counter"}{' '}
        and on how full the spool is. One walk along a tape binds the whole table to this very line.
      </p>
    </div>
  );
}

function Ways({ load, readsHigh }: { load: LoadRecord; readsHigh: boolean }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state } = useSend();
  const advice = adviceForRig(record);
  const top = load.segments.findLast((segment) => segment.wound);
  const strip = advice.ok ? advice.value.stripM.value : 0;
  const note = (): void => {
    const body = {
      segmentId: top?.segmentId,
      changeM: Math.abs(strip),
      reason: strip > 0 ? 'stripped' : 'added',
      note: 'to make the counter true',
    };
    void sendNow(
      'POST',
      `/api/boats/${record.boat.id}/rigs/${record.id}/loads/${load.id}/changes`,
      body,
      'Noted. Walk the tape once more to confirm.',
    );
  };
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <section className="border-l-4 border-rule pl-3">
        <h3 className="lettered">{readsHigh ? 'Add at the top' : 'Strip at the top'}</h3>
        {advice.ok ? (
          <>
            <p className="figures text-2xl font-bold">
              {format.length(Math.abs(strip), advice.value.stripM.plusMinus)}
            </p>
            <p className="text-sm">
              {strip > 0 ? 'off' : 'on to'} {top?.name}; then expect {format.counts(advice.value.expectedReading)} at
              the same walk. The ± comes mostly from {advice.value.stripM.mainlyFrom}. Measure it off and keep it uncut
              until the next walk confirms it.
            </p>
            <Button className="mt-2" disabled={state.kind === 'sending'} onClick={note}>
              I have {strip > 0 ? 'taken it off' : 'put it on'}
            </Button>
          </>
        ) : (
          <p className="text-sm">
            Closed: {advice.message}
            {advice.reason === 'past-the-rim' &&
              ` It would take ${format.length(advice.figures.wantedM ?? 0)}; ${format.length(advice.figures.mostM ?? 0)} reach the rim, where it would read ${format.counts(advice.figures.readingAtRim ?? 0)}.`}
          </p>
        )}
      </section>
      <section className="border-l-4 border-rule pl-3">
        <h3 className="lettered">Leave it, use the table</h3>
        <p className="text-sm">
          Costs nothing and is right over the whole line: set by the corrected readings in the table below instead of by
          the counter&apos;s own.
        </p>
      </section>
    </div>
  );
}

function Accept({ load }: { load: LoadRecord }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const accept = (method: 'true' | 'card'): void => {
    void sendNow(
      'POST',
      `/api/boats/${record.boat.id}/rigs/${record.id}/calibrations`,
      { loadId: load.id, method },
      'The counter is accepted.',
    );
  };
  return (
    <div className="flex flex-col gap-2">
      <Caution>
        Do not cut the supply line before you have accepted one of these: until then everything can be undone.
      </Caution>
      <div className="flex flex-wrap gap-2">
        <Button weight="main" disabled={state.kind === 'sending'} onClick={() => accept('card')}>
          Accept, with the table
        </Button>
        <Button disabled={state.kind === 'sending'} onClick={() => accept('true')}>
          Accept as true
        </Button>
      </div>
    </div>
  );
}
