import type { Basis } from '../provenance/basis';
import type { Known } from '../provenance/source';

export interface TrialRecord {
  readonly id: string;
  readonly loadId: string;
  /** A walk along a tape, a colour at the tip, or spool turns. */
  readonly kind: 'tape' | 'colour' | 'turns';
  /** Null where turns were counted. */
  readonly trueLengthM: number | null;
  /** Spool turns; null for anything else. */
  readonly turns: number | null;
  readonly betweenFlips: boolean;
  /** Unwrapped counts. */
  readonly reading: number;
  readonly strippedBeforeM: number;
  /** True while it is asked about, and counts for nothing. */
  readonly heldOut: boolean;
  readonly instrument: string;
  readonly at: string;
}

export interface LineMarkRecord {
  readonly id: string;
  readonly kind: 'tied' | 'inked';
  /** How it looks, in the person's own words. */
  readonly looks: string;
  readonly segmentId: string;
  /** Length from the inner end of its segment (m): line that goes at the outer end does not move it. */
  readonly fromInnerM: number;
  readonly at: string;
}

export interface CalibrationRecord {
  readonly id: string;
  readonly loadId: string;
  readonly method: 'true' | 'card';
  readonly lengthPerTurnM: Known;
  readonly basis: Basis;
  readonly at: string;
}
