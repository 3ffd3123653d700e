'use client';

import { useMemo } from 'react';
import { comparedPlan, type ComparedPlan } from '@/core/rig/load/comparePlans';
import { productOf } from '@/core/rig/line/planForRig';
import type { KeptPlanRecord, RigRecord } from '@/core/record/record';
import type { Outcome } from '@/core/result';
import { TextField } from '@/components/fields/TextField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { More } from '@/components/keeping/More';
import { useSend } from '@/components/http/useSend';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { ComparedRibbon } from './ComparedRibbon';
import { rangeOf, targetOf } from './fillDraft';
import { plannedRecord } from './plannedRecord';
import { draftOfKept, stackOf, type StackDraft } from './stackDraft';

/** Plans beside the one in the editor, at the most. */
const MOST_BESIDE = 4;

const areIds = (kept: unknown): kept is readonly string[] =>
  Array.isArray(kept) && kept.every((each) => typeof each === 'string');

/** The plans that the boat keeps: another one kept, one taken up, several beside the one in the editor. */
export function CompareCardInside({
  record,
  draft,
  onTake,
}: {
  record: RigRecord;
  draft: StackDraft;
  onTake: (draft: StackDraft) => void;
}) {
  const { sendNow, state, fieldError } = useSend();
  const [beside, setBeside] = useDraft(`beside:${record.id}`, areIds);
  const [typedName, setName] = useDraft(`plan-name:${record.id}`, isText);
  const stack = stackOf(draft, record.reel.fullDiameterM.value);
  const plans = record.keptPlans.filter(({ id }) => beside?.includes(id)).slice(0, MOST_BESIDE);
  const toggle = (id: string): void =>
    setBeside(beside?.includes(id) ? beside.filter((each) => each !== id) : [...(beside ?? []), id]);
  const keep = async (): Promise<void> => {
    if (!stack) return;
    const name = typedName ?? '';
    const kept = await sendNow('keepPlan', { boatId: record.boat.id }, { name, stack }, `Plan ${name.trim()} is kept.`);
    if (kept.ok) setName(null);
  };
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-end gap-2">
        <TextField
          label="Name of the plan as it stands"
          value={typedName ?? ''}
          onChange={setName}
          error={fieldError('name')}
        />
        <Button disabled={!stack || state.kind === 'sending'} onClick={() => void keep()}>
          Keep this plan
        </Button>
      </div>
      {record.keptPlans.length > 0 && (
        <ul className="flex flex-col divide-y divide-edge">
          {record.keptPlans.map((plan) => (
            <li key={plan.id} className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 py-1.5">
              <span>
                <b>{plan.name}</b>{' '}
                <span className="text-sm text-ink-soft">
                  {plan.stack.segments.map((segment) => segment.name).join(', ')}
                </span>
              </span>
              <span className="flex flex-wrap items-center gap-1">
                <Button onClick={() => onTake(draftOfKept(plan.stack, record, () => crypto.randomUUID()))}>
                  Take it up
                </Button>
                <Button
                  weight="quiet"
                  aria-pressed={plans.includes(plan)}
                  disabled={!plans.includes(plan) && plans.length >= MOST_BESIDE}
                  onClick={() => toggle(plan.id)}
                >
                  {plans.includes(plan) ? 'Beside, on one scale' : 'Look at it beside'}
                </Button>
                <More
                  boatId={record.boat.id}
                  thing="plan"
                  id={plan.id}
                  name={plan.name}
                  stays="Put away, the plan is not offered any more. Rigs that took it up keep what they have."
                />
              </span>
            </li>
          ))}
        </ul>
      )}
      {plans.length > 0 && <Compared record={record} draft={draft} plans={plans} />}
    </div>
  );
}

interface Column {
  readonly id: string;
  readonly name: string;
  readonly record: RigRecord;
  readonly plan: Outcome<ComparedPlan>;
}

function Compared({
  record,
  draft,
  plans,
}: {
  record: RigRecord;
  draft: StackDraft;
  plans: readonly KeptPlanRecord[];
}) {
  const { format } = useUnits();
  const say = useSay();
  const range = useMemo(() => rangeOf(draft.fill), [draft.fill]);
  const columns = useMemo(
    () =>
      [
        { id: '', name: 'in the editor', draft },
        ...plans.map(({ id, name, stack }) => ({
          id,
          name,
          draft: draftOfKept(stack, record, () => crypto.randomUUID()),
        })),
      ].flatMap((each): Column[] => {
        const planned = plannedRecord(record, each.draft);
        const fill = targetOf(each.draft.fill, record.reel.fullDiameterM.value);
        if (!planned || !fill) return [];
        return [{ id: each.id, name: each.name, record: planned, plan: comparedPlan(planned, fill, range) }];
      }),
    [record, draft, plans, range],
  );
  const good = columns.flatMap(({ plan, ...rest }) => (plan.ok ? [{ ...rest, plan: plan.value }] : []));
  const longestM = Math.max(...good.map(({ plan }) => plan.line.totalLengthM));
  const row = (label: string, of: (column: (typeof good)[number]) => string) => (
    <tr className="border-b border-edge align-top">
      <th className="py-1.5 pr-3 text-left font-normal text-ink-soft">{label}</th>
      {good.map((column) => (
        <td key={column.id} className="figures py-1.5 pr-3">
          {of(column)}
        </td>
      ))}
    </tr>
  );
  return (
    <div className="flex flex-col gap-3">
      {columns.map((column) =>
        column.plan.ok ? (
          <ComparedRibbon
            key={column.id}
            name={column.name}
            record={column.record}
            line={column.plan.value.line}
            longestM={longestM}
          />
        ) : (
          <p key={column.id} className="text-sm">
            <b>{column.name}</b>: {say(column.plan)}
          </p>
        ),
      )}
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Plans compared">
        <table className="w-full text-sm">
          <thead>
            <tr className="border-b-2 border-ink text-left">
              <th className="py-1 pr-3">
                <span className="sr-only">figure</span>
              </th>
              {good.map((column) => (
                <th key={column.id} className="py-1 pr-3">
                  {column.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {row('level under the rim', ({ plan }) =>
              format.small(plan.levelBelowRimM.value, plan.levelBelowRimM.plusMinus),
            )}
            {row('room left on the spool', ({ plan }) => format.percent(plan.capacityLeft))}
            {record.reel.counter &&
              row(
                `counter off, ${format.length(range.fromM)} to ${format.length(range.toM)} off the spool`,
                ({ plan }) =>
                  plan.counterError
                    ? `${format.percent(plan.counterError.least)} to ${format.percent(plan.counterError.greatest)}`
                    : 'shorter than that',
              )}
            {row('weakest place', ({ plan }) =>
              plan.weakest ? `${plan.weakest.name}, ${format.force(plan.weakest.strengthN.value)}` : 'not known',
            )}
            {row('drag with all line out, times', ({ plan }) => plan.dragRise.toFixed(2))}
            {row('line that it takes', ({ plan, record: planned }) =>
              Object.entries(plan.lineM)
                .map(([id, lengthM]) => `${format.length(lengthM)} ${productOf(planned, id).name}`)
                .join('; '),
            )}
          </tbody>
        </table>
      </div>
    </div>
  );
}
