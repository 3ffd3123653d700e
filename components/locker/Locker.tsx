'use client';

import Link from 'next/link';
import type { RigSummary } from '@/core/rig/rigSummary';
import { STATIONS } from '@/core/record/stations';
import type { StationState } from '@/core/record/stationState';
import { LinePicture } from '@/components/line/LinePicture';
import { gearPath, rigPath, stationPath } from '@/components/shell/paths';
import { StateMark } from '@/components/ui/StateMark';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';

/** Every rig of the boat as its line, with the state of each station. */
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
    return (
      <p className="max-w-prose">
        No rig in this locker yet. A rig is a rod, a reel and the line on it.{' '}
        <Link href={gearPath(boatId)} className="text-chalk underline">
          Put a reel and a line on record
        </Link>{' '}
        first: three caliper measurements of the spool, or the capacities on its box, and the thickness of the line are
        enough to work out how much backing goes on.
      </p>
    );
  }
  return (
    <ul className="flex flex-col gap-3">
      {rigs.map((rig) => (
        <RigCard key={rig.id} boatId={boatId} rig={rig} />
      ))}
    </ul>
  );
}

function RigCard({ boatId, rig }: { boatId: string; rig: RigSummary }) {
  const { format } = useUnits();
  return (
    <li className="rounded-sm border border-edge bg-card">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-edge px-4 pt-2 pb-1">
        <h2 className="lettered text-lg">
          <Link href={rigPath(boatId, rig.id)} className="hover:underline">
            {rig.name}
          </Link>
        </h2>
        <p className="text-sm text-ink-soft">
          {rig.reelName}
          {rig.line && ` · ${format.length(rig.line.totalLengthM)} of line, ${rig.isWound ? 'wound' : 'planned'}`}
          {rig.heldOut > 0 && (
            <b className="text-stop">
              {' '}
              · {rig.heldOut === 1 ? 'a noted figure does' : `${rig.heldOut} noted figures do`} not fit
            </b>
          )}
        </p>
      </div>
      <div className="px-4 pt-1">
        {rig.line ? (
          <LinePicture line={rig.line} bands={rig.bands} joins={rig.joins} />
        ) : (
          <p className="py-3 text-sm text-ink-soft">No line planned yet.</p>
        )}
      </div>
      <ul className="grid grid-cols-2 border-t border-edge md:grid-cols-5">
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
    <li className="border-edge not-last:md:border-r">
      <Link href={path} className="flex min-h-12 flex-col px-4 py-1.5 hover:bg-paper">
        <span className="flex items-center justify-between gap-2">
          <span className="font-semibold">{name}</span>
          <StateMark state={state.state} />
        </span>
        <span className="truncate text-xs text-ink-soft" title={say(state.why)}>
          {say(state.why)}
        </span>
      </Link>
    </li>
  );
}
