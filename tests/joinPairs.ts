import { chooseJoin, type JoinChoice } from '../core/joins/chooseJoin';
import type { LineToJoin } from '../core/joins/ends';

/** Ends that the two settings of the demo and common practice know; thickness and strength from memory, none of a maker's line. */
const line = (
  name: string,
  material: string,
  diameterMm: number,
  strengthN: number,
  more: Partial<LineToJoin> = {},
): LineToJoin => ({
  ...{ name, material, diameterM: diameterMm / 1000, construction: null, end: null, loopM: null },
  strengthN: { value: strengthN, sd: 0.1 * strengthN, source: 'default' },
  ...more,
});

export const ENDS: readonly LineToJoin[] = [
  line('thin nylon', 'nylon', 0.3, 70),
  line('nylon backing', 'nylon', 0.45, 140),
  line('heavy nylon', 'nylon', 1, 500),
  line('thin fluorocarbon', 'fluorocarbon', 0.35, 75),
  line('heavy fluorocarbon', 'fluorocarbon', 0.9, 400),
  line('thin braid', 'braid', 0.2, 130),
  line('strong braid', 'braid', 0.4, 400),
  line('hollow braid', 'hollow braid', 0.8, 600),
  line('hollow braid, loop spliced', 'hollow braid', 0.8, 600, { end: 'spliced loop' }),
  line('lead core', 'lead core', 0.8, 120, { construction: 'loose sheath' }),
  line('lead core, bonded', 'lead core', 0.8, 120, { construction: 'bonded sheath' }),
  line('copper wire', 'copper wire', 0.7, 130),
  line('stainless wire', 'stainless wire', 0.45, 270),
  line('fly line, looped', 'fly line', 1.1, 130, { construction: 'looped ends' }),
  line('ready leader, looped', 'nylon', 0.9, 400, { end: 'tied loop' }),
];

/** Each ordered pair of ends, the arbor below the first; what is chosen where line is wound over the join, as nearly everywhere. */
export function allPairs(): readonly {
  readonly inner: LineToJoin | null;
  readonly outer: LineToJoin;
  readonly choice: JoinChoice;
}[] {
  const place = { smallestOpeningM: null, isOnSpool: null, isOutside: false, purpose: null, passesM: null };
  return [null, ...ENDS].flatMap((inner) =>
    ENDS.map((outer) => ({ inner, outer, choice: chooseJoin(inner, outer, place, { tested: {}, tied: {} }) })),
  );
}
