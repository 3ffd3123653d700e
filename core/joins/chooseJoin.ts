import { because, type Reason } from '../reasons';
import { JOIN_KIND_NAMES, JOIN_KINDS, type JoinKind } from './joinKinds';
import { JOIN_WORK, joinBulkM } from './joinWork';
import type { JoinedLine } from './prepFigures';

/** A join ranked for two lines that meet. */
export interface RankedJoin {
  readonly kind: JoinKind;
  /** Share of the weaker line that it is taken to keep, and whether that was tested on this boat. */
  readonly efficiency: number;
  readonly tested: boolean;
  readonly bulkM: number;
  readonly minutes: number;
  readonly score: number;
  /** What speaks for it and against it. */
  readonly reasons: readonly Reason[];
}

export interface ImpossibleJoin {
  readonly kind: JoinKind;
  readonly why: Reason;
}

const BRAIDS = ['braid', 'hollow braid'];
const WIRES = ['copper wire', 'stainless wire'];
const MONO = ['nylon', 'fluorocarbon'];
const LOOPED = ['hollow braid', 'fly line'];

/** Opening of a usual level wind or smallest ring (m), from memory. */
const USUAL_OPENING_M = 0.003;

/** How hard each is with wet, cold hands: 0 easy, 1 not to be tried afloat (from memory). */
const COLD_HANDS: Readonly<Record<JoinKind, number>> = {
  'arbor-sliding-knot': 0.1,
  'double-sliding-knot': 0.3,
  'sheath-over-mono': 0.5,
  'plaited-braid-to-leader': 0.8,
  'loop-splice': 1,
  'loop-to-loop': 0.1,
  'long-loop-twist': 0.5,
  'small-swivel': 0.2,
};

/**
 * Ranks the joins that can join two lines, best first, with reasons; and says why the others cannot.
 *
 * @param inner the line below, or null for the arbor
 * @param outer the line above
 * @param tested efficiencies that pulls on this boat gave, by join
 */
export function chooseJoin(
  inner: JoinedLine | null,
  outer: JoinedLine,
  tested: Readonly<Partial<Record<JoinKind, number>>>,
): { readonly ranked: readonly RankedJoin[]; readonly impossible: readonly ImpossibleJoin[] } {
  const ranked: RankedJoin[] = [];
  const impossible: ImpossibleJoin[] = [];
  for (const kind of JOIN_KIND_NAMES) {
    const against = whyNot(kind, inner, outer);
    if (against === null) ranked.push(rank(kind, inner, outer, tested[kind]));
    else impossible.push({ kind, why: against });
  }
  return { ranked: ranked.toSorted((a, b) => b.score - a.score), impossible };
}

/** Why a join cannot join these two, or null when it can. */
function whyNot(kind: JoinKind, inner: JoinedLine | null, outer: JoinedLine): Reason | null {
  if (inner === null) return kind === 'arbor-sliding-knot' ? null : because('not-at-the-arbor');
  const both = [inner, outer];
  const has = (materials: readonly string[]): boolean => both.some((line) => materials.includes(line.material));
  const leadLine = both.find((line) => line.material === 'lead core');
  const other = both.find((line) => line !== leadLine) ?? outer;
  const ratio = Math.max(inner.diameterM, outer.diameterM) / Math.min(inner.diameterM, outer.diameterM);
  switch (kind) {
    case 'arbor-sliding-knot':
      return because('only-at-the-arbor');
    case 'double-sliding-knot':
      if (has(WIRES)) return because('wire-does-not-draw-down');
      return ratio > 3 ? because('knot-pulls-over') : null;
    case 'sheath-over-mono':
      if (!leadLine) return because('needs-sheath');
      if (!MONO.includes(other.material)) return because('sheath-takes-mono');
      return other.diameterM > 0.62 * leadLine.diameterM ? because('mono-too-thick') : null;
    case 'plaited-braid-to-leader': {
      const braid = both.find((line) => BRAIDS.includes(line.material));
      const leader = both.find((line) => line !== braid);
      if (!braid || !leader) return because('needs-braid');
      if (has(WIRES) || leadLine) return because('braid-slides-or-cuts');
      return leader.diameterM < 1.15 * braid.diameterM ? because('leader-too-thin') : null;
    }
    case 'loop-splice':
      return has(['hollow braid']) ? null : because('needs-hollow-braid');
    case 'loop-to-loop':
      return has(WIRES) ? because('wire-cuts-loop') : null;
    case 'long-loop-twist':
      return because('doubles-one-line');
    case 'small-swivel':
      return null;
  }
}

function rank(kind: JoinKind, inner: JoinedLine | null, outer: JoinedLine, tested: number | undefined): RankedJoin {
  const efficiency = tested ?? JOIN_KINDS[kind].efficiency;
  const bulkM = joinBulkM(kind, inner?.diameterM ?? outer.diameterM, outer.diameterM);
  const work = JOIN_WORK[kind];
  const minutes = work.minutes + work.dryMinutes;
  const overM = bulkM - USUAL_OPENING_M;
  // A loop is ready in spliced braid and in a fly line; elsewhere it is a knot more, and weaker.
  const knotted = kind === 'loop-to-loop' && ![inner, outer].some((line) => line && LOOPED.includes(line.material));
  const reasons: readonly Reason[] = [
    because(tested === undefined ? 'keeps-default' : 'keeps-tested', { efficiency }),
    overM > 0 && inner ? because('join-thick') : because('join-slim'),
    because(work.dryMinutes > 0 ? 'join-minutes-glue' : 'join-minutes', { minutes }),
    COLD_HANDS[kind] > 0.7
      ? because('cold-hands-hardly')
      : COLD_HANDS[kind] > 0.4
        ? because('cold-hands-slow')
        : because('cold-hands-easy'),
    ...(knotted ? [because('needs-knotted-loops')] : []),
    ...(work.needs.length > 0 ? [because('needs-things', { things: work.needs })] : []),
  ];
  // Strength first; a centimetre of handling counts a little, a join that will not pass counts much.
  const score =
    efficiency -
    (inner ? 40 * Math.max(0, overM) : 0) -
    0.03 * COLD_HANDS[kind] -
    0.002 * minutes -
    (knotted ? 0.12 : 0);
  return { kind, efficiency, tested: tested !== undefined, bulkM, minutes, score, reasons };
}
