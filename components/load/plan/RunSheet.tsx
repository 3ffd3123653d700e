'use client';

import { Link } from '@/components/ui/Link';
import { lapsOf } from '@/core/counter/counter';
import { JOIN_KINDS } from '@/core/joins/joinKinds';
import type { LoadPlan } from '@/core/load/planLoad';
import type { RigRecord } from '@/core/record/record';
import { sheetPath } from '@/components/shell/paths';
import { useUnits } from '@/components/units/UnitsProvider';
import { lapWords } from '../wind/windingWords';

/** One line per segment: what goes on, where to stop, what people's own figure would be. */
export function RunSheet({ record, plan }: { record: RigRecord; plan: LoadPlan }) {
  const { format } = useUnits();
  const { counter, gearRatio } = record.reel;
  const rimM = record.reel.fullDiameterM.value;
  const cell = 'py-1.5 pr-3 align-top';
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Table of the run sheet">
      <table className="w-full text-sm">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th className={cell}>in order of winding</th>
            <th className={cell}>true length</th>
            {counter ? (
              <>
                <th className={cell}>stop at</th>
                <th className={cell}>by length alone</th>
              </>
            ) : (
              <th className={cell}>spool turns</th>
            )}
            <th className={cell}>level after, under the rim</th>
          </tr>
        </thead>
        <tbody>
          {plan.segments.map((segment) => {
            const stored = record.segments.find((candidate) => candidate.id === segment.id);
            const join = record.planJoins.find(
              (candidate) => candidate.part === 'join' && candidate.outerSegmentId === segment.id,
            );
            return (
              <tr key={segment.id} className="border-b border-edge">
                <td className={cell}>
                  <b>{segment.name}</b>
                  <br />
                  <span className="text-ink-soft">{join ? JOIN_KINDS[join.kind].name : ''}</span>
                  {stored && stored.colours.length > 0 && (
                    <span className="block text-ink-soft">goes on {stored.colours.join(', ')}</span>
                  )}
                </td>
                <td className={`${cell} figures whitespace-nowrap`}>
                  {format.length(segment.lengthM.value, segment.lengthM.plusMinus)}
                </td>
                {!stored?.wound ? (
                  <td className={cell} colSpan={3}>
                    let out by hand; not on the spool
                  </td>
                ) : (
                  <>
                    {counter ? (
                      <>
                        <td className={`${cell} figures text-lg font-bold whitespace-nowrap`}>
                          <span className="block text-xs font-normal text-ink-soft">
                            {lapWords(lapsOf(segment.counts?.value ?? 0, counter), counter.digits)}
                          </span>
                          {String(segment.stopReading ?? 0).padStart(counter.digits, '0')}{' '}
                          <span className="text-xs font-normal text-ink-soft">
                            ± {format.counts(segment.counts?.plusMinus ?? 0)}
                          </span>
                        </td>
                        <td className={`${cell} figures whitespace-nowrap text-ink-soft`}>
                          {String(segment.naiveStopReading ?? 0).padStart(counter.digits, '0')}
                        </td>
                      </>
                    ) : (
                      <td className={`${cell} figures whitespace-nowrap`}>
                        {format.counts(segment.turns.value, segment.turns.plusMinus)}
                        {gearRatio !== null && (
                          <span className="block text-ink-soft">
                            {format.counts(segment.turns.value / gearRatio, segment.turns.plusMinus / gearRatio)} of the
                            handle
                          </span>
                        )}
                      </td>
                    )}
                    <td className={`${cell} figures whitespace-nowrap`}>
                      {format.small((rimM - segment.diameterAfterM.value) / 2, segment.diameterAfterM.plusMinus / 2)}
                    </td>
                  </>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-2 text-sm">
        <Link className="text-chalk underline" href={sheetPath(record.boat.id, record.id)}>
          This sheet on paper
        </Link>
        , of the plan as it is stored.
      </p>
      <p className="mt-2 text-sm text-ink-soft">
        Winds with the {record.reel.windHand} hand: seen from its own side the handle goes round{' '}
        {record.reel.windHand === 'right' ? 'clockwise' : 'anticlockwise'}. Set the supply spool so that line leaves it
        the way it goes on.
      </p>
      {counter && (
        <p className="mt-1 text-sm text-ink-soft">
          Zero the counter before each segment; it runs backwards while line goes on. The two readings differ because
          the counter counts spool turns and takes the spool to be nearly full: near the arbor a turn takes far less
          line.
        </p>
      )}
    </div>
  );
}
