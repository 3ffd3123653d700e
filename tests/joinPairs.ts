import { chooseJoin, type JoinChoice } from '../core/joins/chooseJoin';
import { JOIN_KINDS } from '../core/joins/joinKinds';
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

/** Why a way to join comes first, by what it is and what its ends are made. */
const WHY: Readonly<Record<string, string>> = {
  'arbor-sliding-knot': 'the only one that ties line to the arbor',
  'double-sliding-knot': 'like lines that draw down on each other; no tool, little bulk',
  'double-sliding-knot+': 'the thinner line is doubled, so that the thick one does not pull over it',
  'sheath-over-mono': 'the mono enters the emptied sheath: slim, and nothing is tied over lead',
  'plaited-braid-to-leader': 'braid over a thicker line, or over a like braid: keeps most, slim in the rings',
  'wraps-over-fold': 'one line is stiff, coated or far thicker: it is folded, the other wraps it',
  'sleeve-splice': 'hollow braid grips what lies inside it: no knot, slim',
  'loop-to-loop': 'loops that are there hold each other, and come apart again',
  'loop-to-loop+': 'a loop is there at one end and quickly made at the other',
  'small-swivel': 'nothing else joins these two; only where nothing is wound over it',
};

const LIKE = 'like lines, but two knots drawn down are too thick for a usual ring';

const COLUMNS = '| inner | outer | first choice | keeps | why |\n| --- | --- | --- | --- | --- |';

/** The table of all pairs with the first choice for each, as docs/joins.md has it. */
export function pairTable(): string {
  const rows = allPairs().map(({ inner, outer, choice: { ranked } }) => {
    const [best] = ranked;
    if (!best) return `| ${inner?.name ?? 'arbor'} | ${outer.name} | none | | a backing of another line goes between |`;
    const made = best.parts.slice(0, -1).map(({ kind, of }) => `${JOIN_KINDS[kind].name} in the ${of} line`);
    const names = [...made, JOIN_KINDS[best.kind].name].join(' + ');
    const isLike = best.kind === 'wraps-over-fold' && best.reasons.some(({ reason }) => reason === 'too-alike-to-fold');
    const why = isLike ? LIKE : (WHY[`${best.kind}${made.length > 0 ? '+' : ''}`] ?? WHY[best.kind]);
    const keeps = `${Math.round(100 * best.efficiency)} ± ${Math.round(100 * best.plusMinus)} %`;
    return `| ${inner?.name ?? 'arbor'} | ${outer.name} | ${names}${best.fits ? '' : ' (thick)'} | ${keeps} | ${why} |`;
  });
  return [COLUMNS, ...rows].join('\n');
}
