'use client';

import dynamic from 'next/dynamic';
import { Link } from '@/components/ui/Link';
import { USUAL_BREAKAWAY } from '@/core/drag/surge';
import { judgeScaleSession } from '@/core/drag/scaleSession';
import { sessionPulls } from '@/core/record/sessionPulls';
import { useRig } from '@/components/rig/RigProvider';
import { stationPath } from '@/components/shell/paths';
import { Card } from '@/components/ui/Card';
import { Sketch } from '@/components/ui/Sketch';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { showFold } from '@/components/ui/folds';
import { useUnits } from '@/components/units/UnitsProvider';
import { fetched } from '@/components/ui/fetched';
import { DragHistory } from './DragHistory';
import { EnvelopeLens } from './EnvelopeLens';
import { FightRehearsal } from './FightRehearsal';
import { LeverCard } from './LeverCard';
import { PlanerCard } from './PlanerCard';
import { AcceptedDrag } from './AcceptedDrag';
import { SurgeCard } from './SurgeCard';

// Each is loaded where it shows: with a drag that is set the target is folded away, and no session is open.
const DragTarget = dynamic(() => fetched(() => import('./DragTarget')).then(({ DragTarget: loaded }) => loaded));
const ScaleSession = dynamic(() => fetched(() => import('./ScaleSession')).then(({ ScaleSession: loaded }) => loaded));

/** The Drag station: set it with a scale, and know what it becomes as line leaves. */
export function DragStation() {
  const { record, view } = useRig();
  const { format } = useUnits();
  const { load, dragSetting, dragSession } = record;
  if (!view || load?.status !== 'wound') {
    return (
      <Card title="Nothing to set yet">
        <Sketch of="drag">
          <p>
            Drag depends on how full the spool is.{' '}
            <Link className="text-chalk underline" href={stationPath(record.boat.id, record.id, 'load')}>
              Load the reel first
            </Link>
            .
          </p>
        </Sketch>
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
  const envelope = view.strength && drag && (
    <EnvelopeLens view={view} drag={drag} isSet={view.setForceN !== null} isFolded={session !== null} />
  );
  return (
    <div className="flex flex-col gap-4">
      {session ? (
        <Card title="Scale session">
          <ScaleSession key={session.id} setting={session} />
        </Card>
      ) : (
        <Card title={accepted ? 'As it is set' : 'Target'}>
          {accepted ? (
            <AcceptedDrag setting={accepted} onAnew={() => showFold('target')} />
          ) : (
            <DragTarget view={view} load={load} />
          )}
        </Card>
      )}
      {!session && envelope}
      <div className="grid items-start gap-4 lg:grid-cols-2">
        {session && envelope}
        {(session ?? accepted) && (
          <CollapsibleCard id="target" title="Target" line="another share, bend or session">
            <DragTarget view={view} load={load} />
          </CollapsibleCard>
        )}
        {session && accepted && (
          <CollapsibleCard
            id="as-set"
            title="As it is set"
            line={`in force until this session is accepted: ${format.force(view.setForceN ?? accepted.targetN)}`}
          >
            <AcceptedDrag setting={accepted} />
          </CollapsibleCard>
        )}
        {record.reel.dragKind === 'lever' && <LeverCard view={view} load={load} targetN={newest?.targetN ?? null} />}
        {drag && view.strength && <SurgeCard view={view} drag={drag} />}
        <PlanerCard view={view} />
        {drag && view.strength && <FightRehearsal view={view} forceN={drag.forceN} breakawayRatio={breakawayRatio} />}
        <DragHistory />
      </div>
    </div>
  );
}
