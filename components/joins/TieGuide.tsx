'use client';

import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { ownFigureOf, withOwnCounts, type OwnFigure } from '@/core/joins/ownFigures';
import { prepFigure } from '@/core/joins/prepFigures';
import { schoolsFor, type GuideStep, type School } from '@/core/joins/schools';
import type { JoinRecord } from '@/core/record/record';
import { FormCheck, FormChoice, FormQuantity } from '@/components/fields/FormParts';
import { check, pick, quantity, rows } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Caution } from '@/components/ui/Card';
import { useSay } from '@/components/units/useSay';
import { useUnits } from '@/components/units/UnitsProvider';
import { fetched } from '@/components/ui/fetched';
import { LIMITS } from '@/usecases/limits';
import type { Formatter } from '@/words/format';
import { CAUTIONS, SCHOOL_SOURCES, stepWords } from '@/words/guide';
import { SCHOOL_NAMES } from '@/words/hands';
import { figureWords } from './figureWords';
import { countWords } from './stepCount';
import { placeWords } from './joinLines';
import { linesOfJoin } from '@/core/rig/joins/linesOfJoin';
import { NOBODY, peopleOptions, type Person } from './joinsBench';
import { OwnFigures } from './OwnFigures';
import { SeatingScale } from './SeatingScale';
import { TensionCheck } from './TensionCheck';

/** Drawn once the page is there: its room is kept. */
const GuideDrawing = dynamic(
  () => fetched(() => import('./drawing/GuideDrawing')).then(({ GuideDrawing: loaded }) => loaded),
  {
    ssr: false,
    loading: () => <div className="mb-3 aspect-[2]" />,
  },
);

/** Loaded when it is first asked for. */
const TieBench = dynamic(() => fetched(() => import('./TieBench')).then(({ TieBench: loaded }) => loaded), {
  ssr: false,
});

/** Text of a step with its count and its figure for these very lines. */
export function wordsOfStep(step: GuideStep, figure: string | null, format: Formatter): string {
  return `${stepWords(step.says, format)}${countWords(step)}${figure ? ` ${figure[0]?.toUpperCase()}${figure.slice(1)}.` : ''}`;
}

const tickOf = (school: School | undefined, stepId: string): string => `${school?.id ?? ''} ${stepId}`;

