'use client';

import { useState } from 'react';
import { LINE_FRICTION, WATER_DENSITY } from '@/core/drag/waterPull';
import { dragNow, type FightSetup, type FightState, type FishSetup } from '@/core/drag/fight';
import { DEFAULT_ROD_STIFFNESS, elasticPieces } from '@/core/rig/drag/elasticLine';
import { countsAtLength, type RigView } from '@/core/rig/view/rigView';
import { KNOT_MS, toSi } from '@/core/units/units';
import { ChoiceField } from '@/components/fields/TextField';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { FightDrawing } from './FightDrawing';
import { useFight } from './useFight';

/** Standard gravity (m/s²). */

/** Fish to rehearse with, by how they pull against this drag: made up, and said to be. */
const FISH = [
  { value: 'steady', text: 'steady: pulls a little over the drag', pulls: 1.3, knots: 5, massPerN: 0.12 },
  { value: 'fast', text: 'fast: long runs, light', pulls: 1.8, knots: 16, massPerN: 0.1 },
  { value: 'heavy', text: 'heavy: strong and slow to turn', pulls: 3, knots: 8, massPerN: 0.35 },
] as const;

/** A fish runs, stops and surges against this very rig; the hands are on the drag. Simulated. */
export function FightRehearsalInside({
  view,
  forceN,
  breakawayRatio,
}: {
  view: RigView;
  forceN: number;
  breakawayRatio: number;
}) {
  const { format } = useUnits();
  const pieces = elasticPieces(view);
  const fight = useFight();
  const [kind, setKind] = useState<(typeof FISH)[number]['value']>('fast');
  const [seed, setSeed] = useState(1);
  const [drag, setDrag] = useState(1);
  const [winding, setWinding] = useState(false);
  if (!view.strength || !pieces) return null;
  const chosen = FISH.find((each) => each.value === kind) ?? FISH[0];
  const fish: FishSetup = {
    pullN: chosen.pulls * forceN,
    speedMS: chosen.knots * KNOT_MS,
    massKg: chosen.massPerN * chosen.pulls * forceN,
  };
  const setup: FightSetup = {
    line: view.current.line,
    strength: view.strength,
    pieces,
    setForceN: forceN,
    breakawayRatio,
    rodStiffnessNPerM: DEFAULT_ROD_STIFFNESS,
    water: { densityKgM3: WATER_DENSITY.sea, friction: LINE_FRICTION },
    fish,
  };
  const hold = (nextDrag: number, nextWinding: boolean): void => {
    setDrag(nextDrag);
    setWinding(nextWinding);
    fight.hold({ drag: nextDrag, winding: nextWinding });
  };
  const start = (): void => {
    setDrag(1);
    setWinding(false);
    setSeed(seed + 1);
    fight.start(setup, seed);
  };
  const { state } = fight;
  return (
    <>
      <div className="flex flex-col gap-3">
        <div className="flex flex-wrap items-end gap-2">
          <div className="w-72">
            <ChoiceField label="The fish" value={kind} options={FISH} onChange={setKind} />
          </div>
          <Button weight="main" onClick={start}>
            {state ? 'Another fish' : 'A fish takes'}
          </Button>
          {state && (
            <Button weight="quiet" onClick={fight.leave}>
              Stop
            </Button>
          )}
          <p className="min-h-11 content-center text-sm text-ink-soft">
            It pulls {format.force(fish.pullN)}, weighs {format.force(toSi('force', fish.massKg, 'kg'))} and swims{' '}
            {chosen.knots} kn: made up for this drag.
          </p>
        </div>
        {state && (
          <>
            <Now view={view} setup={setup} state={state} drag={drag} />
            <div className="grid gap-3 sm:grid-cols-[2fr_1fr]">
              <label className="flex flex-col text-sm font-semibold">
                Drag at {Math.round(100 * drag)} % of what it was set to
                <input
                  type="range"
                  className="h-14 w-full accent-chalk"
                  min={0.1}
                  max={3}
                  step={0.05}
                  value={drag}
                  onChange={(event) => hold(Number(event.target.value), winding)}
                />
              </label>
              <Button
                className="min-h-16 text-lg"
                aria-pressed={winding}
                disabled={state.end !== null}
                onClick={() => hold(drag, !winding)}
              >
                {winding ? 'Stop winding' : 'Wind'}
              </Button>
            </div>
            <FightDrawing course={fight.course} closestS={state.closest?.timeS ?? null} />
            <Told state={state} />
          </>
        )}
        <p className="text-xs text-ink-soft">
          Line and rod stretch as springs in a row, the drag slips on the spool as it then is, the water pulls on the
          line; a belly to the side and a hot drag are not in it. A rehearsal, and no promise.
        </p>
      </div>
    </>
  );
}

