import { because, type Reason } from '../reasons';
import { isBraid, isHard, isMetal, isMono, isWire, type LineToJoin, type MadeEnd } from './ends';
import type { JoinKind } from './joinKinds';

/** A line with the end that is made of it. */
export interface EndToJoin {
  readonly line: LineToJoin;
  readonly end: MadeEnd;
}

/** Figures of what meets, from memory: a sheath without its lead lies flat, two strands side by side are as thick as one of 1.6. */
const SHEATH_SHARE = 0.6;
const DOUBLED_SHARE = 1.6;
const MOST_RATIO = 3;
const MOST_FOLD_RATIO = 6;
/** A line is doubled to come nearer to the other one: from here on. */
const DOUBLED_FROM = 1.5;
const PLAIT_RATIO = { least: 1.15, most: 8, braidMost: 1.6 } as const;
const SLEEVE_RATIO = { least: 0.5, most: 1.4 } as const;
const SHEATH_TAKES = 0.62;

/** How thick an end is where it is tied (m). */
export function endThicknessM({ line, end }: EndToJoin): number {
  if (end.kind === 'sheath') return SHEATH_SHARE * line.diameterM;
  return end.kind === 'doubled' ? DOUBLED_SHARE * line.diameterM : line.diameterM;
}

const isLead = ({ line }: EndToJoin): boolean => line.material === 'lead core';
const isFly = ({ line }: EndToJoin): boolean => line.material === 'fly line';

/** Why two ends cannot meet in a way; null where they can. Neither is the arbor. */
export function whyNoMeeting(kind: JoinKind, inner: EndToJoin, outer: EndToJoin): Reason | null {
  switch (kind) {
    case 'double-sliding-knot':
      return slidingKnots(inner, outer);
    case 'sheath-over-mono':
      return sheathOverMono(inner, outer);
    case 'plaited-braid-to-leader':
      return plaited(inner, outer);
    case 'wraps-over-fold':
      return wrapsOverFold(inner, outer);
    case 'sleeve-splice':
      return sleeve(inner, outer);
    case 'loop-to-loop':
      return loops(inner, outer);
    case 'small-swivel':
      return swivel(inner, outer);
    case 'arbor-sliding-knot':
      return because('only-at-the-arbor');
    case 'loop-splice':
    case 'long-loop-twist':
    case 'tied-loop':
    case 'wire-loop':
      return because('makes-an-end');
  }
}

/** Lead inside a sheath that a knot draws down on is cut by it, and cuts. */
const leadInside = (...ends: readonly EndToJoin[]): Reason | null => {
  const lead = ends.find((each) => isLead(each) && each.end.kind !== 'sheath');
  if (!lead) return null;
  return because(lead.line.construction === 'bonded sheath' ? 'end-sheath-bonded' : 'lead-inside-knot');
};

function slidingKnots(inner: EndToJoin, outer: EndToJoin): Reason | null {
  const ends = [inner, outer];
  if (ends.some(({ line }) => isWire(line))) return because('wire-does-not-draw-down');
  if (ends.some(isFly)) return because('coat-strips-off');
  if (ends.some(({ end }) => (end.isLoop && end.kind !== 'doubled') || isMetal(end.kind)))
    return because('wants-plain-ends');
  const lead = leadInside(inner, outer);
  if (lead) return lead;
  const doubled = ends.find(({ end }) => end.kind === 'doubled');
  const single = ends.find((each) => each !== doubled);
  if (
    doubled &&
    single &&
    (single.end.kind !== 'plain' || single.line.diameterM < DOUBLED_FROM * doubled.line.diameterM)
  )
    return because('doubled-for-nothing');
  const [a, b] = [endThicknessM(inner), endThicknessM(outer)];
  return Math.max(a, b) > MOST_RATIO * Math.min(a, b) ? because('knot-pulls-over') : null;
}

function sheathOverMono(inner: EndToJoin, outer: EndToJoin): Reason | null {
  const lead = [inner, outer].find(isLead);
  const other = lead === inner ? outer : inner;
  if (!lead) return because('needs-sheath');
  if (lead.end.kind !== 'sheath') return leadInside(lead) ?? because('needs-sheath');
  if (!isMono(other.line)) return because('sheath-takes-mono');
  if (other.end.kind !== 'plain') return because('wants-plain-ends');
  return other.line.diameterM > SHEATH_TAKES * lead.line.diameterM ? because('mono-too-thick') : null;
}

