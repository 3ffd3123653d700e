import type { JoinKind } from './joinKinds';

/** What tying a join takes: line, time, things (trade schools and memory; no source). */
export interface JoinWork {
  /** Line used up on the inner and on the outer side, tag and overlap together (m). */
  readonly innerLossM: number;
  readonly outerLossM: number;
  readonly minutes: number;
  /** Waiting for glue (min). */
  readonly dryMinutes: number;
  readonly needs: readonly string[];
  readonly prep: string;
}

export const JOIN_WORK: Readonly<Record<JoinKind, JoinWork>> = {
  'arbor-sliding-knot': {
    innerLossM: 0,
    outerLossM: 0.2,
    minutes: 3,
    dryMinutes: 0,
    needs: ['line clippers'],
    prep: 'Two turns round the arbor, then a sliding knot of 5 to 6 turns.',
  },
  'double-sliding-knot': {
    innerLossM: 0.15,
    outerLossM: 0.15,
    minutes: 4,
    dryMinutes: 5,
    needs: ['line clippers', 'thin glue'],
    prep: '5 to 7 wraps on each side, wetted and drawn together; tags about 1.5 mm; a drop of glue.',
  },
  'sheath-over-mono': {
    innerLossM: 0.15,
    outerLossM: 0.15,
    minutes: 6,
    dryMinutes: 5,
    needs: ['line clippers', 'thin glue'],
    prep: 'Tie the overhand loosely in the sheath first, bare 10 to 15 cm of lead and break it off, push the mono in until it meets the lead, tighten at the end of the sheath, glue the fringe.',
  },
  'plaited-braid-to-leader': {
    innerLossM: 0.3,
    outerLossM: 0.15,
    minutes: 8,
    dryMinutes: 0,
    needs: ['line clippers', 'gloves or a bar for the seating pull'],
    prep: '20 to 25 plaits under steady tension, a locking hitch, a hard pull, then 6 to 10 hitches.',
  },
  'loop-splice': {
    innerLossM: 0.6,
    outerLossM: 0.45,
    minutes: 10,
    dryMinutes: 0,
    needs: ['splicing needle', 'line clippers'],
    prep: '20 to 30 cm buried, the loop turned through itself, 15 cm of tag buried, milked smooth.',
  },
  'loop-to-loop': {
    innerLossM: 0,
    outerLossM: 0,
    minutes: 2,
    dryMinutes: 0,
    needs: [],
    prep: 'Pass the leader through twice and draw the loops down side by side.',
  },
  'long-loop-twist': {
    innerLossM: 1,
    outerLossM: 0.15,
    minutes: 6,
    dryMinutes: 0,
    needs: ['line clippers'],
    prep: 'Twenty twists, a half hitch on each leg, a locked finish.',
  },
  'small-swivel': {
    innerLossM: 0.15,
    outerLossM: 0.15,
    minutes: 4,
    dryMinutes: 0,
    needs: ['line clippers', 'a small swivel'],
    prep: 'A knot on each eye; the swivel must pass the guides and the level wind.',
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
  'loop-splice': 2.2,
  'loop-to-loop': 3.5,
  'long-loop-twist': 2.6,
  'small-swivel': 6,
};

/** Thickness of a join between two lines (m); a guess to be checked by pulling it through. */
export function joinBulkM(kind: JoinKind, innerDiameterM: number, outerDiameterM: number): number {
  return BULK_FACTOR[kind] * Math.max(innerDiameterM, outerDiameterM);
}
