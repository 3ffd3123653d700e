'use client';

import { useMemo } from 'react';
import { comparedPlan, type ComparedPlan } from '@/core/rig/load/comparePlans';
import { productOf } from '@/core/rig/line/planForRig';
import type { RigRecord } from '@/core/record/record';
import type { Outcome } from '@/core/result';
import { TextField } from '@/components/fields/TextField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { ComparedRibbon } from './ComparedRibbon';
import { rangeOf, targetOf } from './fillDraft';
import { plannedRecord } from './plannedRecord';
import type { StackDraft } from './stackDraft';
import { areVariants, MOST_VARIANTS, type Variant } from './variants';

/** Plans of one reel side by side: the one in the editor, and those that were put aside. */
export function CompareCardInside({
  record,
  draft,
  onTake,
}: {
  record: RigRecord;
  draft: StackDraft;
  onTake: (draft: StackDraft) => void;
}) {
  const [kept, keep] = useDraft(`variants:${record.id}`, areVariants);
  const [typedName, setName] = useDraft(`variant-name:${record.id}`, isText);
  const name = typedName ?? '';
  const variants = kept ?? [];
  const putAside = (): void => {
    keep([...variants, { id: crypto.randomUUID(), name: name.trim() || `Plan ${variants.length + 1}`, draft }]);
    setName(null);
  };
  return (
    <>
      <div className="flex flex-col gap-4">
        <div className="flex flex-wrap items-end gap-2">
          <TextField label="Name of the plan as it stands" value={name} onChange={setName} />
          <Button disabled={variants.length >= MOST_VARIANTS} onClick={putAside}>
            Put this plan aside
          </Button>
          <span className="text-sm text-ink-soft">Up to {MOST_VARIANTS}, kept in this browser.</span>
        </div>
        {variants.length > 0 && (
          <Compared
            record={record}
            draft={draft}
            variants={variants}
            onTake={onTake}
            onDrop={(id) => keep(variants.filter((variant) => variant.id !== id))}
          />
        )}
      </div>
    </>
  );
}

interface Column {
  readonly id: string;
  readonly name: string;
  readonly draft: StackDraft;
  readonly record: RigRecord;
  readonly plan: Outcome<ComparedPlan>;
}

function Compared({
  record,
  draft,
  variants,
  onTake,
  onDrop,
}: {
  record: RigRecord;
  draft: StackDraft;
  variants: readonly Variant[];
  onTake: (draft: StackDraft) => void;
  onDrop: (id: string) => void;
}) {
  const { format } = useUnits();
  const say = useSay();
  const range = useMemo(() => rangeOf(draft.fill), [draft.fill]);
  const columns = useMemo(
    () =>
      [{ id: '', name: 'in the editor', draft }, ...variants].flatMap((each): Column[] => {
        const planned = plannedRecord(record, each.draft);
        const fill = targetOf(each.draft.fill, record.reel.fullDiameterM.value);
        if (!planned || !fill) return [];
        return [{ ...each, record: planned, plan: comparedPlan(planned, fill, range) }];
      }),
    [record, draft, variants, range],
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
          <tfoot>
            <tr>
              <td />
              {good.map((column) => (
                <td key={column.id} className="py-1.5 pr-3">
                  {column.id !== '' && (
                    <div className="flex flex-wrap gap-1">
                      <Button onClick={() => onTake({ ...column.draft, version: draft.version })}>Edit this one</Button>
                      <Button weight="quiet" onClick={() => onDrop(column.id)}>
                        Drop
                      </Button>
                    </div>
                  )}
                </td>
              ))}
            </tr>
          </tfoot>
        </table>
      </div>
    </div>
  );
}
