import type { JoinKind } from './joinKinds';

/** Things that a bench needs, by their names. */
export type KitThing =
  | 'line clippers'
  | 'thin glue'
  | 'gloves or a bar for the seating pull'
  | 'splicing needle'
  | 'a small swivel'
  | 'whipping thread'
  | 'round-nosed pliers'
  | 'arbor tape'
  | 'gloves or a folded cloth'
  | 'water and soap'
  | 'tape measure, stake and clip'
  | 'caliper or depth rod';

/** What tying a join takes: line, time, things (trade schools and memory; no source). */
export interface JoinWork {
  /** Line used up on the inner and on the outer side, tag and overlap together (m). */
  readonly innerLossM: number;
  readonly outerLossM: number;
  readonly minutes: number;
  /** Waiting for glue (min). */
  readonly dryMinutes: number;
  readonly needs: readonly KitThing[];
}

export const JOIN_WORK: Readonly<Record<JoinKind, JoinWork>> = {
  'arbor-sliding-knot': {
    innerLossM: 0,
    outerLossM: 0.2,
    minutes: 3,
    dryMinutes: 0,
    needs: ['line clippers'],
  },
  'double-sliding-knot': {
    innerLossM: 0.15,
    outerLossM: 0.15,
    minutes: 4,
    dryMinutes: 5,
    needs: ['line clippers', 'thin glue'],
  },
  'sheath-over-mono': {
    innerLossM: 0.15,
    outerLossM: 0.15,
    minutes: 6,
    dryMinutes: 5,
    needs: ['line clippers', 'thin glue'],
  },
  'plaited-braid-to-leader': {
    innerLossM: 0.3,
    outerLossM: 0.15,
    minutes: 8,
    dryMinutes: 0,
    needs: ['line clippers', 'gloves or a bar for the seating pull'],
  },
  'wraps-over-fold': {
    innerLossM: 0.15,
    outerLossM: 0.25,
    minutes: 4,
    dryMinutes: 0,
    needs: ['line clippers'],
  },
  'sleeve-splice': {
    innerLossM: 0.1,
    outerLossM: 0.6,
    minutes: 12,
    dryMinutes: 5,
    needs: ['splicing needle', 'whipping thread', 'thin glue', 'line clippers'],
  },
  'tied-loop': {
    innerLossM: 0.25,
    outerLossM: 0.25,
    minutes: 2,
    dryMinutes: 0,
    needs: ['line clippers'],
  },
  'wire-loop': {
    innerLossM: 0.15,
    outerLossM: 0.15,
    minutes: 4,
    dryMinutes: 0,
    needs: ['round-nosed pliers'],
  },
  'loop-splice': {
    innerLossM: 0.6,
    outerLossM: 0.45,
    minutes: 10,
    dryMinutes: 0,
    needs: ['splicing needle', 'line clippers'],
  },
  'loop-to-loop': {
    innerLossM: 0,
    outerLossM: 0,
    minutes: 2,
    dryMinutes: 0,
    needs: [],
  },
  'long-loop-twist': {
    innerLossM: 1,
    outerLossM: 0.15,
    minutes: 6,
    dryMinutes: 0,
    needs: ['line clippers'],
  },
  'small-swivel': {
    innerLossM: 0.15,
    outerLossM: 0.15,
    minutes: 4,
    dryMinutes: 0,
    needs: ['line clippers', 'a small swivel'],
  },
};

/**
 * Thickness of a tied join (m) as a multiple of the thicker of its two lines, from memory: to be held against the
 * opening of the level wind and the smallest guide ring.
 */
const BULK_FACTOR: Readonly<Record<JoinKind, number>> = {
  'arbor-sliding-knot': 3,
  'double-sliding-knot': 3.2,
  'sheath-over-mono': 2.2,
  'plaited-braid-to-leader': 1.7,
  'wraps-over-fold': 2.6,
  'sleeve-splice': 1.6,
  'tied-loop': 3.2,
  'wire-loop': 2.4,
  'loop-splice': 2.2,
  'loop-to-loop': 1.4,
  'long-loop-twist': 2.6,
  'small-swivel': 6,
};

/** A small swivel by what it has to hold: so thick, and so much more for each root of a newton (m; from memory). */
const SWIVEL = { thickM: 0.0009, aRootM: 0.00013 } as const;

/**
 * Thickness of a join between two lines (m); a guess to be checked by pulling it through.
 *
 * @param weakerN what the weaker line holds (N): it tells a swivel's size; null: not known
 */
export function joinBulkM(
  kind: JoinKind,
  innerDiameterM: number,
  outerDiameterM: number,
  weakerN: number | null = null,
): number {
  if (kind === 'small-swivel' && weakerN !== null) return SWIVEL.thickM + SWIVEL.aRootM * Math.sqrt(weakerN);
  // Two loops lie in each other: both lines count.
  if (kind === 'loop-to-loop') return BULK_FACTOR[kind] * (innerDiameterM + outerDiameterM);
  return BULK_FACTOR[kind] * Math.max(innerDiameterM, outerDiameterM);
}
