/** Depth below the rim that a planned fill leaves by default (m): just under full. */
export const DEFAULT_LEVEL_BELOW_RIM_M = 0.002;

/** The same for each kind of reel (common practice, no source): a fixed spool casts worse the deeper it is, a fly line needs air. */
const USUAL_LEVEL_M = { conventional: DEFAULT_LEVEL_BELOW_RIM_M, 'fixed-spool': 0.0015, fly: 0.004 } as const;

/** Depth below the rim at which a plan ends while nobody has said where (m). */
export const usualLevelM = (kind: keyof typeof USUAL_LEVEL_M): number => USUAL_LEVEL_M[kind];

/** Height over the rim that no line stays on (m; from memory). */
export const IMPOSSIBLE_ABOVE_RIM_M = 0.003;
