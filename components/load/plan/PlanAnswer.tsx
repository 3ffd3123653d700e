'use client';

import Link from 'next/link';
import { lapsOf } from '@/core/counter/counter';
import { JOIN_KINDS } from '@/core/joins/joinKinds';
import { spoolAndStack } from '@/core/rig/line/fillOfRig';
import { whatCanGive } from '@/core/load/whatCanGive';
import type { LoadPlan } from '@/core/load/planLoad';
import type { Failure, Outcome } from '@/core/result';
import type { RigRecord } from '@/core/record/record';
import { productOf } from '@/core/rig/line/planForRig';
import { sheetPath } from '@/components/shell/paths';
import { lapWords } from '../wind/windingWords';
import { WithMeasureNext } from '@/components/worth/WithMeasureNext';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';

/** What the plan comes to, and why: the answer before any form. */
export function PlanAnswer({
  record,
  plan,
  levelBelowRimM,
}: {
  record: RigRecord;
  plan: Outcome<LoadPlan, 'does-not-fit'>;
  levelBelowRimM: number;
}) {
  const { format } = useUnits();
  const say = useSay();
  if (!plan.ok) return <DoesNotFit record={record} failure={plan} />;
  const solved = plan.value.segments.find((segment) => segment.id === plan.value.solvedSegmentId);
  const segment = record.segments.find((candidate) => candidate.id === solved?.id);
  const target = record.fill?.target;
  const mark = target?.kind === 'own-mark' ? target : null;
  const belowRimM = (record.reel.fullDiameterM.value - plan.value.finalDiameterM.value) / 2;
  if (!solved || !segment) {
    return (
      <WithMeasureNext
        figure={{ kind: 'level', value: belowRimM, plusMinus: plan.value.levelBelowRimM.plusMinus }}
        kinds={['level']}
      >
        <p aria-live="polite">
          Every length is given, so the level follows: it ends{' '}
          <b className="figures">{format.small(Math.abs(belowRimM), plan.value.levelBelowRimM.plusMinus)}</b>{' '}
          {belowRimM >= 0 ? 'under' : 'above'} the rim.
          {belowRimM < 0 && ' That is overfull: on a frame reel it rubs, on a fixed spool it throws loops.'}
        </p>
      </WithMeasureNext>
    );
  }
  return (
    <WithMeasureNext figure={{ kind: 'length', ...solved.lengthM }} kinds={['length']}>
      <div aria-live="polite">
        <p className="text-ink-soft">
          {segment.name}: {productOf(record, segment.productId).name}
        </p>
        <p className="figures text-4xl font-bold">{format.length(solved.lengthM.value, solved.lengthM.plusMinus)}</p>
        <p className="mt-1">
          of true length, so that{' '}
          {mark
            ? `it ends at its own mark, ${format.small(mark.diameterM)} across. With everything else above it the level ends `
            : 'the level ends '}
          {format.small(Math.abs(levelBelowRimM), plan.value.levelBelowRimM.plusMinus)}{' '}
          {levelBelowRimM >= 0 ? 'under' : 'above'} the rim when exactly that and everything else is on.
          {solved.lengthM.mainlyFrom && ` The ± (95 %) comes mostly from ${say(solved.lengthM.mainlyFrom)}.`} Do not cut
          the supply line until {record.reel.counter ? 'the counter is accepted' : 'the level is right'}.
        </p>
      </div>
    </WithMeasureNext>
  );
}

/** A stack that does not fit, and what could give way: never more of a segment than there is. */
function DoesNotFit({ record, failure }: { record: RigRecord; failure: Failure<'does-not-fit'> }) {
  const { format } = useUnits();
  const ways = whatCanGive(
    spoolAndStack(record).segments,
    failure.figures.takenVolumeM3 - failure.figures.availableVolumeM3,
  );
  return (
    <div role="alert" className="border-l-4 border-stop bg-stop/10 px-3 py-2">
      <p>
        <b>This stack does not fit.</b> The segments with a length take {format.volume(failure.figures.takenVolumeM3)},
        and there is room for {format.volume(failure.figures.availableVolumeM3)}.
      </p>
      {ways.length > 0 ? (
        <>
          <p>It would just fit, with no room for the segment that is worked out, with</p>
          <ul className="list-disc pl-5">
            {ways.map(({ id, name, lengthM, lessM }) => (
              <li key={id}>
                {format.length(lessM)} less of {name}, of {format.length(lengthM)};
              </li>
            ))}
          </ul>
          <p>or with thinner line, or on a larger reel.</p>
        </>
      ) : (
        <p>No single segment is long enough to give that: shorten several, take thinner line, or a larger reel.</p>
      )}
    </div>
  );
}

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
