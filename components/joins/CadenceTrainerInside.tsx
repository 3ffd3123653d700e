'use client';

import { useCallback, useEffect, useState, type KeyboardEvent } from 'react';
import { whereWasI, type Stroke } from '@/core/joins/cadence';
import { nextPace } from '@/core/joins/drillTrend';
import { schoolsOf, type School } from '@/core/joins/schools';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { NewPerson } from '@/components/crew/NewPerson';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { DrillChart } from './DrillChart';
import { NOBODY, peopleOptions, type Drill, type Person } from './joinsBench';
import { PlaitDrawing } from './PlaitDrawing';
import { useCadence } from './useCadence';
import { useSay } from '@/components/units/useSay';
import { SCHOOL_SOURCES } from '@/words/guide';
import { moveWords, recoveryWords, SCHOOL_NAMES } from '@/words/hands';
import { sayAloud } from './voice';

type Mode = 'drill' | 'follow' | 'timer';

const MODES: readonly { value: Mode; text: string }[] = [
  { value: 'drill', text: 'drill: a key for each side' },
  { value: 'follow', text: 'follow along: any key or a pedal goes on' },
  { value: 'timer', text: 'follow along: hands free, at my own pace' },
];

const KEYS: Readonly<Record<string, Stroke>> = {
  ArrowLeft: 'over',
  f: 'over',
  ArrowRight: 'under',
  j: 'under',
  h: 'hitch',
  i: 'finish',
  s: 'seat',
  t: 'trim',
};

const NAMES: Readonly<Record<Stroke, string>> = {
  over: 'Over',
  under: 'Under',
  hitch: 'Hitch',
  finish: 'Finish turn',
  seat: 'Seating pull',
  trim: 'Trim',
};
const KEY_NAMES: Readonly<Record<Stroke, string>> = {
  over: '←',
  under: '→',
  hitch: 'H',
  finish: 'I',
  seat: 'S',
  trim: 'T',
};

/** Why the count is offered at its pace. */
const PACE_WORDS = {
  'no-drill': 'a guess, until a drill is kept',
  clean: 'a tenth quicker: the last drill was clean',
  mistakes: 'a tenth slower: the last drill had mistakes',
} as const;

/** Practice for the plaited braid-to-leader knot: a drill without line, or cues for both hands busy. */
export function CadenceTrainerInside({ people, drills }: { people: readonly Person[]; drills: readonly Drill[] }) {
  const { record } = useRig();
  const schools = schoolsOf('plaited-braid-to-leader');
  const [schoolId, setSchoolId] = useState(schools[0]?.id ?? '');
  const [person, setPerson] = useState(NOBODY);
  const [mode, setMode] = useState<Mode>('drill');
  const school = schools.find((candidate) => candidate.id === schoolId) ?? schools[0];
  if (!school) return null;
  const chosen = people.find((candidate) => candidate.id === person);
  const theirs = drills.filter((drill) => drill.school === school.id && (!chosen || drill.person === chosen.name));
  return (
    <>
      <div className="flex flex-col gap-4">
        <div className="grid gap-2 sm:grid-cols-3">
          <ChoiceField
            label="School to practise"
            value={school.id}
            options={schools.map(({ id }) => ({ value: id, text: SCHOOL_NAMES[id] }))}
            onChange={setSchoolId}
            hint={SCHOOL_SOURCES[school.source]}
          />
          <ChoiceField label="Whose hands" value={person} options={peopleOptions(people)} onChange={setPerson} />
          <ChoiceField label="How" value={mode} options={MODES} onChange={setMode} />
        </div>
        <Run
          key={`${school.id} ${mode}`}
          school={school}
          mode={mode}
          personId={chosen?.id ?? null}
          drills={theirs}
          hand={chosen?.hand ?? 'right'}
        />
        <WhereWasI hand={chosen?.hand ?? 'right'} />
        <DrillChart drills={theirs} />
        <NewPerson boatId={record.boat.id} />
      </div>
    </>
  );
}

