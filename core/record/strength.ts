/** An afternoon of pulls, planned beforehand. */
export interface StrengthSessionRecord {
  readonly id: string;
  readonly name: string;
  readonly pullsEach: number;
  readonly at: string;
}

export interface StrengthTestRecord {
  readonly id: string;
  /** The session that it belongs to, or null. */
  readonly sessionId: string | null;
  readonly productId: string;
  readonly condition: 'dry' | 'soaked';
  readonly gaugeLengthM: number;
  readonly expectedN: number;
  readonly sampleLabel: string;
  readonly at: string;
  /** Those that count. */
  readonly pulls: readonly PullRecord[];
  /** Those that are asked about, and count for nothing until somebody has answered. */
  readonly openPulls: readonly PullRecord[];
}

export interface PullRecord {
  readonly id: string;
  readonly peakN: number;
  readonly breakPlace: 'middle' | 'grip' | 'knot';
  readonly instrument: string;
  /** Why it was moved here from another test, or corrected; empty where it was neither. */
  readonly note: string;
  /** True while it is asked about, and counts for nothing. */
  readonly heldOut: boolean;
  readonly at: string;
}
