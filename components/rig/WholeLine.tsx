'use client';

import { whenWords } from '@/words/dates';
import { Link } from '@/components/ui/Link';
import { STATIONS } from '@/core/record/stations';
import { SpoolAtCursor } from '@/components/line/SpoolSection';
import { stationPath } from '@/components/shell/paths';
import { Card } from '@/components/ui/Card';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { Sketch } from '@/components/ui/Sketch';
import { LinkButton } from '@/components/ui/LinkButton';
import { StateMark } from '@/components/ui/StateMark';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { useRig } from './RigProvider';

/** The rig's own page: its stations, the spool, the line in figures, the log. */
export function WholeLine() {
  const { record, view, states } = useRig();
  const { format } = useUnits();
  const say = useSay();
  return (
    <div className="grid gap-4 lg:grid-cols-3">
      <Card title="What to do next" className="lg:col-span-1">
        <NextAct />
        <ol className="flex flex-col divide-y divide-edge">
          {STATIONS.map(({ id, title }, index) => (
            <li key={id}>
              <Link href={stationPath(record.boat.id, record.id, id)} className="block py-2.5 hover:bg-paper">
                <span className="flex items-center justify-between">
                  <span className="lettered">
                    {index + 1}. {title}
                  </span>
                  <StateMark state={states[id].state} />
                </span>
                <span className="text-sm text-ink-soft">{say(states[id].why)}</span>
              </Link>
            </li>
          ))}
        </ol>
      </Card>
      <Card title="On the spool">
        {view ? (
          <>
            <SpoolAtCursor view={view} />
            <div className="mt-3">
              <CollapsibleCard
                id="lengths"
                title="Lengths"
                line={`${format.length(view.current.line.totalLengthM)} in ${view.current.line.segments.length} segments`}
              >
                <table className="mt-3 w-full text-sm">
                  <thead>
                    <tr className="border-b border-ink text-left">
                      <th className="py-1 font-semibold">from the hook</th>
                      <th className="py-1 text-right font-semibold">length</th>
                      <th className="py-1 text-right font-semibold">thickness</th>
                    </tr>
                  </thead>
                  <tbody>
                    {view.current.line.segments.toReversed().map((segment) => (
                      <tr key={segment.id} className="border-b border-edge">
                        <td className="py-1">
                          {segment.name}
                          {!segment.wound && <span className="text-ink-soft"> (by hand)</span>}
                        </td>
                        <td className="figures py-1 text-right whitespace-nowrap">{format.length(segment.lengthM)}</td>
                        <td className="figures py-1 text-right whitespace-nowrap">
                          {format.thickness(segment.lineDiameterM)}
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </CollapsibleCard>
            </div>
          </>
        ) : (
          <Sketch of="line">
            <p>
              This rig has no line yet.{' '}
              <Link className="text-chalk underline" href={stationPath(record.boat.id, record.id, 'load')}>
                Plan one at Load
              </Link>
              : name the segments from the arbor outwards and leave the length of the backing open.
            </p>
          </Sketch>
        )}
      </Card>
      <CollapsibleCard
        id="log"
        title="Log"
        line={record.log.length === 0 ? 'nothing yet' : `${record.log.length} entries`}
      >
        {record.note && <p className="mb-3 border-l-4 border-rule pl-2">{record.note}</p>}
        {record.log.length === 0 ? (
          <p className="text-ink-soft">
            Nothing has been logged. Loading, testing and setting write here by themselves.
          </p>
        ) : (
          <ol className="flex flex-col gap-2 text-sm">
            {record.log.map((entry) => (
              <li key={entry.id}>
                <time dateTime={entry.at} className="figures text-ink-soft" suppressHydrationWarning>
                  {whenWords(entry.at)}
                </time>{' '}
                {say(entry.entry)}
              </li>
            ))}
          </ol>
        )}
      </CollapsibleCard>
    </div>
  );
}

/** The first station of the work that is due or stale, and why. */
function NextAct() {
  const { record, states } = useRig();
  const say = useSay();
  const next = STATIONS.find(({ id }) => states[id].state === 'stale' || states[id].state === 'due');
  if (!next) return <p className="mb-2 text-lg font-semibold text-go">Nothing is due: go fishing.</p>;
  return (
    <div className="mb-3 flex flex-wrap items-center gap-3">
      <LinkButton href={stationPath(record.boat.id, record.id, next.id)}>{next.title}</LinkButton>
      <span className="text-sm">{say(states[next.id].why)}</span>
    </div>
  );
}