function Run({
  school,
  mode,
  personId,
  drills,
  hand,
}: {
  school: School;
  mode: Mode;
  personId: string | null;
  drills: readonly Drill[];
  hand: 'left' | 'right';
}) {
  const { record } = useRig();
  const { sendNow } = useSend();
  const cadence = useCadence(school);
  const say = useSay();
  const { goOn: goOnOnce } = cadence;
  const pace = nextPace(drills);
  const [typed, setTyped] = useState<string | null>(null);
  const seconds = typed ?? pace.seconds.toFixed(1);
  const [running, setRunning] = useState(false);
  const paceMs = 1000 * Math.min(20, Math.max(0.5, Number(seconds.replace(',', '.')) || 2.5));
  const store = async (strokes: number, mistakes: number, took: number): Promise<void> => {
    const body = { school: school.id, personId, strokes, mistakes, seconds: Math.max(0.1, took) };
    await sendNow('recordDrill', { boatId: record.boat.id }, body, 'The drill is on record.');
  };
  const take = (stroke: Stroke): void => {
    cadence.stroke(stroke);
  };
  const goOn = useCallback((): void => {
    const after = goOnOnce();
    sayAloud(after.fault ? say(after.fault.why) : moveWords(after.next));
  }, [goOnOnce, say]);
  useEffect(() => {
    if (mode !== 'timer' || !running || cadence.done) return;
    const beat = window.setInterval(goOn, paceMs);
    return () => window.clearInterval(beat);
  }, [mode, running, cadence.done, paceMs, goOn]);
  const onKey = (event: KeyboardEvent): void => {
    if (event.key === 'Tab' || event.metaKey || event.ctrlKey || cadence.done) return;
    if (mode === 'drill') {
      const stroke = KEYS[event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (!stroke) return;
      event.preventDefault();
      take(stroke);
    } else if (mode === 'follow') {
      event.preventDefault();
      goOn();
    }
  };
  const offered: readonly Stroke[] = school.steps.some((step) => step.id === 'finish')
    ? ['over', 'under', 'hitch', 'finish', 'seat', 'trim']
    : ['over', 'under', 'hitch', 'seat', 'trim'];
  return (
    <div className="flex flex-col gap-3">
      <div
        tabIndex={0}
        role="group"
        aria-label="Practice field: keys count while it has the focus"
        onKeyDown={onKey}
        className="rounded-sm border-2 border-edge-strong p-4"
      >
        <p className={`text-4xl font-bold sm:text-5xl ${cadence.fault ? 'text-stop' : ''}`} aria-live="assertive">
          {cadence.fault ? say(cadence.fault.why) : moveWords(cadence.next)}
        </p>
        <p className="mt-1 min-h-6 text-sm">
          {cadence.fault
            ? recoveryWords(cadence.fault.recover)
            : mode === 'drill'
              ? cadence.state.strokes > 0 && !cadence.done
                ? 'Interrupted? The count stays here until you begin again.'
                : 'Click here, then use the keys; or tap.'
              : 'The next move is said aloud.'}
        </p>
        <div className="mt-3">
          <PlaitDrawing passes={cadence.passes} hand={hand} />
        </div>
      </div>
      {mode === 'drill' && (
        <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
          {offered.map((stroke) => (
            <Button key={stroke} className="min-h-16 text-lg" disabled={cadence.done} onClick={() => take(stroke)}>
              {NAMES[stroke]} <kbd className="figures text-sm">{KEY_NAMES[stroke]}</kbd>
            </Button>
          ))}
        </div>
      )}
      {mode === 'follow' && (
        <Button weight="main" className="min-h-24 text-2xl" disabled={cadence.done} onClick={goOn}>
          Done, next
        </Button>
      )}
      {mode === 'timer' && (
        <div className="flex flex-wrap items-end gap-2">
          <div className="w-40">
            <TextField
              label="Seconds a move"
              inputMode="decimal"
              figures
              value={seconds}
              onChange={setTyped}
              hint={PACE_WORDS[pace.because]}
            />
          </div>
          <Button weight="main" disabled={cadence.done} onClick={() => setRunning(!running)}>
            {running ? 'Hold' : 'Start counting'}
          </Button>
        </div>
      )}
      <div className="flex flex-wrap items-center gap-3 text-sm">
        <span className="figures">
          {cadence.state.strokes} strokes, {cadence.state.errors} wrong, {cadence.seconds.toFixed(1)} s
        </span>
        <Button weight="quiet" disabled={cadence.state.strokes === 0} onClick={cadence.restart}>
          Begin again
        </Button>
        {mode === 'drill' && cadence.done && (
          <Button
            weight="main"
            onClick={() => {
              void store(cadence.state.strokes, cadence.state.errors, cadence.seconds);
              cadence.restart();
            }}
          >
            Keep this drill
          </Button>
        )}
      </div>
    </div>
  );
}

/** Lost the count: the next move, from how the line lies. */
function WhereWasI({ hand }: { hand: 'left' | 'right' }) {
  const [lies, setLies] = useState<'towards me' | 'away from me'>('towards me');
  return (
    <div className="flex flex-wrap items-end gap-3 border-l-4 border-rule pl-3">
      <ChoiceField
        label="Where was I? The braid now leaves the leader"
        value={lies}
        options={[
          { value: 'towards me', text: 'towards me, in front' },
          { value: 'away from me', text: 'away from me, behind' },
        ]}
        onChange={setLies}
      />
      <p className="min-h-11 content-center">
        Next goes <b>{whereWasI(lies, hand)}</b>.
      </p>
      <p className="text-xs text-ink-soft">
        Seen with the leader&apos;s end pointing to the {hand === 'right' ? 'left' : 'right'}, for a {hand} hand. Count
        the ridges on one side and double them to find how many passes lie.
      </p>
    </div>
  );
}
