'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { prepFigure } from '@/core/joins/prepFigures';
import { schoolsOf, type GuideStep, type School } from '@/core/joins/schools';
import type { JoinRecord } from '@/core/record/record';
import { blocked } from '@/components/fields/blocked';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Card, Caution } from '@/components/ui/Card';
import { useSay } from '@/components/units/useSay';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';
import type { Formatter } from '@/words/format';
import { CAUTIONS, SCHOOL_SOURCES, stepWords } from '@/words/guide';
import { SCHOOL_NAMES } from '@/words/hands';
import { figureWords } from './figureWords';
import { linesOf, placeWords } from './joinLines';
import { NOBODY, peopleOptions, type Person } from './joinsBench';
import { GuideDrawing } from './drawing/GuideDrawing';
import { SeatingScale } from './SeatingScale';
import { TensionCheck } from './TensionCheck';

/** Loaded when it is first asked for. */
const TieBench = dynamic(() => import('./TieBench').then(({ TieBench: loaded }) => loaded), { ssr: false });

const countWords = ({ times }: GuideStep): string =>
  times ? ` Count: ${times.least === times.most ? times.least : `${times.least} to ${times.most}`}.` : '';

/** Text of a step with its count and its figure for these very lines. */
export function wordsOfStep(step: GuideStep, figure: string | null, format: Formatter): string {
  return `${stepWords(step.says, format)}${countWords(step)}${figure ? ` ${figure[0]?.toUpperCase()}${figure.slice(1)}.` : ''}`;
}

/** Ties one join step by step: no step can be left out, least of all the seating pull. */
export function TieGuide({ join, people }: { join: JoinRecord; people: readonly Person[] }) {
  const { record } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const { sendNow, state, fieldError } = useSend();
  const schools = schoolsOf(join.kind);
  const [schoolId, setSchoolId] = useState<string>(schools[0]?.id ?? '');
  const school = schools.find((candidate) => candidate.id === schoolId) ?? schools[0];
  const [done, setDone] = useState<readonly string[]>([]);
  const [person, setPerson] = useState(NOBODY);
  const [pulled, setPulled] = useState(false);
  const [onBench, setOnBench] = useState(false);
  const seated = useQuantity(`seated:${join.id}`, 'force', null, LIMITS.forceN);
  if (!school) return null;
  const lines = linesOf(record, join);
  const seatingBand = prepFigure('seating', lines);
  const tensionBand = prepFigure('tension', lines);
  const hand = people.find((candidate) => candidate.id === person)?.hand ?? 'right';
  const wordsOf = (step: GuideStep): string =>
    wordsOfStep(step, step.figure ? figureWords(step.figure, lines, format, say) : null, format);
  const toggle = (step: GuideStep, on: boolean): void =>
    setDone(on ? [...done, step.id] : done.slice(0, done.indexOf(step.id)));
  const store = async (): Promise<void> => {
    if (blocked(seated)) return;
    const body = {
      school: school.id,
      personId: person === NOBODY ? null : person,
      seatedN: seated.value,
      stepsDone: done,
      pullTested: pulled,
      note: '',
    };
    const result = await sendNow(
      'tieJoin',
      { boatId: record.boat.id, rigId: record.id, joinId: join.id },
      body,
      'Noted. This join is on record.',
    );
    if (!result.ok) return;
    setDone([]);
    setPulled(false);
    seated.forget();
  };
  const allDone = done.length === school.steps.length;
  return (
    <Card
      title={`Tie: ${placeWords(record, join)}`}
      aside={
        <Button weight="quiet" onClick={() => setOnBench(true)}>
          Bench mode
        </Button>
      }
    >
      <div className="mb-3 grid gap-2 sm:grid-cols-2">
        <ChoiceField
          label="School"
          value={school.id}
          options={schools.map(({ id }) => ({ value: id, text: SCHOOL_NAMES[id] }))}
          onChange={(id) => {
            setSchoolId(id);
            setDone([]);
          }}
          hint={SCHOOL_SOURCES[school.source]}
        />
        <ChoiceField label="Tied by" value={person} options={peopleOptions(people)} onChange={setPerson} />
      </div>
      <GuideDrawing school={school} done={done} hand={hand} wordsOf={wordsOf} />
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
      {tensionBand && school.steps.some((step) => step.figure === 'tension') && (
        <TensionCheck joinId={join.id} band={tensionBand} />
      )}
      <div className="mt-4 flex flex-wrap items-end gap-3">
        <div className="w-44">
          <QuantityField
            label="Seated with"
            {...seated.field}
            error={fieldError('seatedN')}
            hint="by the scale; may stay empty"
          />
        </div>
        <label className="flex min-h-11 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="size-5 accent-chalk"
            checked={pulled}
            onChange={(event) => setPulled(event.target.checked)}
          />
          pull-tested: it held the pull that it was given
        </label>
        <Button weight="main" disabled={!allDone || state.kind === 'sending'} onClick={() => void store()}>
          Note it as tied
        </Button>
      </div>
      {seatingBand && (
        <div className="mt-3">
          <SeatingScale
            joinId={join.id}
            band={seatingBand}
            onRead={(heldN) => seated.set({ text: heldN.toFixed(1), unit: 'N' })}
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
    </Card>
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
