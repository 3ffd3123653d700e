'use client';

import { Link } from '@/components/ui/Link';
import type { RigSummary } from '@/core/rig/rigSummary';
import { ROD_POSITIONS, type RodPosition } from '@/core/record/rodPosition';
import { STATIONS } from '@/core/record/stations';
import type { StationState } from '@/core/record/stationState';
import { LinePicture } from '@/components/line/LinePicture';
import { firstReelPath, gearPath, quickDragPath, rigPath, stationPath } from '@/components/shell/paths';
import { StateMark } from '@/components/ui/StateMark';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { RodPositionField } from './RodPositionField';

const STANDS: Readonly<Record<RodPosition | 'nowhere', string>> = {
  port: 'To port',
  stern: 'At the stern',
  starboard: 'To starboard',
  nowhere: 'Place on the boat not told',
};

/** Every rig of the boat as its line, with the state of each station, by where its rod stands. */
export function Locker({
  boatId,
  rigs,
  isWhole,
}: {
  boatId: string;
  rigs: readonly RigSummary[];
  /** False where only rigs of some name are asked for. */
  isWhole: boolean;
}) {
  if (rigs.length === 0 && !isWhole) return <p>No rig of this locker has that in its name.</p>;
  if (rigs.length === 0) {
    return <FirstSteps boatId={boatId} />;
  }
  const groups = [...ROD_POSITIONS, null]
    .map((position) => ({ position, of: rigs.filter((rig) => rig.rodPosition === position) }))
    .filter(({ of }) => of.length > 0);
  const hasHeads = groups.some(({ position }) => position !== null);
  return groups.map(({ position, of }) => (
    <section key={position} aria-label={STANDS[position ?? 'nowhere']} className="mb-4">
      {hasHeads && <h2 className="mb-1.5 lettered text-lg">{STANDS[position ?? 'nowhere']}</h2>}
      <ul className="flex flex-col gap-3">
        {of.map((rig) => (
          <RigCard key={rig.id} boatId={boatId} rig={rig} heading={hasHeads ? 'h3' : 'h2'} />
        ))}
      </ul>
    </section>
  ));
}

/** An empty locker: three ways to begin, each with what it takes. */
function FirstSteps({ boatId }: { boatId: string }) {
  const ways = [
    {
      path: firstReelPath(boatId),
      title: 'My first reel',
      takes: 'five questions, two minutes: how much backing goes on, with its ±; everything else later',
      isMain: true,
    },
    {
      path: gearPath(boatId),
      title: 'Put a reel and a line on record',
      takes: 'with all that is known of them: caliper readings, capacities, labels',
      isMain: false,
    },
    {
      path: quickDragPath(boatId),
      title: 'Only my drag',
      takes: 'the label of the line and a scale: what it should show, in ten seconds',
      isMain: false,
    },
    {
      path: '/',
      title: 'All boats',
      takes: 'where a boat is at work already, open one of its rods and try everything',
      isMain: false,
    },
  ];
  return (
    <section aria-labelledby="first-steps">
      <h2 id="first-steps" className="mb-3 lettered text-xl">
        No rig in this locker yet. Where to begin?
      </h2>
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        {ways.map(({ path, title, takes, isMain }) => (
          <li key={title} className={`border-l-4 bg-card ${isMain ? 'border-chalk' : 'border-rule'}`}>
            <Link href={path} className="flex h-full min-h-24 flex-col gap-1 px-4 py-3 hover:bg-paper">
              <span className="lettered text-lg text-chalk underline underline-offset-4">{title}</span>
              <span className="text-sm">{takes}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function RigCard({ boatId, rig, heading: Heading }: { boatId: string; rig: RigSummary; heading: 'h2' | 'h3' }) {
  const { format } = useUnits();
  return (
    <li className="rounded-sm border border-edge bg-card">
      <div className="flex flex-wrap items-center justify-between gap-x-6 border-b border-edge px-4">
        <Heading className="lettered text-lg">
          <Link href={rigPath(boatId, rig.id)} className="inline-flex min-h-11 items-center hover:underline">
            {rig.name}
          </Link>
        </Heading>
        <p className="ml-auto text-sm text-ink-soft">
          {rig.reelName}
          {rig.line && ` · ${format.length(rig.line.totalLengthM)} of line, ${rig.isWound ? 'wound' : 'planned'}`}
          {rig.heldOut > 0 && (
            <b className="text-stop">
              {' '}
              · {rig.heldOut === 1 ? 'a noted figure does' : `${rig.heldOut} noted figures do`} not fit
            </b>
          )}
        </p>
        <RodPositionField boatId={boatId} rigId={rig.id} name={rig.name} position={rig.rodPosition} />
      </div>
      <div className="px-4 pt-1">
        {rig.line ? (
          <LinePicture line={rig.line} bands={rig.bands} joins={rig.joins} />
        ) : (
          <p className="py-3 text-sm text-ink-soft">No line planned yet.</p>
        )}
      </div>
      <ul className="grid grid-cols-2 border-t border-edge md:grid-cols-3 xl:grid-cols-6">
        {STATIONS.map(({ id, title }) => (
          <StationCell key={id} path={stationPath(boatId, rig.id, id)} name={title} state={rig.states[id]} />
        ))}
      </ul>
    </li>
  );
}

function StationCell({ path, name, state }: { path: string; name: string; state: StationState }) {
  const say = useSay();
  return (
    <li className="border-edge not-last:xl:border-r">
      <Link href={path} className="flex min-h-12 flex-col px-2 py-1.5 hover:bg-paper sm:px-4">
        <span className="flex items-center justify-between gap-2">
          <span className="font-semibold">{name}</span>
          <StateMark state={state.state} />
        </span>
        <span className="line-clamp-2 text-xs text-ink-soft" title={say(state.why)}>
          {say(state.why)}
        </span>
      </Link>
    </li>
  );
}
