'use client';

import Link from 'next/link';
import { useMemo, useState } from 'react';
import { dragEnvelope, type DragEnvelope } from '@/core/drag/dragEnvelope';
import type { RigView } from '@/core/rig/rigView';
import { fromSi } from '@/core/units/units';
import { LensChart } from '@/components/line/LensChart';
import { useRig } from '@/components/rig/RigProvider';
import { stationPath } from '@/components/shell/places';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { DragTargetCard } from './DragTargetCard';
import { ScaleSession } from './ScaleSession';

/** The Drag station: set it with a scale, and know what it becomes as line leaves. */
export function DragStation() {
  const { record, view } = useRig();
  const { load, dragSetting } = record;
  const [another, setAnother] = useState<string | null>(null);
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
  const session = dragSetting?.loadId === load.id && another !== dragSetting.id ? dragSetting : null;
  const forceN = view.setForceN ?? session?.targetN ?? null;
  return (
    <div className="flex flex-col gap-4">
      {view.strength && forceN !== null && <Envelope view={view} forceN={forceN} isSet={view.setForceN !== null} />}
      <div className="grid gap-4 lg:grid-cols-2">
        <Card title="Target">
          <DragTargetCard view={view} load={load} />
        </Card>
        <Card title={session?.acceptedAt ? 'As it is set' : 'Scale session'}>
          {session ? (
            <ScaleSession key={session.id} setting={session} onAnother={() => setAnother(session.id)} />
          ) : (
            <p>
              Choose a target, then begin a session: hook a scale to the line through the bent rod, as with a fish. Two
              pulls warm the drag up; the next ones count.
            </p>
          )}
        </Card>
      </div>
    </div>
  );
}

function Envelope({ view, forceN, isSet }: { view: RigView; forceN: number; isSet: boolean }) {
  const { cursorM } = useRig();
  const { units, format } = useUnits();
  const { strength } = view;
  const { line } = view.current;
  const envelope = useMemo(
    (): DragEnvelope | null => (strength ? dragEnvelope(line, strength, forceN, 0) : null),
    [line, strength, forceN],
  );
  const curves = useMemo(() => {
    if (!envelope) return [];
    const show = (valueN: number): number => fromSi('force', valueN, units.force);
    return [
      {
        name: 'pull at the tip',
        look: 'stroke-chalk text-chalk',
        points: envelope.points.map((p) => ({
          lengthM: p.lengthOutM,
          value: show(p.tipForceN),
          plusMinus: show(p.tipForceN * p.layerStep),
        })),
      },
      {
        name: 'weakest place that is out',
        look: 'stroke-stop text-stop',
        dashed: true,
        points: envelope.points.map((p) => ({ lengthM: p.lengthOutM, value: show(p.weakest.strengthN.value) })),
      },
    ];
  }, [envelope, units.force]);
  const last = envelope?.points.at(-1);
  if (!envelope || !last) return null;
  return (
    <div>
      <LensChart
        view={view}
        title="Drag left alone, as line leaves"
        axis={`${units.force}, band: one layer`}
        cursorM={cursorM}
        curves={curves}
        describe={`The pull at the tip rises from ${format.force(forceN)} to ${format.force(last.tipForceN)} with everything out.`}
      />
      <p className="mt-1 text-sm">
        {isSet ? 'As it was set' : 'At the target'}, {format.force(forceN)} becomes {format.force(last.tipForceN)} with
        everything out (× {last.dragFactor.toFixed(2)}): the same torque acts on a smaller spool.{' '}
        {envelope.passes.map(({ share, lengthOutM }) =>
          lengthOutM === null ? null : (
            <span key={share}>
              It passes {format.percent(share)} of the weakest place at {format.length(lengthOutM)} out.{' '}
            </span>
          ),
        )}
        {envelope.passes.every(({ lengthOutM }) => lengthOutM === null) &&
          'It stays under half of the weakest place all the way. '}
        To keep {format.force(forceN)} ease it to {format.percent(1 / last.dragFactor)} by then. Not counted: the
        water&apos;s own pull on the line, a belly moving broadside, a hot drag.
      </p>
    </div>
  );
}
