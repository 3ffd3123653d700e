/**
 * Joins by their generic names, with the share of the weaker line's strength that each is taken to
 * keep until it is tested. All efficiencies are defaults from memory, to be replaced by pulls;
 * claims of full strength count as untested.
 */
export const JOIN_KINDS = {
  'arbor-sliding-knot': { name: 'arbor knot, sliding', efficiency: 0.75, symbol: 'A' },
  'double-sliding-knot': { name: 'double sliding knot', efficiency: 0.7, symbol: 'D' },
  'sheath-over-mono': { name: 'sheath over mono, overhand', efficiency: 0.75, symbol: 'S' },
  'plaited-braid-to-leader': { name: 'plaited braid to leader', efficiency: 0.88, symbol: 'P' },
  'loop-splice': { name: 'loop splice in hollow braid', efficiency: 0.9, symbol: 'L' },
  'loop-to-loop': { name: 'loop to loop', efficiency: 0.88, symbol: 'O' },
  'long-loop-twist': { name: 'long-loop twist, double line', efficiency: 0.92, symbol: 'T' },
  'small-swivel': { name: 'small swivel', efficiency: 0.82, symbol: 'W' },
} as const;

export type JoinKind = keyof typeof JOIN_KINDS;

export const JOIN_KIND_NAMES = Object.keys(JOIN_KINDS) as readonly JoinKind[];

/** SD of a default efficiency: one tier of care in tying either way (from memory). */
export const DEFAULT_EFFICIENCY_SD = 0.08;
