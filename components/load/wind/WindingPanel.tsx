'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { LoadRecord } from '@/core/record/record';
import { FinishLoad } from './FinishLoad';
import { useWinding } from './useWinding';
import { WindingLog } from './WindingLog';
import { WindNext } from './WindNext';

/** Loaded when it is first asked for. */
const WindBench = dynamic(() => import('./WindBench').then(({ WindBench: loaded }) => loaded), { ssr: false });

/** Winding, segment by segment. */
export function WindingPanel({ load }: { load: LoadRecord }) {
  const winding = useWinding(load);
  const [onBench, setOnBench] = useState(false);
  return (
    <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
      <div className="flex flex-col gap-4">
        {winding.next ? (
          <WindNext load={load} winding={winding} onBench={() => setOnBench(true)} />
        ) : (
          <FinishLoad load={load} />
        )}
      </div>
      <WindingLog load={load} winding={winding} />
      {onBench && <WindBench load={load} winding={winding} onLeave={() => setOnBench(false)} />}
    </div>
  );
}
