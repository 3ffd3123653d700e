'use client';

import type { JoinChoice } from '@/core/joins/chooseJoin';
import { JOIN_KINDS, type JoinKind } from '@/core/joins/joinKinds';
import { whyUnsuited } from '@/core/rig/joins/joinChoice';
import { useSay } from '@/components/units/useSay';
import type { JoinEnds, StackRow } from './stackDraft';

/** What the ends are made for a join, as it is best made of these two lines. */
export function endsFor(choice: JoinChoice, kind: JoinKind): JoinEnds {
  const parts = choice.ranked.find((each) => each.kind === kind)?.parts ?? [];
  const of = (part: 'inner' | 'outer'): JoinKind | null => parts.find((each) => each.of === part)?.kind ?? null;
  return { inner: of('inner'), outer: of('outer') };
}

/** What the chosen join needs of the two ends, and why it does not suit them, where it does not. */
export function JoinAdvice({ choice, row }: { choice: JoinChoice; row: StackRow }) {
  const say = useSay();
  const unsuited = whyUnsuited(choice, row.joinKind);
  const made = [row.ends?.inner, row.ends?.outer].flatMap((kind) => (kind ? [JOIN_KINDS[kind].name] : []));
  if (!unsuited && made.length === 0) return null;
  return (
    <p className={`col-span-2 self-end text-sm ${unsuited ? 'text-warn' : 'text-ink-soft'}`}>
      {unsuited
        ? `Does not suit these two: ${say(unsuited.why)}.${unsuited.instead ? ` Better: ${JOIN_KINDS[unsuited.instead].name}.` : ''}`
        : `With it: ${made.join(', ')}.`}
    </p>
  );
}