function plaited(inner: EndToJoin, outer: EndToJoin): Reason | null {
  const ends = [inner, outer];
  if (ends.some(({ line }) => isWire(line)) || ends.some(isLead)) return because('braid-slides-or-cuts');
  if (ends.some(isFly)) return because('coat-strips-off');
  if (!ends.some(({ line }) => isBraid(line))) return because('needs-braid');
  if (ends.some(({ end }) => end.kind !== 'plain')) return because('wants-plain-ends');
  const both = ends.every(({ line }) => isBraid(line));
  const braid = ends.find(({ line }) => isBraid(line));
  const [thin, thick] = ends.map(({ line }) => line.diameterM).toSorted((a, b) => a - b);
  if (!braid || thin === undefined || thick === undefined) return because('needs-braid');
  if (both) return thick > PLAIT_RATIO.braidMost * thin ? because('braids-do-not-match') : null;
  const ratio = thick / thin;
  if (braid.line.diameterM === thick || ratio < PLAIT_RATIO.least) return because('leader-too-thin');
  return ratio > PLAIT_RATIO.most ? because('knot-pulls-over') : null;
}

/** The fold is made in wire, in what is coated or bonded, else in the thicker line; the other one wraps it. */
function wrapsOverFold(inner: EndToJoin, outer: EndToJoin): Reason | null {
  const ends = [inner, outer];
  if (ends.some(({ end }) => end.kind !== 'plain')) return because('wants-plain-ends');
  const bends = ({ line }: EndToJoin): boolean =>
    isWire(line) || line.material === 'fly line' || line.construction === 'bonded sheath';
  const stiff = ends.filter(bends);
  if (stiff.length === 2) return because('both-want-the-fold');
  if (ends.some((each) => isLead(each) && !bends(each))) return because('lead-inside-knot');
  const [fold, wrap] =
    stiff[0] !== undefined
      ? [stiff[0], stiff[0] === inner ? outer : inner]
      : inner.line.diameterM > outer.line.diameterM
        ? [inner, outer]
        : [outer, inner];
  const ratio = fold.line.diameterM / wrap.line.diameterM;
  if (stiff.length === 0 && isBraid(fold.line)) return because('fold-of-braid-collapses');
  if (ratio < 1 / MOST_RATIO) return because('wraps-thicker-than-fold');
  return ratio > MOST_FOLD_RATIO ? because('knot-pulls-over') : null;
}

function sleeve(inner: EndToJoin, outer: EndToJoin): Reason | null {
  const ends = [inner, outer];
  if (!ends.some(({ line }) => line.material === 'hollow braid')) return because('needs-hollow-sleeve');
  if (ends.some(({ end }) => end.kind !== 'plain')) return because('wants-plain-ends');
  if (ends.some(({ line }) => isWire(line))) return because('wire-slides-out');
  if (ends.some(isLead)) return because('lead-in-sleeve');
  const both = ends.every(({ line }) => line.material === 'hollow braid');
  const hollow = ends.find(({ line }) => line.material === 'hollow braid');
  const core = ends.find((each) => each !== hollow);
  if (!hollow || !core) return because('needs-hollow-sleeve');
  const ratio = both
    ? Math.min(core.line.diameterM, hollow.line.diameterM) / Math.max(core.line.diameterM, hollow.line.diameterM)
    : core.line.diameterM / hollow.line.diameterM;
  if (isBraid(core.line) && !both) return because('braid-slides-in-sleeve');
  if (ratio < SLEEVE_RATIO.least) return because('too-thin-for-sleeve');
  return ratio > SLEEVE_RATIO.most ? because('too-thick-for-sleeve') : null;
}

function loops(inner: EndToJoin, outer: EndToJoin): Reason | null {
  for (const { line } of [inner, outer]) {
    if (line.material === 'lead core') return because('lead-has-no-loop');
  }
  if (!inner.end.isLoop || !outer.end.isLoop) return because('needs-two-loops');
  const wires = [inner, outer].filter(({ end }) => end.kind === 'wire loop').length;
  return wires === 1 && [inner, outer].some(({ line }) => isBraid(line)) ? because('wire-cuts-loop') : null;
}

function swivel(inner: EndToJoin, outer: EndToJoin): Reason | null {
  const ends = [inner, outer];
  const open = ends.filter(({ end }) => !isMetal(end.kind));
  if (open.some(({ line, end }) => isWire(line) && end.kind !== 'wire loop')) return because('wire-wants-its-loop');
  if (ends.some(({ end }) => end.isLoop && end.part !== null && end.kind !== 'wire loop'))
    return because('wants-plain-ends');
  if (open.some((each) => isFly(each) && each.end.kind !== 'line loop')) return because('coat-strips-off');
  return leadInside(...open.filter(({ line }) => line.construction !== 'bonded sheath'));
}

/** Two lines as thick as each other: wraps over a fold hold better the more they differ. */
export const isTooAlikeToFold = (inner: EndToJoin, outer: EndToJoin): boolean =>
  ![inner, outer].some(({ line }) => isWire(line) || line.material === 'fly line' || line.material === 'lead core') &&
  Math.max(inner.line.diameterM, outer.line.diameterM) < 1.4 * Math.min(inner.line.diameterM, outer.line.diameterM);

/** A soft sheath against a stiff leader draws down unevenly. */
export const drawsUnevenly = (inner: EndToJoin, outer: EndToJoin): boolean =>
  [inner, outer].some(({ end }) => end.kind === 'sheath') && [inner, outer].some(({ line }) => isHard(line));