/** Ties one join step by step: no step can be left out, least of all the seating pull. */
export function TieGuide({
  join,
  people,
  ownFigures,
}: {
  join: JoinRecord;
  people: readonly Person[];
  ownFigures: readonly OwnFigure[];
}) {
  const { record } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const { sendNow, state } = useSend();
  const lines = useMemo(() => linesOfJoin(record, join), [record, join]);
  const schools = useMemo(
    () => schoolsFor(join.kind, lines).map((each) => withOwnCounts(each, ownFigures)),
    [join.kind, lines, ownFigures],
  );
  const persons = peopleOptions(people);
  const form = useDraftForm(`tie:${join.id}:${join.kind}`, {
    school: pick(schools.map(({ id }) => id)),
    ticks: rows(),
    personId: pick(persons.map((option) => option.value)),
    pullTested: check(),
    seatedN: quantity('force', LIMITS.forceN),
  });
  const school = schools.find((candidate) => candidate.id === form.value('school'));
  const [onBench, setOnBench] = useState(false);
  // A tick names its school: what was ticked in another one's order does not count here.
  const ticked = form.raw('ticks');
  const steps = school?.steps.map((step) => step.id) ?? [];
  const open = steps.findIndex((id, index) => tickOf(school, id) !== ticked[index]);
  const done = open === -1 ? steps : steps.slice(0, open);
  const setDone = (ids: readonly string[]): void =>
    form.set(
      'ticks',
      ids.map((id) => tickOf(school, id)),
    );
  if (!school) return null;
  const seatingBand = prepFigure('seating', lines);
  const tensionBand = prepFigure('tension', lines);
  const seatedN = form.value('seatedN');
  const person = form.value('personId') ?? NOBODY;
  const hand = people.find((candidate) => candidate.id === person)?.hand ?? 'right';
  const wordsOf = (step: GuideStep): string =>
    wordsOfStep(
      step,
      step.figure ? figureWords(step.figure, lines, format, say, ownFigureOf(school, step, ownFigures)) : null,
      format,
    );
  const toggle = (step: GuideStep, on: boolean): void =>
    setDone(on ? [...done, step.id] : done.slice(0, done.indexOf(step.id)));
  const store = (): Promise<void> =>
    form.submit(({ school: schoolId, personId, pullTested, seatedN }) =>
      sendNow(
        'tieJoin',
        { boatId: record.boat.id, rigId: record.id, joinId: join.id },
        {
          school: schoolId,
          personId: personId === NOBODY ? null : personId,
          pullTested,
          seatedN,
          stepsDone: done,
          note: '',
        },
        'Noted. This join is on record.',
      ),
    );
  const allDone = done.length === school.steps.length;
  return (
    <>
      <div className="mb-2">
        <Button weight="quiet" onClick={() => setOnBench(true)}>
          Bench mode
        </Button>
      </div>
      <div className="mb-3 grid gap-2 sm:grid-cols-2">
        <FormChoice
          form={form}
          name="school"
          label="School"
          options={schools.map(({ id }) => ({ value: id, text: SCHOOL_NAMES[id] }))}
          hint={SCHOOL_SOURCES[school.source]}
        />
        <FormChoice form={form} name="personId" label="Tied by" options={persons} />
      </div>
      <div className="grid items-start gap-x-6 lg:grid-cols-[3fr_2fr]">
        <div className="min-w-0">
          <GuideDrawing school={school} done={done} hand={hand} wordsOf={wordsOf} />
        </div>
        <div className="min-w-0">
          <ol className="flex flex-col gap-1">
            {school.steps.map((step, index) => (
              <Step
                key={step.id}
                step={step}
                words={wordsOf(step)}
                checked={done.includes(step.id)}
                ready={index <= done.length}
                onToggle={(on) => toggle(step, on)}
              />
            ))}
          </ol>
          <OwnFigures school={school} own={ownFigures} />
          {tensionBand && school.steps.some((step) => step.figure === 'tension') && (
            <TensionCheck joinId={join.id} band={tensionBand} />
          )}
        </div>
      </div>
      <div className="mt-4 flex flex-wrap items-end gap-3">
        <div className="w-44">
          <FormQuantity form={form} name="seatedN" label="Seated with" hint="by the scale; may stay empty" />
        </div>
        {seatedN !== null && seatingBand && seatedN < seatingBand.least && (
          <p role="status" className="basis-full text-sm font-semibold text-stop">
            Under-seated: it wants {format.force(seatingBand.least)} to {format.force(seatingBand.most)}. Pull again
            before you note it.
          </p>
        )}
        <FormCheck form={form} name="pullTested" label="pull-tested: it held the pull that it was given" />
        <Button weight="main" disabled={!allDone || state.kind === 'sending'} onClick={() => void store()}>
          Note it as tied
        </Button>
      </div>
      {seatingBand && (
        <div className="mt-3">
          <SeatingScale
            joinId={join.id}
            band={seatingBand}
            onRead={(heldN) => form.set('seatedN', { text: heldN.toFixed(1), unit: 'N' })}
          />
        </div>
      )}
      {!allDone && (
        <p className="mt-2 text-sm text-ink-soft">
          Steps are ticked in their order. A join without its seating pull cannot be noted.
        </p>
      )}
      {onBench && (
        <TieBench
          school={school}
          wordsOf={wordsOf}
          hand={hand}
          done={done}
          onDone={setDone}
          title={placeWords(record, join)}
          onLeave={() => setOnBench(false)}
        />
      )}
    </>
  );
}

function Step({
  step,
  words,
  checked,
  ready,
  onToggle,
}: {
  step: School['steps'][number];
  words: string;
  checked: boolean;
  ready: boolean;
  onToggle: (on: boolean) => void;
}) {
  return (
    <li>
      <label
        className={`flex min-h-11 items-start gap-3 py-1.5 ${ready ? '' : 'text-ink-soft'} ${step.kind === 'seat' ? 'font-semibold' : ''}`}
      >
        <input
          type="checkbox"
          className="mt-0.5 size-6 shrink-0 accent-chalk"
          checked={checked}
          disabled={!ready}
          onChange={(event) => onToggle(event.target.checked)}
        />
        <span>{words}</span>
      </label>
      {step.caution && ready && !checked && <Caution>{CAUTIONS[step.caution]}</Caution>}
    </li>
  );
}
