'use client';

import { useState } from 'react';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { LoadedPanel } from './loaded/LoadedPanel';
import { PlanPanel } from './plan/PlanPanel';
import { WindingPanel } from './wind/WindingPanel';

/** The Load station: plan, wind, or look at what is on. */
export function LoadStation() {
  const { record } = useRig();
  const { load } = record;
  // Planning anew is over once another load has begun.
  const [planningOver, setPlanningOver] = useState<string | null>(null);
  const planning = load !== null && planningOver === load.id;
  if (load?.status === 'winding') return <WindingPanel load={load} />;
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
