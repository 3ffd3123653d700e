'use client';

import { useMemo } from 'react';
import { chooseJoin } from '@/core/joins/chooseJoin';
import { JOIN_KINDS, type JoinKind } from '@/core/joins/joinKinds';
import type { JoinRecord } from '@/core/record/record';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';

import { linesOfJoin } from '@/core/rig/joins/linesOfJoin';

/** Which joins would join these two lines: ranked, with reasons, and why the others cannot. */
export function JoinChooser({
  join,
  tested,
}: {
  join: JoinRecord;
  tested: Readonly<Partial<Record<JoinKind, number>>>;
}) {
  const { record } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const { sendNow, state } = useSend();
  const isOn = record.load?.status === 'wound';
  const lines = useMemo(() => linesOfJoin(record, join), [record, join]);
  const { ranked, impossible } = useMemo(() => chooseJoin(lines.inner, lines.outer, tested), [lines, tested]);
  const use = (kind: JoinKind): void =>
    void sendNow(
      'changeJoinKind',
      { boatId: record.boat.id, rigId: record.id, joinId: join.id },
      { kind },
      isOn
        ? `Planned: ${JOIN_KINDS[kind].name}. The join that is on counts until this one is tied.`
        : `${JOIN_KINDS[kind].name} it is. Strength and drag follow.`,
    );
  const best = ranked[0];
  const line = best
    ? best.kind === join.kind
      ? 'this is the first choice for these two lines'
      : `first choice: ${JOIN_KINDS[best.kind].name}`
    : 'nothing here joins these two';
  return (
    <CollapsibleCard title="What else would join these" line={line}>
      <ol className="flex flex-col gap-2 text-sm">
        {ranked.map((each) => (
          <li key={each.kind} className="border-l-4 border-rule pl-3">
            <span className="flex flex-wrap items-center justify-between gap-x-3">
              <b>
                {JOIN_KINDS[each.kind].name}
                {each.kind === join.kind && ' (now)'}
              </b>
              {each.kind !== join.kind && (
                <Button weight="quiet" disabled={state.kind === 'sending'} onClick={() => use(each.kind)}>
                  Use this one
                </Button>
              )}
            </span>
            {each.reasons.map(say).join('; ')}. About <span className="figures">{format.small(each.bulkM)}</span> thick
            (a guess from the lines).
          </li>
        ))}
      </ol>
      {impossible.length > 0 && (
        <ul className="mt-3 list-disc pl-5 text-sm text-ink-soft">
          {impossible.map(({ kind, why }) => (
            <li key={kind}>
              {JOIN_KINDS[kind].name}: {say(why)}
            </li>
          ))}
        </ul>
      )}
    </CollapsibleCard>
  );
}
