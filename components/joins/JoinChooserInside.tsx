'use client';

import { useMemo, useState } from 'react';
import { type CrewKnows, type JoinPart, type RankedJoin } from '@/core/joins/chooseJoin';
import { leaderAgainstPurpose, LEADER_PURPOSES, type LeaderPurpose } from '@/core/joins/leaderPurpose';
import { because } from '@/core/reasons';
import { JOIN_KINDS } from '@/core/joins/joinKinds';
import type { JoinRecord, RigRecord } from '@/core/record/record';
import { between, choiceForJoin } from '@/core/rig/joins/joinChoice';
import { linesThatMeet } from '@/core/rig/joins/linesOfJoin';
import { isAtLeader } from '@/core/rig/joins/joinsOfRig';
import { ChoiceField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useSay } from '@/components/units/useSay';
import { OpeningField } from './OpeningField';

const PURPOSES: Readonly<Record<LeaderPurpose, string>> = {
  unseen: 'stays unseen',
  'feels weed': 'feels weed on the bait',
  'resists teeth': 'stands teeth',
  'no twist': 'keeps twist away',
};

/** What is tied for a join, in the order of tying. */
function partWords(parts: readonly JoinPart[], nameOf: (of: 'inner' | 'outer') => string): string {
  return parts
    .map(({ kind, of }) => (of === 'join' ? JOIN_KINDS[kind].name : `${JOIN_KINDS[kind].name} in ${nameOf(of)}`))
    .join(', then ');
}

/** Two lines that nothing joins: what to put between them. */
function NothingJoins({ record, join }: { record: RigRecord; join: JoinRecord }) {
  const say = useSay();
  const lines = between(record, join);
  const why = lines.length > 0 ? because('put-between', { lines }) : because('nothing-joins');
  return <p className="mb-2 text-sm text-warn">{say(why)}.</p>;
}

/** What the leader's material is against what it is for. */
function LeaderFits({ record, join, purpose }: { record: RigRecord; join: JoinRecord; purpose: LeaderPurpose }) {
  const say = useSay();
  const { outer } = linesThatMeet(record, join);
  const against = leaderAgainstPurpose(outer, purpose);
  return against && <p className="mb-2 text-sm text-warn">{`${outer.name}: ${say(against)}.`}</p>;
}

const endOf = (parts: readonly JoinPart[], of: JoinPart['of']) => parts.find((part) => part.of === of)?.kind ?? null;

/** Which joins would join these two lines: ranked, with what their ends are made first, and why the others cannot. */
export function JoinChooserInside({ join, crew }: { join: JoinRecord; crew: CrewKnows }) {
  const { record } = useRig();
  const say = useSay();
  const { sendNow, state } = useSend();
  const [purpose, setPurpose] = useState<LeaderPurpose | ''>('');
  const isOn = record.load?.status === 'wound';
  const { ranked, impossible } = useMemo(
    () => choiceForJoin(record, join, purpose === '' ? null : purpose, crew),
    [record, join, purpose, crew],
  );
  const here = record.planJoins.filter(({ outerSegmentId }) => outerSegmentId === join.outerSegmentId);
  const isNow = ({ parts }: RankedJoin): boolean =>
    (['inner', 'outer', 'join'] as const).every(
      (of) => (here.find(({ part }) => part === of)?.kind ?? null) === endOf(parts, of),
    );
  const nameOf = (of: 'inner' | 'outer'): string => {
    const id = of === 'inner' ? join.innerSegmentId : join.outerSegmentId;
    return record.segments.find((segment) => segment.id === id)?.name ?? 'the other line';
  };
  const use = ({ kind, parts }: RankedJoin): void =>
    void sendNow(
      'changeJoinKind',
      { boatId: record.boat.id, rigId: record.id, joinId: join.id },
      { kind, inner: endOf(parts, 'inner'), outer: endOf(parts, 'outer') },
      isOn
        ? `Planned: ${JOIN_KINDS[kind].name}. The join that is on counts until this one is tied.`
        : `${JOIN_KINDS[kind].name} it is. Strength and drag follow.`,
    );
  return (
    <>
      <div className="mb-3 flex flex-wrap items-end gap-3">
        {isAtLeader(record, join) && (
          <div className="w-56">
            <ChoiceField
              label="What the leader is for"
              value={purpose}
              options={[
                { value: '', text: 'nothing in particular' },
                ...LEADER_PURPOSES.map((value) => ({ value, text: PURPOSES[value] })),
              ]}
              onChange={setPurpose}
            />
          </div>
        )}
        <OpeningField />
      </div>
      {purpose !== '' && <LeaderFits record={record} join={join} purpose={purpose} />}
      {ranked.length === 0 && <NothingJoins record={record} join={join} />}
      <ol className="flex flex-col gap-2 text-sm">
        {ranked.map((each) => (
          <li key={each.kind} className="border-l-4 border-rule pl-3">
            <span className="flex flex-wrap items-center justify-between gap-x-3">
              <b>
                {partWords(each.parts, nameOf)}
                {isNow(each) && ' (now)'}
              </b>
              {!isNow(each) && (
                <Button weight="quiet" disabled={state.kind === 'sending'} onClick={() => use(each)}>
                  Use this one
                </Button>
              )}
            </span>
            {JOIN_KINDS[each.kind].alsoKnownAs.length > 0 && (
              <span className="block text-ink-soft">Also known as {JOIN_KINDS[each.kind].alsoKnownAs.join(', ')}.</span>
            )}
            {each.reasons.map(say).join('; ')}.
          </li>
        ))}
      </ol>
      {impossible.length > 0 && (
        <details className="mt-3 text-sm text-ink-soft">
          <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
            Why not the other {impossible.length}
          </summary>
          <ul className="list-disc pl-5">
            {impossible.map(({ kind, why }) => (
              <li key={kind}>
                {JOIN_KINDS[kind].name}: {say(why)}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}
