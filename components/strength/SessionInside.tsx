'use client';

import dynamic from 'next/dynamic';
import { dayWords } from '@/words/dates';
import { useState } from 'react';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { expectedBreak } from '@/core/rig/strength/expectedBreak';
import type { LineProductRecord, RigRecord, StrengthTestRecord } from '@/core/record/record';
import { FormChoice, FormQuantity, FormText } from '@/components/fields/FormParts';
import { choice, neededNumber, neededQuantity, neededWords, rows, words } from '@/components/fields/specs';
import { useDraftForm, type DraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { fetched } from '@/components/ui/fetched';
import { LIMITS } from '@/usecases/limits';

/** Loaded when it is first asked for. */
const StrengthBench = dynamic(
  () => fetched(() => import('./StrengthBench')).then(({ StrengthBench: loaded }) => loaded),
  {
    ssr: false,
  },
);

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

const USUAL_PULLS = 5;
const PULLS_LIMITS = { min: 1, max: 100 };
const CONDITIONS: readonly StrengthTestRecord['condition'][] = ['soaked', 'dry'];

function Plan({ ids, onPlanned }: { ids: readonly string[]; onPlanned: () => void }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const form = useDraftForm(`session:${record.id}`, planSpecs(record, ids));
  const chosen = form.raw('chosen');
  const lines = record.products.filter((product) => chosen.includes(product.id));
  const left = record.products.filter((product) => !chosen.includes(product.id));
  const plan = (): Promise<void> =>
    form.submit(
      async (values) => {
        const { name, condition, gaugeLengthM, pullsEach } = values;
        const body = {
          name,
          condition,
          gaugeLengthM,
          pullsEach,
          lines: lines.map((line) => ({
            productId: line.id,
            sampleLabel: values[`spool ${line.id}`] ?? '',
            expectedN: values[`expected ${line.id}`] ?? null,
          })),
        };
        const result = await sendNow('planSession', { boatId: record.boat.id }, body, 'Written down. Now pull.');
        if (result.ok) onPlanned();
        return result;
      },
      Object.fromEntries(
        lines.flatMap((line, index) => [
          [`lines.${index}.expectedN`, `expected ${line.id}`] as const,
          [`lines.${index}.sampleLabel`, `spool ${line.id}`] as const,
        ]),
      ),
      left.map((line) => `expected ${line.id}` as const),
    );
  return (
    <div className="flex flex-col gap-3">
      <div className="grid grid-cols-2 items-start gap-2">
        <FormText form={form} name="name" label="Session" />
        <FormText form={form} name="pullsEach" label="Pulls of each line" inputMode="numeric" />
        <FormChoice
          form={form}
          name="condition"
          label="The pieces are"
          options={[
            { value: 'soaked', text: 'soaked, as they are fished' },
            { value: 'dry', text: 'dry' },
          ]}
        />
        <FormQuantity form={form} name="gaugeLengthM" label="Length between grips" />
      </div>
      <fieldset className="flex flex-col gap-2">
        <legend className="mb-1 font-semibold">Lines, and what you expect of each before it is pulled</legend>
        {record.products.map((product) => (
          <PlannedLine
            key={product.id}
            form={form}
            product={product}
            isChosen={chosen.includes(product.id)}
            onChoose={(isIn) =>
              form.set('chosen', isIn ? [...chosen, product.id] : chosen.filter((each) => each !== product.id))
            }
          />
        ))}
      </fieldset>
      <Button disabled={state.kind === 'sending' || lines.length === 0} onClick={() => void plan()}>
        Plan this session and begin
      </Button>
    </div>
  );
}

type LineSpecs = Readonly<Record<`expected ${string}`, ReturnType<typeof neededQuantity>>> &
  Readonly<Record<`spool ${string}`, ReturnType<typeof words>>>;

/** The two fields of each line: what is expected of it, and which spool of it. */
function lineSpecs(record: RigRecord): LineSpecs {
  return Object.fromEntries(
    record.products.flatMap((product) => [
      [
        `expected ${product.id}`,
        neededQuantity('force', LIMITS.forceN, expectedBreak(record, product)?.valueN.value ?? null),
      ] as const,
      [`spool ${product.id}`, words()] as const,
    ]),
  );
}

function planSpecs(record: RigRecord, ids: readonly string[]) {
  const common = {
    name: neededWords(`Pulls of ${dayWords(record.readAt)}`),
    pullsEach: neededNumber(PULLS_LIMITS, USUAL_PULLS),
    condition: choice(CONDITIONS, 'soaked'),
    gaugeLengthM: neededQuantity('length', LIMITS.gaugeLengthM, 0.5),
    chosen: rows(ids),
  };
  const all: typeof common & LineSpecs = { ...common, ...lineSpecs(record) };
  return all;
}

function PlannedLine({
  form,
  product,
  isChosen,
  onChoose,
}: {
  form: DraftForm<ReturnType<typeof planSpecs>>;
  product: LineProductRecord;
  isChosen: boolean;
  onChoose: (isIn: boolean) => void;
}) {
  const { record } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const likely = expectedBreak(record, product);
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
        <div className="grid items-start gap-2 sm:grid-cols-2">
          <FormQuantity
            form={form}
            name={`expected ${product.id}`}
            label={`Expected of ${product.name}`}
            hint={
              likely
                ? `${format.force(likely.valueN.value, PLUS_MINUS_SDS * likely.valueN.sd)} by ${say(likely.why)}`
                : 'no label and no pulls: your own guess'
            }
          />
          <FormText
            form={form}
            name={`spool ${product.id}`}
            label={`Spool of ${product.name}`}
            hint="which one, which end of it; may stay empty"
          />
        </div>
      )}
    </div>
  );
}
