import { because, type Reason } from '../reasons';
import type { JoinKind } from './joinKinds';
import type { JoinedLine } from './joinedLine';

/** How a line is made, where that decides what can be made of its end; null: nobody has said. */
export const CONSTRUCTIONS = ['bonded sheath', 'loose sheath', 'looped ends', 'bare ends', 'hard', 'soft'] as const;
export type Construction = (typeof CONSTRUCTIONS)[number];

/** Constructions that can be said of a material; nothing decides in others. */
export const CONSTRUCTIONS_OF: Readonly<Partial<Record<string, readonly Construction[]>>> = {
  'lead core': ['loose sheath', 'bonded sheath'],
  'fly line': ['looped ends', 'bare ends'],
  nylon: ['soft', 'hard'],
  fluorocarbon: ['soft', 'hard'],
};

/** What the end of a line is, or can be made. */
export const END_KINDS = [
  'plain',
  'sheath',
  'tied loop',
  'spliced loop',
  'doubled',
  'line loop',
  'wire loop',
  'swivel',
  'ring',
] as const;
export type EndKind = (typeof END_KINDS)[number];

/** A line that comes to a join: how it is made, and what its end is already. */
export interface LineToJoin extends JoinedLine {
  readonly construction: Construction | null;
  /** What the end is already, tied or spliced before; null: it is cut off plain. */
  readonly end: EndKind | null;
  /** Of a loop that is there: how long it lies (m); null where it is not known, or is made to measure. */
  readonly loopM: number | null;
}

/** An end as it can be made of a line. */
export interface MadeEnd {
  readonly kind: EndKind;
  /** What makes it; null: it comes so, or is so already. */
  readonly part: JoinKind | null;
  readonly isLoop: boolean;
}

const BRAIDS: readonly string[] = ['braid', 'hollow braid'];
const WIRES: readonly string[] = ['copper wire', 'stainless wire'];
const MONOS: readonly string[] = ['nylon', 'fluorocarbon'];

export const isBraid = ({ material }: JoinedLine): boolean => BRAIDS.includes(material);
export const isWire = ({ material }: JoinedLine): boolean => WIRES.includes(material);
export const isMono = ({ material }: JoinedLine): boolean => MONOS.includes(material);

/** Fluorocarbon counts as hard and nylon as soft until somebody has said (from memory). */
export const isHard = ({ material, construction }: LineToJoin): boolean =>
  construction === 'hard' || (material === 'fluorocarbon' && construction !== 'soft');

/** Why an end cannot be made of a line; null where it can. */
export function whyNoSuchEnd(end: EndKind, line: LineToJoin): Reason | null {
  switch (end) {
    case 'plain':
    case 'swivel':
    case 'ring':
      return null;
    case 'sheath':
      if (line.material !== 'lead core') return because('end-needs-sheath');
      return line.construction === 'bonded sheath' ? because('end-sheath-bonded') : null;
    case 'spliced loop':
      return line.material === 'hollow braid' ? null : because('end-needs-hollow');
    case 'line loop':
      if (line.material !== 'fly line') return because('end-needs-fly-line');
      return line.construction === 'bare ends' ? because('end-fly-line-bare') : null;
    case 'wire loop':
      return isWire(line) ? null : because('end-needs-wire');
    case 'tied loop':
    case 'doubled':
      return isBraid(line) || isMono(line) ? null : because('end-does-not-knot');
  }
}

const PART_OF: Readonly<Partial<Record<EndKind, JoinKind>>> = {
  'tied loop': 'tied-loop',
  'spliced loop': 'loop-splice',
  doubled: 'long-loop-twist',
  'wire loop': 'wire-loop',
};
const LOOPS: readonly EndKind[] = ['tied loop', 'spliced loop', 'doubled', 'line loop', 'wire loop'];

/** Metal at an end: what is tied to it needs nothing else there. */
export const isMetal = (end: EndKind): boolean => end === 'swivel' || end === 'ring';

/**
 * Everything that the end of a line can be made. An end that is there already stays what it is, and may always be cut off plain;
 * a fly line whose ends nobody has spoken of is taken to come with loops.
 */
export function endsOf(line: LineToJoin): readonly MadeEnd[] {
  const isThere = (kind: EndKind): boolean => kind === line.end || (kind !== 'swivel' && kind !== 'ring');
  return END_KINDS.filter((kind) => isThere(kind) && whyNoSuchEnd(kind, line) === null).map((kind) => ({
    kind,
    part: kind === line.end ? null : (PART_OF[kind] ?? null),
    isLoop: LOOPS.includes(kind),
  }));
}
