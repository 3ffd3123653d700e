'use client';

import { spoolAndStack } from '@/core/rig/line/fillOfRig';
import { whatCanGive } from '@/core/load/whatCanGive';
import { woundAreaM2 } from '@/core/spool/spoolGeometry';
import { lengthByHandM } from '@/core/worth/enough';
import type { LoadPlan } from '@/core/load/planLoad';
import type { Failure, Outcome } from '@/core/result';
import type { RigRecord } from '@/core/record/record';
import { productOf } from '@/core/rig/line/planForRig';
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
  const { line } = plan.value;
  const wound = line.segments.find(({ id }) => id === solved.id);
  const byHand = wound
    ? lengthByHandM(
        { fullDiameterM: line.fullDiameterM, widthM: line.spool.widthM },
        woundAreaM2(wound.lineDiameterM, wound.packing),
      )
    : 0;
  return (
    <WithMeasureNext figure={{ kind: 'length', ...solved.lengthM, byHand }} kinds={['length']}>
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
