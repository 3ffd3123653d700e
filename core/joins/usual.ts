/** Opening of a usual level wind or smallest ring (m), from memory. */
export const USUAL_OPENING_M = 0.003;

/** What two strands hold of one of them: they do not share the load evenly (from memory). */
export const TWO_STRANDS = 1.8;
