import { chooseJoin, type CrewKnows, type JoinPlaceKnown } from './chooseJoin';
import type { LineToJoin } from './ends';

/** What may be put between two lines that nothing joins (strengths and thickness between theirs). */
const BETWEEN = ['nylon', 'braid', 'hollow braid'] as const;

/** Materials of which a length between two lines would join both; none where the two join as they are. */
export function putBetween(inner: LineToJoin | null, outer: LineToJoin, place: JoinPlaceKnown): readonly string[] {
  const nobody: CrewKnows = { tested: {}, tied: {} };
  const joins = (a: LineToJoin | null, b: LineToJoin): boolean => chooseJoin(a, b, place, nobody).ranked.length > 0;
  if (joins(inner, outer)) return [];
  const diameterM = inner ? Math.sqrt(inner.diameterM * outer.diameterM) : outer.diameterM / 1.2;
  return BETWEEN.filter((material) => {
    const line = { ...outer, name: material, material, diameterM, construction: null, end: null, loopM: null };
    return joins(inner, line) && joins(line, outer);
  });
}
