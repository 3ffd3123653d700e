'use client';

import dynamic from 'next/dynamic';
import { Link } from '@/components/ui/Link';
import { useState } from 'react';
import type { LoadRecord } from '@/core/record/record';
import { useRig } from '@/components/rig/RigProvider';
import { sheetPath } from '@/components/shell/paths';
import { fetched } from '@/components/ui/fetched';
import { dayWords } from '@/words/dates';
import { Clash } from './Clash';
import { FinishLoad } from './FinishLoad';
import { useWinding } from './useWinding';
import { WindingLog } from './WindingLog';
import { WindNext } from './WindNext';

/** Loaded when it is first asked for. */
const WindBench = dynamic(() => fetched(() => import('./WindBench')).then(({ WindBench: loaded }) => loaded), {
  ssr: false,
});

/**
 * Winding, segment by segment.
 *
 * @param onReel what is still on the reel, while nothing of this load is
 * @param atOnce true where somebody comes straight to the bench, by the code of a run sheet
 */
export function WindingPanel({
  load,
  onReel,
  atOnce,
}: {
  load: LoadRecord;
  onReel: LoadRecord | null;
  atOnce: boolean;
}) {
  const { record } = useRig();
  const winding = useWinding(load);
  const [onBench, setOnBench] = useState(atOnce);
  return (
    <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
      <div className="flex min-w-0 flex-col gap-4">
        {onReel && (
          <p role="note" className="border-l-4 border-rule bg-card px-3 py-2 text-sm">
            <b>What was loaded on {dayWords(onReel.finishedAt ?? onReel.startedAt)} is still on the reel</b> and counts
            until the first segment of this load is noted. The line above shows it.
          </p>
        )}
        <Clash winding={winding} />
        {winding.next ? (
          <WindNext load={load} winding={winding} onBench={() => setOnBench(true)} />
        ) : (
          <FinishLoad load={load} />
        )}
        <p className="text-sm">
          <Link className="text-chalk underline" href={sheetPath(record.boat.id, record.id)}>
            This winding on paper
          </Link>
          , with a code that brings another device here.
        </p>
      </div>
      <WindingLog load={load} winding={winding} onReel={onReel} />
      {onBench && <WindBench load={load} winding={winding} onLeave={() => setOnBench(false)} />}
    </div>
  );
}
