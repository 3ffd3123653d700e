import { chooseJoin, type CrewKnows, type JoinChoice, type JoinPlaceKnown } from '../../joins/chooseJoin';
import { type LeaderPurpose } from '../../joins/leaderPurpose';
import { putBetween } from '../../joins/putBetween';
import { MEETING_KINDS, type JoinKind } from '../../joins/joinKinds';
import { because, type Reason } from '../../reasons';
import type { JoinRecord, RigRecord, SegmentRecord } from '../../record/record';
import { lineOfProduct, linesThatMeet } from './linesOfJoin';

type Part = Pick<SegmentRecord, 'productId' | 'role' | 'wound'>;

/** What is known of the place of a join: a leader's stays outside of what is wound, what is let out by hand passes no ring. */
function placeOf(
  record: RigRecord,
  outer: Pick<Part, 'role' | 'wound'>,
  purpose: LeaderPurpose | null,
): JoinPlaceKnown {
  return {
    smallestOpeningM: record.smallestOpeningM,
    isOnSpool: outer.wound && outer.role !== 'leader',
    isOutside: !outer.wound,
    purpose: outer.role === 'leader' ? purpose : null,
    passesM: null,
  };
}

/** Joins for a place of a rig, as its plan or its line has it. */
export function choiceForJoin(
  record: RigRecord,
  join: JoinRecord,
  purpose: LeaderPurpose | null,
  crew: CrewKnows,
): JoinChoice {
  const { inner, outer } = linesThatMeet(record, join);
  const segment = record.segments.find(({ id }) => id === join.outerSegmentId);
  return chooseJoin(inner, outer, placeOf(record, segment ?? { role: 'top shot', wound: true }, purpose), crew);
}

/** Lines of which a length would join two that nothing joins as they are. */
export function between(record: RigRecord, join: JoinRecord): readonly string[] {
  const { inner, outer } = linesThatMeet(record, join);
  return putBetween(inner, outer, placeOf(record, { role: 'top shot', wound: true }, null));
}

/** Joins for two parts of a stack that is being planned. */
export function choiceForParts(record: RigRecord, inner: Part | null, outer: Part): JoinChoice {
  const nobody: CrewKnows = { tested: {}, tied: {} };
  const lines = [inner && lineOfProduct(record, inner.productId), lineOfProduct(record, outer.productId)] as const;
  return chooseJoin(...lines, placeOf(record, outer, null), nobody);
}

/** Why a join that was chosen for a place does not suit it, and which one would; null where it does. */
export function whyUnsuited(
  choice: JoinChoice,
  kind: JoinKind,
): { readonly why: Reason; readonly instead: JoinKind | null } | null {
  const instead = choice.ranked.find(({ fits }) => fits)?.kind ?? choice.ranked[0]?.kind ?? null;
  const against = choice.impossible.find((each) => each.kind === kind)?.why;
  if (against) return { why: MEETING_KINDS.includes(kind) ? against : because('makes-an-end'), instead };
  const ranked = choice.ranked.find((each) => each.kind === kind);
  const misfit = ranked?.reasons.find(({ reason }) => reason === 'join-does-not-pass');
  return misfit ? { why: misfit, instead: instead === kind ? null : instead } : null;
}
