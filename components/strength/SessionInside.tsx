'use client';

import dynamic from 'next/dynamic';
import { dayWords } from '@/words/dates';
import { useState } from 'react';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { expectedBreak } from '@/core/rig/strength/expectedBreak';
import type { LineProductRecord, StrengthTestRecord } from '@/core/record/record';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { readTyped } from '@/components/fields/typedQuantity';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';

/** Loaded when it is first asked for. */
const StrengthBench = dynamic(() => import('./StrengthBench').then(({ StrengthBench: loaded }) => loaded), {
  ssr: false,
});

/** Sessions of pulls: planned beforehand with what is expected of each line, then pulled in bench mode. */
export function SessionInside({ ids }: { ids: readonly string[] }) {
  const { record } = useRig();
  const [onBench, setOnBench] = useState(false);
  const newest = record.strengthSessions.at(-1);
  const tests = record.strengthTests.filter((test) => newest !== undefined && test.sessionId === newest.id);
  const made = tests.reduce((sum, test) => sum + Math.min(test.pulls.length, newest?.pullsEach ?? 0), 0);
  const planned = tests.length * (newest?.pullsEach ?? 0);
  return (
    <>
      <div className="flex flex-col gap-4">
        {newest && made < planned && (
          <Button weight="main" onClick={() => setOnBench(true)}>
            Go on with {newest.name} in bench mode
          </Button>
        )}
        <Plan ids={ids} onPlanned={() => setOnBench(true)} />
      </div>
      {onBench && newest && (
        <StrengthBench tests={tests} pullsEach={newest.pullsEach} onLeave={() => setOnBench(false)} />
      )}
    </>
  );
}

const USUAL_PULLS = '5';

function Plan({ ids, onPlanned }: { ids: readonly string[]; onPlanned: () => void }) {
  const { record } = useRig();
  const { sendNow, state, fieldError } = useSend();
  const [chosen, setChosen] = useState<readonly string[]>(ids);
  const [expected, setExpected] = useState<Readonly<Record<string, number | null>>>({});
  const [spools, setSpools] = useState<Readonly<Record<string, string>>>({});
  const [name, setName] = useState(`Pulls of ${dayWords(record.readAt)}`);
  const [pullsEach, setPullsEach] = useState(USUAL_PULLS);
  const [condition, setCondition] = useState<StrengthTestRecord['condition']>('soaked');
  const gauge = useQuantity(`session-gauge:${record.id}`, 'length', 0.5, LIMITS.gaugeLengthM);
  const valueFor = (product: LineProductRecord): number | null =>
    product.id in expected ? (expected[product.id] ?? null) : (expectedBreak(record, product)?.valueN.value ?? null);
  const lines = record.products.filter((product) => chosen.includes(product.id));
  const ready = lines.length > 0 && lines.every((line) => valueFor(line) !== null) && gauge.value !== null;
  const plan = async (): Promise<void> => {
    const body = {
      name,
      condition,
      gaugeLengthM: gauge.value,
      pullsEach: Number(pullsEach),
      lines: lines.map((line) => ({
        productId: line.id,
        sampleLabel: spools[line.id] ?? '',
        expectedN: valueFor(line),
      })),
    };
    const result = await sendNow('planSession', { boatId: record.boat.id }, body, 'Written down. Now pull.');
    if (result.ok) onPlanned();
  };
  return (
    <div className="flex flex-col gap-3">
      <div className="grid grid-cols-2 gap-2">
        <TextField label="Session" value={name} onChange={setName} error={fieldError('name')} />
        <TextField
          label="Pulls of each line"
          inputMode="numeric"
          figures
          value={pullsEach}
          onChange={setPullsEach}
          error={fieldError('pullsEach')}
        />
        <ChoiceField
          label="The pieces are"
          value={condition}
          options={[
            { value: 'soaked', text: 'soaked, as they are fished' },
            { value: 'dry', text: 'dry' },
          ]}
          onChange={setCondition}
        />
        <QuantityField label="Length between grips" {...gauge.field} error={fieldError('gaugeLengthM')} />
      </div>
      <fieldset className="flex flex-col gap-2">
        <legend className="mb-1 font-semibold">Lines, and what you expect of each before it is pulled</legend>
        {record.products.map((product) => (
          <PlannedLine
            key={product.id}
            product={product}
            isChosen={chosen.includes(product.id)}
            onChoose={(isIn) =>
              setChosen(isIn ? [...chosen, product.id] : chosen.filter((each) => each !== product.id))
            }
            onExpect={(valueN) => setExpected({ ...expected, [product.id]: valueN })}
            spool={spools[product.id] ?? ''}
            onSpool={(spool) => setSpools({ ...spools, [product.id]: spool })}
          />
        ))}
      </fieldset>
      <Button disabled={state.kind === 'sending' || !ready} onClick={() => void plan()}>
        Plan this session and begin
      </Button>
    </div>
  );
}

function PlannedLine({
  product,
  isChosen,
  onChoose,
  onExpect,
  spool,
  onSpool,
}: {
  product: LineProductRecord;
  isChosen: boolean;
  onChoose: (isIn: boolean) => void;
  onExpect: (valueN: number | null) => void;
  spool: string;
  onSpool: (spool: string) => void;
}) {
  const { record } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const likely = expectedBreak(record, product);
  const field = useQuantity(`session-expected:${product.id}`, 'force', likely?.valueN.value ?? null, LIMITS.forceN);
  return (
    <div className="border-l-4 border-rule pl-3">
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-6"
          checked={isChosen}
          onChange={(event) => onChoose(event.target.checked)}
        />
        <span>{product.name}</span>
      </label>
      {isChosen && (
        <div className="grid gap-2 sm:grid-cols-2">
          <QuantityField
            label={`Expected of ${product.name}`}
            {...field.field}
            onTyped={(typed) => {
              field.field.onTyped(typed);
              const read = readTyped(typed, null, 'force', LIMITS.forceN);
              onExpect(read.ok ? read.value : null);
            }}
            hint={
              likely
                ? `${format.force(likely.valueN.value, PLUS_MINUS_SDS * likely.valueN.sd)} by ${say(likely.why)}`
                : 'no label and no pulls: your own guess'
            }
          />
          <TextField
            label={`Spool of ${product.name}`}
            value={spool}
            onChange={onSpool}
            hint="which one, which end of it; may stay empty"
          />
        </div>
      )}
    </div>
  );
}
