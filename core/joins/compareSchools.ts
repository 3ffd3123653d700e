import { sameLine, type SameLine } from '../strength/sameLine';
import { joinEfficiencyOf, sharesOf, type JoinPull } from './joinEfficiency';
import type { JoinKind } from './joinKinds';
import type { Known } from '../provenance/source';

/** A join pulled to the break, by the school that tied it. */
export interface SchooledPull extends JoinPull {
  readonly kind: JoinKind;
  readonly school: string | null;
}

/** One school's breaks. */
export interface SchoolBreaks {
  readonly kind: JoinKind;
  readonly school: string | null;
  readonly n: number;
  readonly efficiency: Known;
}

/** Two schools of one join, or two joins, held against each other. */
export interface SchoolPair {
  readonly first: SchoolBreaks;
  readonly second: SchoolBreaks;
  /** Ratio of the shares that they keep, and the verdict; null while one of them was broken once. */
  readonly found: SameLine | null;
}

/**
 * How the schools of a boat's joins compare by their breaks. A break at a grip says only that the join held so much, and
 * is left out.
 *
 * @param pulls of all joins of a boat
 * @returns each school's breaks, the most broken first, and every pair of one kind of join
 */
export function compareSchools(pulls: readonly SchooledPull[]): {
  readonly schools: readonly SchoolBreaks[];
  readonly pairs: readonly SchoolPair[];
} {
  const groups = new Map<string, readonly SchooledPull[]>();
  for (const pull of pulls) {
    const key = `${pull.kind} ${pull.school ?? ''}`;
    groups.set(key, [...(groups.get(key) ?? []), pull]);
  }
  const rows = [...groups.values()].flatMap((group) => {
    const [first] = group;
    const shares = sharesOf(group);
    if (!first || shares.length === 0) return [];
    const { kind, school } = first;
    return { shares, breaks: { kind, school, n: shares.length, efficiency: joinEfficiencyOf(kind, group) } };
  });
  const sorted = rows.toSorted((a, b) => b.breaks.n - a.breaks.n);
  const pairs = sorted.flatMap((a, index) =>
    sorted.slice(index + 1).flatMap((b): SchoolPair[] => {
      if (a.breaks.kind !== b.breaks.kind) return [];
      const found = sameLine(a.shares, b.shares);
      return [{ first: a.breaks, second: b.breaks, found: found.ok ? found.value : null }];
    }),
  );
  return { schools: sorted.map((row) => row.breaks), pairs };
}
