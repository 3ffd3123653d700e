'use client';

import { useState } from 'react';
import { JOIN_KINDS } from '@/core/joins/joinKinds';
import type { CounterRecord, LoadRecord, LoadSegmentRecord } from '@/core/rig/record';
import { VirtualBench } from '@/components/bench/VirtualMark';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { TextField } from '@/components/fields/TextField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Card, Caution } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';

/** Winding, segment by segment: where to stop, and the reading that was noted. */
export function WindingPanel({ load }: { load: LoadRecord }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const wound = load.segments.filter((segment) => segment.wound);
  const next = wound.find((segment) => !load.winding.some((entry) => entry.segmentId === segment.segmentId));
  const path = `/api/boats/${record.boat.id}/rigs/${record.id}/loads/${load.id}`;
  const lastNoted = load.winding.at(-1);
  return (
    <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
      <div className="flex flex-col gap-4">
        {next ? (
          <WindNext key={next.segmentId} segment={next} load={load} path={path} />
        ) : (
          <Finish load={load} path={path} />
        )}
      </div>
      <Card title="Winding log">
        <ol className="flex flex-col divide-y divide-edge">
          {wound.map((segment, index) => {
            const entry = load.winding.find((candidate) => candidate.segmentId === segment.segmentId);
            return (
              <li key={segment.segmentId} className="flex items-baseline justify-between gap-3 py-2">
                <span className={segment === next ? 'font-bold' : ''}>
                  {index + 1}. {segment.name}
                </span>
                <span className="figures">
                  {entry
                    ? entry.reading === null
                      ? 'on'
                      : `stopped at ${entry.reading}`
                    : segment === next
                      ? 'now'
                      : 'to come'}
                </span>
              </li>
            );
          })}
        </ol>
        <p className="mt-2 text-sm text-ink-soft">
          Keep these readings: what goes on in so many turns comes off in as many, so they are the counter&apos;s own
          table for this load.
        </p>
        <div className="mt-3 flex flex-wrap gap-2">
          {lastNoted && (
            <Button
              disabled={state.kind === 'sending'}
              onClick={() =>
                void sendNow(
                  'POST',
                  `/api/boats/${record.boat.id}/withdrawals`,
                  { kind: 'winding', id: lastNoted.id, rigId: record.id, reason: 'undone at the bench' },
                  'The last note is taken back.',
                )
              }
            >
              Undo the last note
            </Button>
          )}
          <Button
            weight="quiet"
            disabled={state.kind === 'sending'}
            onClick={() => void sendNow('POST', `${path}/abandon`, {}, 'Winding abandoned; the plan is still there.')}
          >
            Abandon this winding
          </Button>
        </div>
      </Card>
    </div>
  );
}

