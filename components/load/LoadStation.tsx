'use client';

import dynamic from 'next/dynamic';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { atBench } from '@/core/rig/line/atBench';
import { AtBench, useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { fetched } from '@/components/ui/fetched';

// A load is planned, wound or on: each is loaded when it is what the page shows.
const LoadedPanel = dynamic(() =>
  fetched(() => import('./loaded/LoadedPanel')).then(({ LoadedPanel: loaded }) => loaded),
);
const PlanPanel = dynamic(() => fetched(() => import('./plan/PlanPanel')).then(({ PlanPanel: loaded }) => loaded));
const WindingPanel = dynamic(() =>
  fetched(() => import('./wind/WindingPanel')).then(({ WindingPanel: loaded }) => loaded),
);

/** The Load station: plan, wind, or look at what is on. */
export function LoadStation() {
  const { record } = useRig();
  const { load } = record;
  // Planning anew is over once another load has begun.
  const [planningOver, setPlanningOver] = useState<string | null>(null);
  const planning = load !== null && planningOver === load.id;
  const bench = atBench(record).load;
  const meant = useSearchParams().get('winding');
  if (bench?.status === 'winding') {
    return (
      <AtBench>
        {meant !== null && meant !== bench.id && <OtherWinding />}
        <WindingPanel load={bench} onReel={record.making ? load : null} atOnce={meant === bench.id} />
      </AtBench>
    );
  }
  if (load && !planning) {
    return (
      <>
        {meant !== null && meant !== load.id && <OtherWinding />}
        <LoadedPanel load={load} onPlan={() => setPlanningOver(load.id)} />
      </>
    );
  }
  return (
    <div className="flex flex-col gap-3">
      {load && (
        <div>
          <Button weight="quiet" onClick={() => setPlanningOver(null)}>
            Back to what is on the reel
          </Button>
        </div>
      )}
      <PlanPanel />
    </div>
  );
}

/** The code of a run sheet whose winding is not the one that is shown. */
function OtherWinding() {
  return (
    <p role="status" className="mb-3 border-l-4 border-warn bg-warn/10 px-3 py-2">
      The sheet with that code is of another winding: it was called off, or another load came after it. This is what is
      true now.
    </p>
  );
}
