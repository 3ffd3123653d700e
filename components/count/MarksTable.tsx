'use client';

import { ticks } from 'd3-array';
import { useMemo } from 'react';
import { countMarks } from '@/core/rig/count/countMarks';
import type { RigView } from '@/core/rig/view/rigView';
import { fromSi, toSi } from '@/core/units/units';
import { useRig } from '@/components/rig/RigProvider';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { AskTable } from './AskTable';

/** Round lengths, joins and colours, each with what the counter shows then; and any length, or any reading, asked for. */
export function MarksTable({ view }: { view: RigView }) {
  const { units, format } = useUnits();
  const say = useSay();
  const marks = useMemo(() => {
    const end = fromSi('length', view.current.line.totalLengthM, units.length);
    const rounds = ticks(0, end, 14).filter((value) => value > 0);
    return countMarks(
      view,
      rounds.map((value) => toSi('length', value, units.length)),
    );
  }, [view, units.length]);
  const unitM = view.counter?.counter.unitM ?? null;
  const { record, states } = useRig();
  const stale = states.count;
  return (
    <>
      <p className="mb-2 text-sm text-ink-soft">
        True length is from the hook;{' '}
        {unitM === null ? 'turns of the spool are counted from' : 'the counter is zeroed with'} all wound line on
        {view.current.line.handLinedLengthM > 0 && ' and what is let out by hand already out'}
        {record.hangM ? `, with ${format.length(record.hangM)} below the tip` : ''}.{' '}
        {unitM !== null && 'The winding log gives a second, independent figure at each join. '}
        {stale.state === 'stale' && (
          <b className="text-warn">Worked out anew, and not confirmed since: {say(stale.why)}.</b>
        )}
      </p>
      {view.counter && <AskTable view={view} />}
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Correction table">
        <table className="w-full text-sm">
          <thead>
            <tr className="border-b-2 border-ink text-left">
              <th className="py-1 pr-3">true length out</th>
              <th className="py-1 pr-3">{unitM === null ? 'spool turns' : 'counter shows'}</th>
              {unitM !== null && <th className="py-1 pr-3">by the winding log</th>}
              {unitM !== null && <th className="py-1 pr-3">error</th>}
              <th className="py-1">mark</th>
            </tr>
          </thead>
          <tbody>
            {marks.map((mark) => {
              const paidOutM = Math.max(mark.lengthOutM - view.current.line.handLinedLengthM, 0);
              return (
                <tr
                  key={`${mark.kind}${mark.lengthOutM}`}
                  className={`border-b border-edge ${mark.kind === 'join' ? 'font-semibold' : ''}`}
                >
                  <td className="figures py-1 pr-3 whitespace-nowrap">{format.length(mark.lengthOutM)}</td>
                  <td className="figures py-1 pr-3 whitespace-nowrap">
                    {format.counts(mark.reading.value, mark.reading.plusMinus)}
                  </td>
                  {unitM !== null && (
                    <>
                      <td className="figures py-1 pr-3">
                        {mark.loggedReading === null ? '' : format.counts(mark.loggedReading)}
                      </td>
                      <td className="figures py-1 pr-3">
                        {paidOutM > 1
                          ? `${((100 * mark.reading.value * unitM) / paidOutM - 100).toFixed(1).replace('-', '−')} %`
                          : ''}
                      </td>
                    </>
                  )}
                  <td className="py-1">{mark.name}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </>
  );
}
