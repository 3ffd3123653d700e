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
  readonly pulls: readonly PullRecord[];
}

export interface PullRecord {
  readonly id: string;
  readonly peakN: number;
  readonly breakPlace: 'middle' | 'grip' | 'knot';
  readonly instrument: string;
  /** Why it was moved here from another test; empty where it was not. */
  readonly note: string;
  readonly at: string;
}