function WindNext({ segment, load, path }: { segment: LoadSegmentRecord; load: LoadRecord; path: string }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state, fieldError } = useSend();
  const bench = useVirtualReel();
  const [instrument, setInstrument] = useState('read by eye');
  const [typed, setTyped] = useDraft(`winding:${load.id}:${segment.segmentId}`, isText);
  const { counter } = record.reel;
  const order = load.segments.filter((candidate) => candidate.wound);
  const below = order[order.indexOf(segment) - 1];
  const join = record.joins.find((candidate) => candidate.outerSegmentId === segment.segmentId);
  const material = record.products.find((product) => product.id === segment.productId)?.material;
  const text = typed ?? '';
  const reading = /^\d+$/.test(text.trim()) ? Number(text) : null;
  const unreadable = text.trim() !== '' && reading === null ? 'A counter shows whole numbers only.' : undefined;
  const note = async (): Promise<void> => {
    const result = await sendNow('POST', `${path}/winding`, {
      segmentId: segment.segmentId,
      reading: counter ? reading : null,
      instrument,
      note: '',
    });
    if (result.ok) setTyped(null);
  };
  const wind = async (): Promise<void> => {
    const shown = await bench.work({ act: 'wind', segmentId: segment.segmentId });
    if (!shown) return;
    setInstrument(shown.instrument);
    if (shown.reading !== null) setTyped(String(shown.reading));
    else
      await sendNow('POST', `${path}/winding`, {
        segmentId: segment.segmentId,
        reading: null,
        instrument: shown.instrument,
        note: '',
      });
  };
  return (
    <Card title={`Wind on: ${segment.name}`}>
      <ol className="mb-4 list-decimal space-y-1 pl-5">
        <li>
          {join ? `Tie: ${JOIN_KINDS[join.kind].name}` : 'Join it'} {below ? `to ${below.name}` : 'to the arbor'}.
        </li>
        <li>
          Lock the drag, clicker off. Lay it on square to the flange and hard; wind with the {record.reel.windHand}{' '}
          hand.
        </li>
        {counter && <li>Zero the counter now. It will run backwards from 000.</li>}
        <li>
          {segment.lengthKnown
            ? `Wind all ${format.length(segment.plannedLengthM)} on and note where the counter stands.`
            : `Stop after ${format.length(segment.plannedLengthM, segment.plannedPlusMinusM)} of true line.`}
        </li>
      </ol>
      {counter && segment.stopReading !== null ? (
        <div className="mb-4 flex flex-wrap items-end gap-x-8 gap-y-1">
          <p>
            <span className="block text-sm text-ink-soft">
              {segment.lengthKnown ? 'it should end near' : 'stop at'}
            </span>
            <span className="figures text-6xl font-bold" data-testid="stop-reading">
              {String(segment.stopReading).padStart(counter.digits, '0')}
            </span>
          </p>
          <p className="text-sm text-ink-soft">
            by length alone people would stop at{' '}
            <b className="figures">{String(segment.naiveStopReading ?? 0).padStart(counter.digits, '0')}</b>;
            <br />
            {whyReadingsDiffer(segment, counter)}
          </p>
        </div>
      ) : (
        <p className="figures mb-4 text-4xl font-bold">
          {format.counts(segment.plannedTurns)} <span className="text-lg">spool turns</span>
        </p>
      )}
      {material === 'lead core' && (
        <Caution>
          Lead: wash your hands afterwards, keep scraps out of the water and away from children. Some waters restrict
          it.
        </Caution>
      )}
      <div className="mt-4 flex flex-wrap items-end gap-2">
        {counter && (
          <div className="w-40">
            <TextField
              label="Counter reads"
              inputMode="numeric"
              figures
              value={text}
              onChange={(now) => {
                setTyped(now);
                setInstrument('read by eye');
              }}
              error={unreadable ?? fieldError('reading')}
            />
          </div>
        )}
        <Button
          weight="main"
          disabled={state.kind === 'sending' || (counter !== null && reading === null)}
          onClick={() => void note()}
        >
          {counter ? 'Note this reading' : 'It is on'}
        </Button>
      </div>
      {record.hasVirtualReel && (
        <div className="mt-4">
          <VirtualBench instrument="counter reel">
            <Button disabled={bench.busy} onClick={() => void wind()}>
              Wind it on the virtual reel
            </Button>
          </VirtualBench>
        </div>
      )}
    </Card>
  );
}

/** Why the counter's own stop differs from the subtraction: it counts turns, and takes each for a fixed length. */
function whyReadingsDiffer(segment: LoadSegmentRecord, counter: CounterRecord): string {
  const counts = (segment.plannedTurns * counter.lengthPerTurnM.value) / counter.unitM;
  const off = (counts * counter.unitM) / segment.plannedLengthM - 1;
  if (Math.abs(off) < 0.01) return 'here a turn takes just about what the counter takes it for';
  return off > 0
    ? `this deep a turn takes ${Math.round((100 * off) / (1 + off))} % less line than the counter thinks`
    : `this full a turn takes ${Math.round((-100 * off) / (1 + off))} % more line than the counter thinks`;
}

function Finish({ load, path }: { load: LoadRecord; path: string }) {
  const { record } = useRig();
  const { sendNow, state, fieldError } = useSend();
  const bench = useVirtualReel();
  const level = useQuantity(`level:${load.id}`, 'smallLength', null, LIMITS.levelBelowRimM);
  const measure = async (): Promise<void> => {
    const shown = await bench.work({ act: 'measure-level' });
    if (shown?.levelBelowRimM != null) level.set({ text: (shown.levelBelowRimM * 1000).toFixed(1), unit: 'mm' });
  };
  const finish = async (levelBelowRimM: number | null): Promise<void> => {
    const result = await sendNow(
      'POST',
      `${path}/finish`,
      { version: load.version, levelBelowRimM },
      'Loaded. Leave the supply line uncut until the counter is accepted.',
    );
    if (result.ok) level.forget();
  };
  return (
    <Card title="All on: measure the level">
      <p className="mb-3">
        Lay a straight edge over the rim and measure down to the line at three points; take the middle one. The measured
        level tells how this line really packs on this reel.
      </p>
      <div className="flex flex-wrap items-end gap-2">
        <div className="w-52">
          <QuantityField
            label="Level under the rim"
            {...level.field}
            hint="minus when it stands above"
            error={fieldError('levelBelowRimM')}
          />
        </div>
        <Button
          weight="main"
          disabled={state.kind === 'sending' || level.value === null}
          onClick={() => void finish(level.value)}
        >
          Finish this load
        </Button>
        <Button disabled={state.kind === 'sending'} onClick={() => void finish(null)}>
          Finish without measuring
        </Button>
      </div>
      {record.hasVirtualReel && (
        <div className="mt-4">
          <VirtualBench instrument="caliper on the virtual reel">
            <Button disabled={bench.busy} onClick={() => void measure()}>
              Measure on the virtual reel
            </Button>
          </VirtualBench>
        </div>
      )}
    </Card>
  );
}
