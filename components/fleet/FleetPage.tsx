'use client';

import { METRES_PER_LENGTH_UNIT } from '@/core/units/units';
import { Link } from '@/components/ui/Link';
import { useMemo, useState } from 'react';
import { compareFleet, type FleetAction, type FleetGoal } from '@/core/rig/count/fleet';
import type { Reason } from '@/core/reasons';
import type { RigRecord } from '@/core/record/record';
import { rigView } from '@/core/rig/view/rigView';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField } from '@/components/fields/TextField';
import { cardPath, stationPath } from '@/components/shell/paths';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';
import { HelmCards } from './HelmCards';

const GOALS: readonly { value: FleetGoal; text: string }[] = [
  { value: 'true', text: 'the true length' },
  { value: 'middle', text: 'what the middle one shows' },
];

/** All rods of a boat made to agree: the reading on each for one true length, and what brings each in line. */
export function FleetPage({
  boatId,
  boatName,
  rigs,
}: {
  boatId: string;
  boatName: string;
  rigs: readonly RigRecord[];
}) {
  const { format } = useUnits();
  const say = useSay();
  const withCounter = useMemo(() => rigs.filter((rig) => rig.reel.counter), [rigs]);
  const [out, setOut] = useState<readonly string[]>([]);
  const [goal, setGoal] = useState<FleetGoal>('true');
  const length = useQuantity(`fleet:${boatId}`, 'length', 30.48, LIMITS.walkLengthM);
  const views = useMemo(
    () =>
      withCounter
        .filter((rig) => !out.includes(rig.id))
        .map((rig) => rigView(rig))
        .filter((view) => view !== null),
    [withCounter, out],
  );
  const fleet = useMemo(
    () => (length.value === null ? null : compareFleet(views, length.value, goal)),
    [views, length.value, goal],
  );
  if (withCounter.length === 0) return <p>No rod of this boat has a counter.</p>;
  return (
    <div className="flex flex-col gap-4">
      <div className="no-print flex flex-wrap items-end gap-3">
        <div className="w-44">
          <QuantityField label="All at a true" {...length.field} />
        </div>
        <ChoiceField label="They are to agree on" value={goal} options={GOALS} onChange={setGoal} />
      </div>
      {fleet && (
        <Card title="The rods beside each other" className="no-print">
          <p className="mb-3">
            They lie <b className="figures">{format.percent(fleet.spreadBefore, fleet.spreadPlusMinus)}</b> apart;{' '}
            <b className="figures">{format.percent(fleet.spreadAfter)}</b> once what is said below is done. By the card
            of each rod they agree at once.
          </p>
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="The rods">
            <table className="w-full text-sm">
              <thead>
                <tr className="border-b-2 border-ink text-left">
                  <th className="py-1 pr-3">rod</th>
                  <th className="py-1 pr-3">reads</th>
                  <th className="py-1 pr-3">off</th>
                  <th className="py-1 pr-3">to bring it in line</th>
                  <th className="py-1">card</th>
                </tr>
              </thead>
              <tbody>
                {fleet.rods.map((rod) => (
                  <tr key={rod.rigId} className="border-b border-edge">
                    <td className="py-1.5 pr-3 font-semibold">
                      <Link href={stationPath(boatId, rod.rigId, 'count')} className="text-chalk underline">
                        {rod.name}
                      </Link>
                    </td>
                    <td className="figures py-1.5 pr-3 sm:whitespace-nowrap">
                      {format.counts(rod.reading.value, rod.reading.plusMinus)}{' '}
                      {Math.abs(rod.unitM - 1) < 1e-9
                        ? 'm'
                        : Math.abs(rod.unitM - METRES_PER_LENGTH_UNIT.ft) < 1e-9
                          ? 'ft'
                          : 'counts'}
                      {rod.notCountedM > 0.005 && (
                        <span className="block max-w-36 text-xs whitespace-normal text-ink-soft">
                          the first {format.length(rod.notCountedM)} it does not count
                        </span>
                      )}
                    </td>
                    <td className="figures py-1.5 pr-3 sm:whitespace-nowrap">
                      {`${rod.share >= 1 ? '+' : '−'}${format.percent(Math.abs(rod.share - 1), rod.sharePlusMinus)}`}
                    </td>
                    <td className="py-1.5 pr-3">{actionWords(rod.action, format.length, say)}</td>
                    <td className="py-1.5">
                      <Link
                        href={cardPath(boatId, rod.rigId)}
                        className="inline-flex min-h-11 items-center text-chalk underline"
                      >
                        card
                      </Link>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          {fleet.left.length > 0 && (
            <p className="mt-2 text-sm text-ink-soft">
              Left out: {fleet.left.map((each) => `${each.name} (${say(each.why)})`).join('; ')}.
            </p>
          )}
        </Card>
      )}
      <fieldset className="no-print">
        <legend className="text-sm font-semibold">Rods to compare</legend>
        <div className="flex flex-wrap gap-x-5">
          {withCounter.map((rig) => (
            <label key={rig.id} className="flex min-h-11 items-center gap-2 text-sm">
              <input
                type="checkbox"
                className="size-5 accent-chalk"
                checked={!out.includes(rig.id)}
                onChange={(event) =>
                  setOut(event.target.checked ? out.filter((id) => id !== rig.id) : [...out, rig.id])
                }
              />
              {rig.name}
            </label>
          ))}
        </div>
      </fieldset>
      <HelmCards boatName={boatName} views={views} />
    </div>
  );
}

function actionWords(
  action: FleetAction,
  length: (valueM: number, plusMinusM?: number) => string,
  say: (reason: Reason) => string,
): string {
  switch (action.kind) {
    case 'none':
      return 'nothing: it is right to half a count or half a per cent';
    case 'strip':
      return `strip ${length(action.lengthM.value, action.lengthM.plusMinus)}`;
    case 'add':
      return `add ${length(action.lengthM.value, action.lengthM.plusMinus)} at the top`;
    case 'reload':
      return `reload with ${length(action.lengthM.value, action.lengthM.plusMinus)} of ${action.segmentName}`;
    case 'card':
      return `use its card: ${say(action.why)}`;
  }
}
