import type { ForceSample } from '../core/force/forceSample';

/**
 * What every instrument, real or simulated, says of itself. Nothing above this interface can tell
 * which it is, except by the label that the screen shows.
 */
export interface InstrumentLabel {
  readonly name: string;
  readonly simulated: boolean;
}

/** A reel's line counter, read by eye or by wire. */
export interface CounterInstrument {
  readonly label: InstrumentLabel;
  /** What the display shows now. */
  read(): number;
}

/** A scale or force gauge that gives one pull at a time. */
export interface ForceInstrument {
  readonly label: InstrumentLabel;
  /** The samples of the newest pull in order of time, tared. */
  readPull(): readonly ForceSample[];
}
