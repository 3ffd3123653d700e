import { PULLS_FOR_EFFICIENCY } from '@/core/joins/joinEfficiency';
import { JOIN_KINDS } from '@/core/joins/joinKinds';
import { JOIN_PLACE_PARTS } from '@/core/joins/placeParts';
import type { JoinWear } from '@/core/joins/joinState';
import { many } from '@/words/dictionary';
import type { JoinRecord, RigRecord } from '@/core/record/record';
import { joinEfficiency } from '@/core/rig/strength/strengthOfRig';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import type { Formatter } from '@/words/format';

/** The segments of the line that is on, or else of the plan, from the arbor. */
const segmentsOf = (record: RigRecord): readonly { readonly id: string; readonly name: string }[] =>
  record.load?.status === 'wound'
    ? record.load.segments.map(({ segmentId: id, name }) => ({ id, name }))
    : record.segments;

const nameOf = (record: RigRecord, segmentId: string | null): string =>
  segmentId === null ? 'the arbor' : (segmentsOf(record).find((segment) => segment.id === segmentId)?.name ?? '');

/** A structure by the two segments that meet, or by the one whose end it is. */
export function placeWords(record: RigRecord, join: JoinRecord): string {
  if (join.part === 'inner')
    return `End of ${nameOf(record, join.innerSegmentId)}, to ${nameOf(record, join.outerSegmentId)}`;
  if (join.part === 'outer')
    return `End of ${nameOf(record, join.outerSegmentId)}, to ${nameOf(record, join.innerSegmentId)}`;
  return `${nameOf(record, join.innerSegmentId)} to ${nameOf(record, join.outerSegmentId)}`;
}

/** A join's kind by its letter and its name. */
export function kindWords(join: JoinRecord): string {
  const { name, symbol } = JOIN_KINDS[join.kind];
  return `${symbol}: ${name}`;
}

/** What share of the weaker line a join keeps, and by how many breaks that is known. */
export function efficiencyWords(join: JoinRecord, format: Formatter): string {
  const { value, sd, source } = joinEfficiency(join);
  const usable = join.breaks.filter((each) => each.brokeAt !== 'grip').length;
  const missing = PULLS_FOR_EFFICIENCY - usable;
  const basis =
    source === 'measured'
      ? `by ${usable} breaks`
      : `a default until ${missing} more sample${missing === 1 ? '' : 's'} of it ${missing === 1 ? 'is' : 'are'} broken`;
  return `Keeps ${format.percent(value)} ± ${(100 * PLUS_MINUS_SDS * sd).toFixed(0)} % of the weaker line, ${basis}.`;
}

/** What a join has borne since it was tied, where that makes it due. */
export function wornWords(wornBy: readonly JoinWear[], tie: JoinRecord['lastTie']): string {
  const borne: Readonly<Record<JoinWear, string>> = {
    age: 'its age',
    drags: many(tie?.drags ?? 0, 'drag') + ' set through it',
    fish: `${tie?.fish ?? 0} fish fought on it`,
  };
  return `Tie it anew: ${wornBy.map((wear) => borne[wear]).join(', ')}.`;
}

/** A join of the line, and another one that is planned for its place and not tied yet. */
export interface JoinPlace {
  readonly join: JoinRecord;
  readonly successor: JoinRecord | null;
}

/** The joins of a rig in the order in which they are tied, from the arbor. */
export function joinsInOrder(record: RigRecord): readonly JoinPlace[] {
  const segments = segmentsOf(record);
  const place = (join: JoinRecord): number => segments.findIndex((segment) => segment.id === join.outerSegmentId);
  // An end that is planned for another join belongs to the list too: it has to be made before.
  const toMake = record.planJoins.filter(
    (planned) => planned.part !== 'join' && !record.joins.some(({ id }) => id === planned.id) && place(planned) >= 0,
  );
  const isOn = record.load?.status === 'wound';
  return [...record.joins, ...(isOn ? toMake : [])]
    .toSorted((a, b) => place(a) - place(b) || JOIN_PLACE_PARTS.indexOf(a.part) - JOIN_PLACE_PARTS.indexOf(b.part))
    .map((join) => ({
      join,
      successor:
        record.planJoins.find(
          (planned) =>
            planned.outerSegmentId === join.outerSegmentId &&
            planned.innerSegmentId === join.innerSegmentId &&
            planned.part === join.part &&
            planned.id !== join.id,
        ) ?? null,
    }));
}