function Now({ view, setup, state, drag }: { view: RigView; setup: FightSetup; state: FightState; drag: number }) {
  const { format } = useUnits();
  const { line } = view.current;
  const paidOutM = Math.min(Math.max(state.lineOutM - line.handLinedLengthM, 0), line.woundLengthM);
  const used = Math.min(1, 1 / state.headroom);
  const rows = [
    ['line out', format.length(state.lineOutM)],
    [view.counter ? 'counter' : 'spool turns', format.counts(countsAtLength(view, paidOutM))],
    ['drag would hold', format.force(dragNow(setup, state.lineOutM, drag))],
    ['at the tip', format.force(state.tipForceN)],
    ['at the fish', format.force(state.fishForceN)],
    [
      'fish',
      `${{ run: 'running', rest: 'resting', surge: 'surging' }[state.mood]}, ${Math.round(100 * state.stamina)} %`,
    ],
  ];
  return (
    <div>
      <dl className="grid grid-cols-3 gap-x-4 gap-y-1 sm:grid-cols-6">
        {rows.map(([name, value]) => (
          <div key={name} className="min-w-0 border-l-4 border-rule pl-2">
            <dt className="text-xs text-ink-soft">{name}</dt>
            <dd className="figures truncate font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <div
        className="mt-2"
        role="meter"
        aria-label="Of what the nearest place holds"
        aria-valuenow={Math.round(100 * used)}
        aria-valuemin={0}
        aria-valuemax={100}
      >
        <p className="text-sm">
          {format.percent(used)} of the {state.nearest.name}
        </p>
        <div className="h-5 border-2 border-ink bg-card">
          <div
            className={`h-full ${used > 0.8 ? 'bg-stop' : used > 0.5 ? 'bg-rule' : 'bg-go'}`}
            style={{ width: `${100 * used}%` }}
          />
        </div>
      </div>
      <Joins setup={setup} state={state} />
    </div>
  );
}

/** Tension at each join that is out, beside what it holds. */
function Joins({ setup, state }: { setup: FightSetup; state: FightState }) {
  const { format } = useUnits();
  return (
    <ul className="mt-1 text-sm">
      {state.joins.map(({ id, tensionN }) => {
        const place = setup.strength.places.find((each) => each.id === id);
        return (
          place && (
            <li key={id}>
              {place.name}: <span className="figures">{format.force(tensionN)}</span> of{' '}
              {format.force(place.strengthN.value)}
            </li>
          )
        );
      })}
    </ul>
  );
}

function Told({ state }: { state: FightState }) {
  const { format } = useUnits();
  const { closest, end } = state;
  return (
    <div aria-live="polite">
      {end === 'broken' && (
        <p className="text-xl font-bold text-stop">
          Broken at the {state.nearest.name}, with {format.length(state.lineOutM)} out.
        </p>
      )}
      {end === 'spooled' && <p className="text-xl font-bold text-stop">All line is out: the arbor knot is next.</p>}
      {end === 'landed' && <p className="text-xl font-bold text-go">Landed.</p>}
      {closest ? (
        <p>
          After {closest.timeS.toFixed(0)} s, with {format.length(closest.lineOutM)} out, a drag{' '}
          {Math.round(100 * (closest.tighter - 1))} % tighter would have let it break the {closest.place}: locked, it
          would have come to {format.percent(closest.lockedShare)} of it.
        </p>
      ) : (
        <p className="text-sm">So far no tightening would have let this fish break it.</p>
      )}
    </div>
  );
}
