'use client';

import { shortWhenWords, whenWords } from '@/words/dates';
import { useRig } from '@/components/rig/RigProvider';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';

/** Every setting of this rig's drag that was accepted, and what the log says of drag and preset. */
export function DragHistory() {
  const { record, states } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const { dragHistory } = record;
  const entries = record.log.filter((entry) => entry.topic === 'drag').slice(0, 12);
  return (
    <CollapsibleCard
      id="drag-history"
      title="History"
      line={
        dragHistory.length === 0
          ? 'never set with a scale'
          : `set ${dragHistory.length} time${dragHistory.length === 1 ? '' : 's'}; now ${states.drag.state}: ${say(states.drag.why)}`
      }
    >
      {dragHistory.length > 0 && (
        <table className="w-full text-sm">
          <thead>
            <tr className="border-b border-ink text-left">
              <th className="py-1 pr-3">set on</th>
              <th className="py-1 pr-3">at the tip</th>
              <th className="py-1 pr-3">wanted</th>
              <th className="py-1">share</th>
            </tr>
          </thead>
          <tbody>
            {dragHistory.map((past) => (
              <tr key={past.id} className="border-b border-edge">
                <td className="figures py-1 pr-3">{whenWords(past.acceptedAt)}</td>
                <td className="figures py-1 pr-3">{format.force(past.medianN)}</td>
                <td className="figures py-1 pr-3">{format.force(past.targetN)}</td>
                <td className="figures py-1">{format.percent(past.fraction)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <ul className="mt-3 text-sm">
        {entries.map((entry) => (
          <li key={entry.id}>
            <span className="figures text-ink-soft">{shortWhenWords(entry.at)}</span> {say(entry.entry)}
          </li>
        ))}
      </ul>
    </CollapsibleCard>
  );
}
