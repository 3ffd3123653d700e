'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { atBench } from '@/core/rig/line/atBench';
import { AtBench, useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';

// A load is planned, wound or on: each is loaded when it is what the page shows.
const LoadedPanel = dynamic(() => import('./loaded/LoadedPanel').then(({ LoadedPanel: loaded }) => loaded));
const PlanPanel = dynamic(() => import('./plan/PlanPanel').then(({ PlanPanel: loaded }) => loaded));
const WindingPanel = dynamic(() => import('./wind/WindingPanel').then(({ WindingPanel: loaded }) => loaded));

/** The Load station: plan, wind, or look at what is on. */
export function LoadStation() {
  const { record } = useRig();
  const { load } = record;
  // Planning anew is over once another load has begun.
  const [planningOver, setPlanningOver] = useState<string | null>(null);
  const planning = load !== null && planningOver === load.id;
  const bench = atBench(record).load;
  if (bench?.status === 'winding') {
    return (
      <AtBench>
        <WindingPanel load={bench} onReel={record.making ? load : null} />
      </AtBench>
    );
  }
  if (load && !planning) return <LoadedPanel load={load} onPlan={() => setPlanningOver(load.id)} />;
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
