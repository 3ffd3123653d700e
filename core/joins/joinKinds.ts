/**
 * Joins by their plain names, with the share of the weaker line's strength that each is taken to keep until it is tested: of what makes
 * an end (a loop, a doubled line), the share of that line. All shares are defaults from memory, to be replaced by pulls; claims of full
 * strength count as untested. Beside them the generic names under which handbooks and people know them; knots that are named after a
 * person keep the plain name alone.
 */
export const JOIN_KINDS = {
  'arbor-sliding-knot': {
    ...{ name: 'arbor knot, sliding', efficiency: 0.75, symbol: 'A', makes: 'join' },
    alsoKnownAs: ['arbor knot', 'uni to the spool'],
  },
  'double-sliding-knot': {
    ...{ name: 'double sliding knot', efficiency: 0.7, symbol: 'D', makes: 'join' },
    alsoKnownAs: ['uni to uni', 'double uni', 'grinner to grinner'],
  },
  'sheath-over-mono': {
    ...{ name: 'sheath over mono, overhand', efficiency: 0.75, symbol: 'S', makes: 'join' },
    alsoKnownAs: ['overhand in the sheath', 'lead core to leader'],
  },
  'plaited-braid-to-leader': {
    ...{ name: 'plaited braid to leader', efficiency: 0.88, symbol: 'P', makes: 'join' },
    alsoKnownAs: ['FG', 'plaited knot', 'braid to leader'],
  },
  'wraps-over-fold': {
    ...{ name: 'wraps over a fold', efficiency: 0.72, symbol: 'F', makes: 'join' },
    alsoKnownAs: ['bight and wraps', 'line to wire', 'thin to thick'],
  },
  'sleeve-splice': {
    ...{ name: 'sleeve splice, line inside hollow braid', efficiency: 0.92, symbol: 'V', makes: 'join' },
    alsoKnownAs: ['wind-on splice', 'hollow core splice', 'leader in hollow braid'],
  },
  'loop-to-loop': {
    ...{ name: 'loop to loop', efficiency: 0.88, symbol: 'O', makes: 'join' },
    alsoKnownAs: ["cat's paw", 'interlocked loops', 'handshake of loops'],
  },
  'small-swivel': {
    ...{ name: 'small swivel', efficiency: 0.82, symbol: 'W', makes: 'join' },
    alsoKnownAs: ['swivel between lines', 'clinch on a swivel'],
  },
  'loop-splice': {
    ...{ name: 'loop splice in hollow braid', efficiency: 0.9, symbol: 'L', makes: 'end' },
    alsoKnownAs: ['spliced loop', 'eye splice'],
  },
  'long-loop-twist': {
    ...{ name: 'long-loop twist, double line', efficiency: 0.92, symbol: 'T', makes: 'end' },
    alsoKnownAs: ['Bimini', 'Bimini twist', 'twenty-turn double'],
  },
  'tied-loop': {
    ...{ name: 'tied loop, double overhand', efficiency: 0.72, symbol: 'K', makes: 'end' },
    alsoKnownAs: ["surgeon's loop", 'double overhand loop'],
  },
  'wire-loop': {
    ...{ name: 'twisted wire loop', efficiency: 0.85, symbol: 'H', makes: 'end' },
    alsoKnownAs: ['haywire twist', 'loop in wire'],
  },
} as const;

export type JoinKind = keyof typeof JOIN_KINDS;

export const JOIN_KIND_NAMES = Object.keys(JOIN_KINDS) as readonly JoinKind[];

/** What meets two lines, and what is made of the end of one before. */
export const MEETING_KINDS = JOIN_KIND_NAMES.filter((kind) => JOIN_KINDS[kind].makes === 'join');
export const END_MAKERS = JOIN_KIND_NAMES.filter((kind) => JOIN_KINDS[kind].makes === 'end');

/** SD of a default efficiency: one tier of care in tying either way (from memory). */
export const DEFAULT_EFFICIENCY_SD = 0.08;
