/** An error that is known beforehand: its SD, in what unit, and where the figure comes from. */
export interface StatedError {
  readonly sd: number;
  /** A share is relative to the figure itself. */
  readonly unit: 'm' | 'share' | 'counts' | 'turns';
  readonly source: string;
}

/**
 * Every error that estimators reckon with, each once. What belongs to one material is in `lineErrors`. Those with "simulation" were
 * read off the layer by layer simulation of this project's own tests, which lays one turn after the other.
 */
export const ERRORS = {
  /** A caliper on a spool, and on a line. */
  caliperM: { sd: 0.0002, unit: 'm', source: 'common practice, no source' },
  lineCaliperM: { sd: 0.00001, unit: 'm', source: 'from memory' },
  /** The width of a row of wraps, and how soft line flattens in it, as a share of the diameter. */
  wrapRowM: { sd: 0.0003, unit: 'm', source: 'common practice, no source' },
  wrappedDiameterShare: { sd: 0.03, unit: 'share', source: 'from memory' },
  /** A level read at three places with a caliper or depth rod. */
  levelM: { sd: 0.0003, unit: 'm', source: 'common practice, no source' },
  /** A length measured along a tape, or sold as a measured length. */
  lengthShare: { sd: 0.003, unit: 'share', source: 'common practice, no source' },
  /** A length that only counts or a plan tell, before they are looked at. */
  plannedLengthShare: { sd: 0.15, unit: 'share', source: 'from memory' },
  /** One walk's tape and mark together: 2 in. */
  walkM: { sd: 0.0508, unit: 'm', source: 'common practice, no source' },
  /** The outfit's tape, and how its person pulls it: shared by all of its walks, so that more walks do not average it out. */
  tapeShare: { sd: 0.003, unit: 'share', source: 'from memory' },
  /** How far off the tip a change of colour is seen. */
  colourEyeM: { sd: 0.15, unit: 'm', source: 'from memory' },
  /** A reading to the whole count, and what it is off by while nobody knows whether the display rounds. */
  wholeCount: { sd: Math.sqrt(1 / 12), unit: 'counts', source: 'SD of a rounding' },
  unsureDisplay: { sd: 0.25, unit: 'counts', source: 'half of what rounding and truncating differ by' },
  /** Where a hand stops on whole counts; a look at a counter whose line goes on under the eye. */
  stopCounts: { sd: 0.5, unit: 'counts', source: 'from memory' },
  lookCounts: { sd: 1, unit: 'counts', source: 'from memory' },
  /** A digit's flip, and a hand's turn. */
  flipCounts: { sd: 0.08, unit: 'counts', source: 'from memory' },
  handTurn: { sd: 0.02, unit: 'turns', source: 'from memory' },
  /** Real layers step: turns of a planned segment, of a wound one, and of a length off the spool beyond 30 m (ten times that at 3 m). */
  plannedTurnsShare: { sd: 0.003, unit: 'share', source: 'simulation: 0.2 to 0.3 % beyond 30 m' },
  woundTurnsShare: { sd: 0.001, unit: 'share', source: 'simulation' },
  layerStepShare: { sd: 0.0006, unit: 'share', source: 'simulation: 0.06 % beyond 30 m, 0.6 % at 3 m' },
  /** How far a crowned lay stands above and below its mean, as a share of its height over the arbor. */
  crownShare: {
    sd: 0.014,
    unit: 'share',
    source: 'simulation of a level wind 2 % slower in the middle: 0.3 mm on a full spool',
  },
  /** A counter's gears slip otherwise while line goes on than while it comes off; so does line on a roller. */
  slipShare: { sd: 0.004, unit: 'share', source: 'up to 1 %, from memory' },
  rollerSlipShare: { sd: 0.005, unit: 'share', source: 'from memory' },
  /** The length that a counter takes for a turn as its maker states it: a round figure. */
  statedConstantShare: { sd: 0.04, unit: 'share', source: 'from memory' },
  /** The same, guessed from the size of the spool. */
  guessedConstantShare: { sd: 0.1, unit: 'share', source: 'from memory' },
  /** How a line packs from one careful load of the same hands to the next; between two passes of unlike tension. */
  packingRepeatShare: { sd: 0.01, unit: 'share', source: 'common practice, no source' },
  unevenTensionShare: { sd: 0.06, unit: 'share', source: 'from memory' },
  /** How packing grows or falls from the arbor to the rim within one load. */
  packingDepthShare: {
    sd: 0.05,
    unit: 'share',
    source: 'wound-roll theory (Altmann 1968, Hakiel 1987); size from memory',
  },
  /** Room beside the flanges that no turn fills, as a share of the width. */
  flangeShare: { sd: 0.03, unit: 'share', source: 'up to 6 %, from memory' },
  /** One reading of a pull on a scale, by hand. */
  pullShare: { sd: 0.03, unit: 'share', source: 'from memory' },
  /** Breaks of one line or join among themselves, where none were pulled yet. */
  breakScatterShare: { sd: 0.05, unit: 'share', source: 'from memory' },
  /** How spools of one line differ in the mean, where no two were pulled. */
  lotShare: { sd: 0.03, unit: 'share', source: 'from memory' },
  /** A drag as three pulls with a scale set it. */
  dragSetShare: { sd: 0.0255, unit: 'share', source: 'from memory' },
  /** How stretchy a line is against its material's usual; a rod's tip as a spring; what turns with the spool; how long a jerk takes. */
  stretchinessShare: { sd: 0.2, unit: 'share', source: 'from memory' },
  rodSpringShare: { sd: 0.4, unit: 'share', source: 'from memory' },
  spoolMassShare: { sd: 0.3, unit: 'share', source: 'from memory' },
  jerkTimeShare: { sd: 0.3, unit: 'share', source: 'from memory' },
  /** A jerk of the drag against its moving pull, where none was read. */
  breakawayShare: { sd: 0.15, unit: 'share', source: 'from memory' },
  /** One maker's ratings among themselves, and makers' ideas of "full". */
  ratingShare: { sd: 0.05, unit: 'share', source: 'from memory' },
  ratingHabitShare: { sd: 0.06, unit: 'share', source: 'from memory' },
} as const satisfies Readonly<Record<string, StatedError>>;

/**
 * Degrees of freedom of the Student t that a piece of evidence scatters with: tails that a slip of the hand has and a normal
 * distribution has not (Lange, Little and Taylor 1989).
 */
export const EVIDENCE_TAILS = 8;
