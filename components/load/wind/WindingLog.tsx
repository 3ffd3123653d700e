'use client';

import type { LoadRecord } from '@/core/record/record';
import { readCursor } from '@/core/rig/view/rigView';
import { SpoolSection } from '@/components/line/SpoolSection';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { Checkpoint } from './Checkpoint';
import { EndWinding } from './EndWinding';
import { LevelOutlook } from './LevelOutlook';
import type { Winding } from './useWinding';
import { stoppedWords } from './windingWords';

/** What is on so far, what it comes to, and the readings that were noted. */
export function WindingLog({
  load,
  winding,
  onReel,
}: {
  load: LoadRecord;
  winding: Winding;
  onReel: LoadRecord | null;
}) {
  const { record, view } = useRig();
  const { format } = useUnits();
  const { outlook, next } = winding;
  const remainingM = outlook?.remaining.reduce((sum, segment) => sum + segment.lengthM, 0) ?? 0;
  const toComeM = Math.max(0, remainingM - (winding.soFar?.lengthM ?? 0));
  const last = load.winding.at(-1);
  const onSoFar =
    view && (load.winding.length > 0 || winding.soFar)
      ? `Wound to ${format.small(readCursor(view, toComeM).diameterM)}; dashed is still to come.`
      : 'Nothing is on yet; dashed is what will go on.';
  return (
    <Card title="On so far">
      {view && <SpoolSection view={view} cursorM={toComeM} caption={onSoFar} />}
      {load.winding.length > 0 && <LevelOutlook winding={winding} />}
      <ol className="mt-2 flex flex-col divide-y divide-edge">
        {load.segments
          .filter((segment) => segment.wound)
          .map((segment, index) => {
            const entry = load.winding.find((candidate) => candidate.segmentId === segment.segmentId);
            const level = load.levels.findLast((candidate) => candidate.segmentId === segment.segmentId);
            const isNext = segment.segmentId === next?.segment.segmentId;
            const said = entry ? stoppedWords(record, segment, entry, format.length) : isNext ? 'now' : 'to come';
            return (
              <li key={segment.segmentId} className="flex items-baseline justify-between gap-3 py-2">
                <span className={isNext ? 'font-bold' : ''}>
                  {index + 1}. {segment.name}
                  {level && (
                    <span className="text-sm text-ink-soft">
                      , level {format.small(level.levelBelowRimM)} under the rim
                    </span>
                  )}
                </span>
                <span className="figures">{said}</span>
              </li>
            );
          })}
      </ol>
      <p className="mt-2 text-sm text-ink-soft">
        Keep these readings: what goes on in so many turns comes off in as many, so they are the counter&apos;s own
        table for this load.
      </p>
      {last && next && <Checkpoint key={last.segmentId} segmentId={last.segmentId} loadId={load.id} />}
      <div className="mt-3 flex flex-wrap gap-2">
        {last && (
          <Button disabled={winding.busy} onClick={() => void winding.undo()}>
            Undo the last note
          </Button>
        )}
        <EndWinding load={load} onReel={onReel} />
      </div>
    </Card>
  );
}
