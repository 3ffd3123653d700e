/** Relative SD of a diameter measured from 20 touching wraps (from memory: about 3 % on a diameter). */
export const WRAPPED_DIAMETER_RELATIVE_SD = 0.03;

/** SD of a caliper reading on a spool (m): 0.2 mm, from common practice, no source. */
export const CALIPER_SD_M = 0.0002;

/** SD of a level read at three points with a caliper or depth rod (m). */
export const LEVEL_SD_M = 0.0003;

/** Relative SD of a length measured along a tape or sold as a measured length. */
export const MEASURED_LENGTH_RELATIVE_SD = 0.003;

/**
 * Share of a count of turns by which real layers depart from the smooth model: 0.2 to 0.3 % beyond
 * 30 m against a layer-by-layer simulation (this project's own tests).
 */
export const LAYER_STEP_RELATIVE_SD = 0.003;

/** SD of where a hand stops on whole counts (from memory). */
export const STOP_SD_COUNTS = 0.5;

/** SD of a look at a counter whose line goes on under the eye (counts, from memory). */
export const LOOK_SD_COUNTS = 1;

/** How a line's packing differs from one careful load of the same hands to the next, as a relative SD (common practice, no source). */
export const PACKING_REPEAT_RELATIVE_SD = 0.01;

/** The same for two passes of unlike tension (from memory). */
export const UNEVEN_TENSION_RELATIVE_SD = 0.06;

/** Relative SD of the length that a counter takes for a turn as its maker states it: a round figure (from memory). */
export const STATED_CONSTANT_RELATIVE_SD = 0.04;
