'use client';

import Link from 'next/link';
import { useMemo } from 'react';
import type { RigRecord } from '@/core/rig/record';
import { rigView } from '@/core/rig/rigView';
import { joinsState } from '@/core/rig/joins/joinsOfRig';
import { STATIONS, stationStates, type StationState } from '@/core/rig/stationStates';
import { Ribbon } from '@/components/line/Ribbon';
import { gearPath, joinsPath, rigPath, STATION_NAMES, stationPath } from '@/components/shell/places';
import { StateMark } from '@/components/ui/StateMark';
import { useUnits } from '@/components/units/UnitsProvider';

/** Every rig of the boat as its line, with the state of each station. */
export function Locker({ boatId, rigs }: { boatId: string; rigs: readonly RigRecord[] }) {
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
      {rigs.map((record) => (
        <RigCard key={record.id} record={record} />
      ))}
    </ul>
  );
}

function RigCard({ record }: { record: RigRecord }) {
  const { format } = useUnits();
  const view = useMemo(() => rigView(record), [record]);
  const states = useMemo(() => stationStates(record), [record]);
  return (
    <li className="rounded-sm border border-edge bg-card">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-edge px-4 pt-2 pb-1">
        <h2 className="lettered text-lg">
          <Link href={rigPath(record.boat.id, record.id)} className="hover:underline">
            {record.name}
          </Link>
        </h2>
        <p className="text-sm text-ink-soft">
          {record.reel.name}
          {view && ` · ${format.length(view.current.line.totalLengthM)} of line, ${view.current.state}`}
        </p>
      </div>
      <div className="px-4 pt-1">
        {view ? (
          <Ribbon view={view} orientation="lying" withRulers={false} />
        ) : (
          <p className="py-3 text-sm text-ink-soft">No line planned yet.</p>
        )}
      </div>
      <ul className="grid grid-cols-2 border-t border-edge md:grid-cols-5">
        {STATIONS.map((station) => (
          <StationCell
            key={station}
            path={stationPath(record.boat.id, record.id, station)}
            name={STATION_NAMES[station]}
            state={states[station]}
          />
        ))}
        <StationCell path={joinsPath(record.boat.id, record.id)} name="Joins" state={joinsState(record)} />
      </ul>
    </li>
  );
}

function StationCell({ path, name, state }: { path: string; name: string; state: StationState }) {
  return (
    <li className="border-edge not-last:md:border-r">
      <Link href={path} className="flex min-h-12 flex-col px-4 py-1.5 hover:bg-paper">
        <span className="flex items-center justify-between gap-2">
          <span className="font-semibold">{name}</span>
          <StateMark state={state.state} />
        </span>
        <span className="truncate text-xs text-ink-soft" title={state.why}>
          {state.why}
        </span>
      </Link>
    </li>
  );
}
