/** Depth below the rim that a planned fill leaves by default (m): just under full. */
export const DEFAULT_LEVEL_BELOW_RIM_M = 0.002;

/** Height over the rim that no line stays on (m; from memory). */
export const IMPOSSIBLE_ABOVE_RIM_M = 0.003;
