'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { isUseless as isUselessFigure } from '@/core/worth/enough';
import type { RigView } from '@/core/rig/view/rigView';
import type { DepthAnswer, StopFigures } from '@/core/tow/answerDepth';
import type { LineOut } from '@/core/tow/lineOutFor';
import { TEN_FEET_M } from '@/core/units/units';
import { QuantityField, type useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { fetched } from '@/components/ui/fetched';
import { knots } from './towedWords';
import type { Depth } from './useDepth';
import { useStopWords } from './useStopWords';

// Loaded when they are first asked for.
const StopBench = dynamic(() => fetched(() => import('./StopBench')).then(({ StopBench: loaded }) => loaded), {
  ssr: false,
});
const WaterMarkForm = dynamic(
  () => fetched(() => import('./WaterMarkForm')).then(({ WaterMarkForm: loaded }) => loaded),
  {
    ssr: false,
  },
);

/** What would narrow it is weighed when the page stands: the answer does not wait for it. */
const NarrowDepth = dynamic(() => fetched(() => import('./NarrowDepth')).then(({ NarrowDepth: loaded }) => loaded), {
  ssr: false,
  loading: () => <p className="text-sm text-ink-soft">Weighing what to measure next …</p>,
});

interface Props {
  readonly view: RigView;
  readonly depth: Depth;
  readonly goal: {
    readonly kind: 'depth' | 'setback';
    readonly onKind: (kind: 'depth' | 'setback') => void;
    readonly field: ReturnType<typeof useQuantity>['field'];
  };
  readonly speed: { readonly typed: string | null; readonly onTyped: (typed: string) => void; readonly isOff: boolean };
}

/** The answer: at which reading to stop, how deep that is, why, and what to do next. */
export function DepthAnswerCard({ view, depth, goal, speed }: Props) {
  const { rig, answer, isCurrent } = depth;
  const [notes, setNotes] = useState(false);
  const [atRail, setAtRail] = useState(false);
  const stop = answer?.stop.ok ? answer.stop.value : null;
  return (
    <Card
      title={depth.question.goal === null ? 'How deep it swims' : 'Where to stop'}
      aside={
        <span className="text-sm text-ink-soft">
          at {knots(depth.question.speedMS)} through the water{rig.isTold ? '' : ', a default'}
        </span>
      }
    >
      <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
        <div aria-live="polite" className="flex min-h-[25.5rem] flex-col gap-2 sm:min-h-64 lg:min-h-56">
          {rig.isDiveOpen ? (
            <p className="text-lg font-semibold">
              Its depth is not known: a planer dives as its own board and bridle have it. Note two depths that were
              seen, at two lengths or speeds, and it is.
            </p>
          ) : !answer ? (
            <p className="text-lg">
              Working it out: how deep the {rig.towed.lure} swims at {knots(depth.question.speedMS)}, by the weight and
              the thickness of every piece of line in front of it, what the water does to them, and any depth that was
              seen with this line.
            </p>
          ) : stop ? (
            <Stop view={view} depth={depth} answer={answer} stop={stop} />
          ) : (
            <TooShort answer={answer} />
          )}
          {answer && !isCurrent && <p className="text-sm text-ink-soft">Working it out for what you typed …</p>}
          {rig.isCurrentOpen && (
            <p className="border-l-4 border-warn bg-warn/10 px-3 py-2 text-sm">
              The speed is over the ground and the current is not known. The ± reckons with half a knot of it, one way
              or the other. Say the current, or read the speed through the water.
            </p>
          )}
          <div className="flex flex-wrap gap-2">
            <Button weight={notes ? 'plain' : 'main'} aria-expanded={notes} onClick={() => setNotes(!notes)}>
              Note a depth that you see
            </Button>
            {stop && stop.status !== 'lifted out' && !rig.isDiveOpen && (
              <Button onClick={() => setAtRail(true)}>At the rail</Button>
            )}
          </div>
          {notes && <WaterMarkForm view={view} rig={rig} onNoted={() => setNotes(false)} />}
        </div>
        <div className="flex flex-col gap-2">
          <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
            <ChoiceField
              label="Wanted"
              value={goal.kind}
              onChange={(kind) => goal.onKind(kind === 'setback' ? 'setback' : 'depth')}
              options={[
                { value: 'depth', text: 'a depth' },
                { value: 'setback', text: 'a distance back' },
              ]}
            />
            <QuantityField
              label={goal.kind === 'depth' ? 'How deep' : 'How far behind the tip'}
              hint="empty: what your range gives"
              {...goal.field}
            />
            <TextField
              label="Speed now, kn"
              value={speed.typed ?? knots(rig.speedMS).replace(' kn', '')}
              onChange={speed.onTyped}
              inputMode="decimal"
              figures
              error={speed.isOff ? 'Between 0.2 and 12 kn.' : undefined}
              hint="through the water"
            />
          </div>
        </div>
      </div>
      {atRail && stop && <StopBench view={view} depth={depth} stop={stop} onLeave={() => setAtRail(false)} />}
    </Card>
  );
}

function Stop({
  view,
  depth,
  answer,
  stop,
}: {
  view: RigView;
  depth: Depth;
  answer: DepthAnswer;
  stop: LineOut & StopFigures;
}) {
  const { units, format } = useUnits();
  const moreM = units.length === 'm' ? 3 : TEN_FEET_M;
  const say = useSay();
  const words = useStopWords(view, stop.lengthOutM);
  const { value, plusMinus, mainlyFrom } = stop.depth;
  const { seen } = answer.learned;
  const isUseless = isUselessFigure('depth', value, plusMinus);
  const isGoal = depth.question.goal !== null;
  if (stop.status === 'lifted out')
    return (
      <p className="text-lg font-semibold">
        With {format.length(stop.lengthOutM)} out the tip, {format.length(depth.rig.towed.tipHeightM)} up, lifts the
        lure out of the water: let more line out, lower the tip, or go slower.
      </p>
    );
  return (
    <>
      <p className={isUseless ? 'order-2 text-xl' : ''}>
        <span className={`figures font-bold ${isUseless ? 'text-2xl' : 'text-4xl sm:text-5xl'}`}>
          {isGoal ? words.main : format.length(value, plusMinus)}
        </span>{' '}
        <span className="text-xl">{isGoal ? words.what : 'deep'}</span>
      </p>
      <p className={isUseless ? 'order-3' : ''}>
        {isGoal ? (
          <>
            There it swims <b className="figures">{format.length(value, plusMinus)}</b> deep,{' '}
            <b className="figures">{format.length(stop.setback.value, stop.setback.plusMinus)}</b> behind the tip, with{' '}
            <b className="figures">{format.length(stop.lengthOutM)}</b> of line out.
          </>
        ) : (
          <>
            With <b className="figures">{format.length(stop.lengthOutM)}</b> of line out, {words.main} {words.what}, and{' '}
            <b className="figures">{format.length(stop.setback.value, stop.setback.plusMinus)}</b> behind the tip.
          </>
        )}{' '}
        {seen === 0
          ? 'No depth was seen with it yet'
          : `Tuned to ${seen} depth${seen === 1 ? '' : 's'} that ${seen === 1 ? 'was' : 'were'} seen`}
        {mainlyFrom ? `; the ± comes mostly from ${say(mainlyFrom)}.` : '.'}
      </p>
      {stop.reelInM !== null && (
        <p className="font-semibold text-warn">
          That is deeper than the water, {format.length(depth.rig.towed.bottomM ?? 0)}: reel in{' '}
          {format.length(stop.reelInM)}.
        </p>
      )}
      {stop.status === 'lies on the surface' && (
        <p>The line floats: part of it lies on the surface before the tip lifts it.</p>
      )}
      <div className={isUseless ? 'order-1 text-lg font-semibold' : ''}>
        <NarrowDepth view={view} narrow={answer.narrow} />
      </div>
      <p className={`text-sm text-ink-soft ${isUseless ? 'order-4' : ''}`}>
        A tenth of a knot faster: {format.length(Math.abs(stop.perTenthKnotM))}{' '}
        {stop.perTenthKnotM < 0 ? 'shallower' : 'deeper'}. {format.length(moreM)} more line:{' '}
        {format.length((stop.perTenFeetM * moreM) / TEN_FEET_M)} deeper. In a wide turn the inside line sinks, the
        outside one rises.
      </p>
    </>
  );
}

function TooShort({ answer }: { answer: DepthAnswer }) {
  const say = useSay();
  if (answer.stop.ok) return null;
  return <p className="text-lg font-semibold text-warn">{say(answer.stop)}</p>;
}
