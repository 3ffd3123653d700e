'use client';

import Link from 'next/link';
import { USUAL_BREAKAWAY } from '@/core/drag/surge';
import { judgeScaleSession } from '@/core/drag/scaleSession';
import { sessionPulls } from '@/core/record/sessionPulls';
import { useRig } from '@/components/rig/RigProvider';
import { stationPath } from '@/components/shell/paths';
import { Card } from '@/components/ui/Card';
import { DragHistory } from './DragHistory';
import { DragTargetCard } from './DragTargetCard';
import { EnvelopeLens } from './EnvelopeLens';
import { FightRehearsal } from './FightRehearsal';
import { LeverCard } from './LeverCard';
import { PlanerCard } from './PlanerCard';
import { AcceptedDrag, ScaleSession } from './ScaleSession';
import { SurgeCard } from './SurgeCard';

/** The Drag station: set it with a scale, and know what it becomes as line leaves. */
export function DragStation() {
  const { record, view } = useRig();
  const { load, dragSetting, dragSession } = record;
  if (!view || load?.status !== 'wound') {
    return (
      <Card title="Nothing to set yet">
        <p>
          Drag depends on how full the spool is.{' '}
          <Link className="text-chalk underline" href={stationPath(record.boat.id, record.id, 'load')}>
            Load the reel first
          </Link>
          .
        </p>
      </Card>
    );
  }
  const accepted = dragSetting?.loadId === load.id ? dragSetting : null;
  const session = dragSession?.loadId === load.id ? dragSession : null;
  const newest = session ?? accepted;
  const forceN = view.setForceN ?? newest?.targetN ?? null;
  const judgement = newest && judgeScaleSession(sessionPulls(newest), newest.targetN);
  const breakawayRatio = judgement?.breakawayRatio ?? USUAL_BREAKAWAY;
  const drag = forceN === null ? null : { forceN, breakawayRatio, isJerkRead: judgement?.breakawayRatio != null };
  return (
    <div className="flex flex-col gap-4">
      {view.strength && drag && <EnvelopeLens view={view} drag={drag} isSet={view.setForceN !== null} />}
      <div className="grid gap-4 lg:grid-cols-2">
        <Card title="Target">
          <DragTargetCard view={view} load={load} />
        </Card>
        <div className="flex min-w-0 flex-col gap-4">
          {(session ?? !accepted) && (
            <Card title="Scale session">
              {session ? (
                <ScaleSession key={session.id} setting={session} />
              ) : (
                <p>
                  Choose a target, then begin a session: hook a scale to the line through the bent rod, as with a fish.
                  Two pulls warm the drag up; the next ones count.
                </p>
              )}
            </Card>
          )}
          {accepted && (
            <Card title="As it is set">
              <AcceptedDrag setting={accepted} />
            </Card>
          )}
        </div>
      </div>
      {record.reel.dragKind === 'lever' && <LeverCard view={view} load={load} targetN={newest?.targetN ?? null} />}
      {drag && view.strength && (
        <>
          <SurgeCard view={view} drag={drag} />
          <FightRehearsal view={view} forceN={drag.forceN} breakawayRatio={breakawayRatio} />
        </>
      )}
      <PlanerCard view={view} />
      <DragHistory />
    </div>
  );
}
