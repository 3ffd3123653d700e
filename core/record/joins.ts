import type { JoinPull } from '../joins/joinEfficiency';
import type { JoinKind } from '../joins/joinKinds';
import type { JoinPlacePart } from '../joins/placeParts';

export interface JoinRecord {
  readonly id: string;
  /** Null for the join to the arbor. */
  readonly innerSegmentId: string | null;
  readonly outerSegmentId: string;
  readonly kind: JoinKind;
  /** What meets the two lines, or what is made of the end of the inner or the outer one before: a place may hold all three. */
  readonly part: JoinPlacePart;
  /** Pulls of this join to the break, oldest first. */
  readonly breaks: readonly JoinBreakRecord[];
  readonly pullTested: boolean;
  /** How it was last tied, or null while nobody has said. */
  readonly lastTie: TieRecord | null;
  /** The newest look at the mark across spool and line since it was tied, or null; of the arbor's join only. */
  readonly lastSlip: SlipCheckRecord | null;
}

export interface JoinBreakRecord extends JoinPull {
  readonly id: string;
  readonly school: string | null;
  readonly instrument: string;
  readonly at: string;
}

export interface SlipCheckRecord {
  readonly id: string;
  readonly movedM: number;
  /** Pull before it was looked at (N), or null when it was not measured. */
  readonly pulledN: number | null;
  readonly at: string;
}

export interface TieRecord {
  readonly id: string;
  /** Id of the school by which it was tied. */
  readonly school: string;
  /** Pull with which it was seated (N), or null when it was not measured. */
  readonly seatedN: number | null;
  readonly pullTested: boolean;
  readonly person: string | null;
  readonly note: string;
  readonly hasPhoto: boolean;
  /** Drags set with a scale, and fish fought, since. */
  readonly drags: number;
  readonly fish: number;
  readonly at: string;
}

export interface BoatJoinBreakRecord extends JoinBreakRecord {
  readonly kind: JoinKind;
  /** The two lines that met. */
  readonly lines: string;
}
