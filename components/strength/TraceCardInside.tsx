'use client';

import { useEffect, useRef, useState } from 'react';
import type { StrengthTestRecord } from '@/core/record/record';
import type { TraceReading } from '@/core/strength/analyseTrace';
import { unitsOf } from '@/core/units/units';
import { ChoiceField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { workedOut, type Working } from '@/components/ui/workedOut';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { TraceDrawing } from './TraceDrawing';
import type { ReadTrace, TraceWorker } from './trace.worker';

/** Columns of the drawing: about one for each pixel. */
const COLUMNS = 600;

type Import =
  | { readonly kind: 'none' }
  | { readonly kind: 'reading'; readonly name: string }
  | { readonly kind: 'refused'; readonly message: string }
  | { readonly kind: 'read'; readonly name: string; readonly trace: ReadTrace; readonly unit: string };

/** A trace that a force gauge recorded: read in a worker, drawn with every extreme, and its peak taken as a pull. */
export function TraceCardInside({ test }: { test: StrengthTestRecord }) {
  const { units } = useUnits();
  const say = useSay();
  const [unit, setUnit] = useState<string>(units.force);
  const [state, setState] = useState<Import>({ kind: 'none' });
  const reading = useRef<Working<unknown> | null>(null);
  const stop = (): void => reading.current?.stop();
  useEffect(() => stop, []);
  const read = async (file: File): Promise<void> => {
    stop();
    const trace = workedOut<TraceWorker, Awaited<ReturnType<TraceWorker['read']>>>(
      () => new Worker(new URL('./trace.worker.ts', import.meta.url)),
      (worker) => worker.read(file, unit, test.gaugeLengthM, COLUMNS),
    );
    reading.current = trace;
    setState({ kind: 'reading', name: file.name });
    try {
      const outcome = await trace.found;
      setState(
        outcome.ok
          ? { kind: 'read', name: file.name, trace: outcome.value, unit }
          : { kind: 'refused', message: say(outcome) },
      );
    } catch {
      setState({ kind: 'refused', message: 'That file cannot be read.' });
    }
  };
  return (
    <>
      <div className="flex flex-col gap-3">
        <div className="grid grid-cols-2 items-end gap-2">
          <ChoiceField
            label="Its force is in"
            value={unit}
            options={unitsOf('force').map((each) => ({ value: each, text: each }))}
            onChange={setUnit}
            hint="asked once for the file"
          />
          <label className="flex min-h-11 flex-col gap-1 text-sm font-semibold">
            File
            <input
              type="file"
              accept=".csv,.txt,.tsv,text/csv,text/plain"
              className="min-h-11 w-full font-normal"
              onChange={(event) => {
                const file = event.target.files?.[0];
                if (file) void read(file);
                event.target.value = '';
              }}
            />
          </label>
        </div>
        {state.kind === 'reading' && (
          <p role="status" className="flex items-center gap-3">
            Reading {state.name} …
            <Button
              weight="quiet"
              onClick={() => {
                stop();
                setState({ kind: 'none' });
              }}
            >
              Cancel
            </Button>
          </p>
        )}
        {state.kind === 'refused' && (
          <p role="alert" className="font-semibold text-stop">
            {state.message}
          </p>
        )}
        {state.kind === 'read' && <Read test={test} state={state} onTaken={() => setState({ kind: 'none' })} />}
      </div>
    </>
  );
}

function Read({
  test,
  state,
  onTaken,
}: {
  test: StrengthTestRecord;
  state: Extract<Import, { kind: 'read' }>;
  onTaken: () => void;
}) {
  const say = useSay();
  const { record } = useRig();
  const { sendNow, state: sending } = useSend();
  const { reading } = state.trace;
  const take = async (peakN: number): Promise<void> => {
    const instrument = `recorded trace, ${state.name}`.slice(0, 80);
    const result = await sendNow(
      'recordStrengthPull',
      { boatId: record.boat.id, testId: test.id },
      { peakN, breakPlace: 'middle', instrument },
      'Recorded as a pull.',
    );
    if (result.ok) onTaken();
  };
  return (
    <>
      <TraceDrawing columns={state.trace.columns} tareN={reading.ok ? reading.value.tareN : 0} />
      {reading.ok ? (
        <>
          <Figures reading={reading.value} />
          <Button disabled={sending.kind === 'sending'} onClick={() => void take(reading.value.peakN)}>
            Record it as a pull of this test
          </Button>
        </>
      ) : (
        <p role="alert" className="font-semibold text-stop">
          {say(reading)}
        </p>
      )}
    </>
  );
}

function Figures({ reading }: { reading: TraceReading }) {
  const { format } = useUnits();
  const rows = [
    ['peak', format.force(reading.peakN)],
    ['broke at', `${reading.brokeAtS.toFixed(2)} s`],
    ['taken off as tare', format.force(reading.tareN)],
    ['loading rate', `${format.force(reading.loadingRateNPerS)} a second`],
    ...(reading.stretch?.map(({ load, share }) => [
      `stretch at ${format.percent(load)} of the peak`,
      `${(100 * share).toFixed(1)} %`,
    ]) ?? []),
    ...(reading.stiffnessN === null ? [] : [['stiffness, force per strain', format.force(reading.stiffnessN)]]),
    ['slips in a grip', String(reading.slips)],
    ['samples', String(reading.samples)],
  ];
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-sm">
      {rows.map(([name, value]) => (
        <div key={name} className="contents">
          <dt className="text-ink-soft">{name}</dt>
          <dd className="figures font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
