import type { WindingTension } from '../load/tension';
import type { Basis } from '../provenance/basis';
import type { BackingPurpose } from '../load/backing';
import type { SegmentRole } from './stack';

export interface LoadRecord extends WindingTension {
  readonly id: string;
  readonly status: 'winding' | 'wound';
  readonly startedAt: string;
  readonly finishedAt: string | null;
  /** Level below the rim after winding (m), negative above it; null when not measured. */
  readonly levelBelowRimM: number | null;
  readonly basis: Basis;
  readonly segments: readonly LoadSegmentRecord[];
  readonly winding: readonly WindingEntryRecord[];
  /** Levels measured while winding, oldest first; the one at the end is `levelBelowRimM`. */
  readonly levels: readonly LevelRecord[];
  readonly changes: readonly LineChangeRecord[];
  readonly colourReadings: readonly ColourReadingRecord[];
  /** Segments that were replaced since, oldest first. */
  readonly replacements: readonly ReplacementRecord[];
  /** Shim washers under the spool of a fixed-spool reel; null where nobody has said. */
  readonly shims: number | null;
  readonly version: number;
  /** The act that began it; null where it is from before acts were kept. */
  readonly begunBy: string | null;
}

/** What the display showed when so many colours of a segment were on, from zero at its start. */
export interface ColourReadingRecord {
  readonly id: string;
  readonly segmentId: string;
  readonly coloursOn: number;
  readonly reading: number;
  readonly at: string;
}

export interface ReplacementRecord {
  readonly id: string;
  readonly segmentId: string;
  readonly productId: string;
  readonly lengthM: number;
  /** The ready leader that went on, where it was one. */
  readonly windOnId: string | null;
  readonly note: string;
  readonly at: string;
}

/** A finished load as evidence: what it taught of its reel. */
export interface FinishedLoadRecord {
  readonly reelId: string;
  readonly rigName: string;
  readonly load: LoadRecord;
}

/** A segment as it was planned when winding began: a copy, so that later edits do not rewrite history. */
export interface LoadSegmentRecord {
  readonly segmentId: string;
  readonly name: string;
  readonly role: SegmentRole;
  readonly productId: string;
  readonly lineDiameterM: number;
  readonly packing: number;
  /** As planned, or as it was agreed to change while winding (m). */
  readonly plannedLengthM: number;
  /** What it was before a change was agreed to (m); null where none was. */
  readonly agreedFromM: number | null;
  readonly plannedPlusMinusM: number;
  readonly plannedTurns: number;
  /** A whole piece: all of it goes on, and where the counter stands then says something of the counter. */
  readonly lengthKnown: boolean;
  /** Its length was worked out for the fill: the one that may give way. */
  readonly solved: boolean;
  readonly wound: boolean;
  readonly stopReading: number | null;
  readonly naiveStopReading: number | null;
  readonly colours: readonly string[];
  /** Length of each colour (m); null: they are equal parts of the segment. */
  readonly colourLengthM: number | null;
  readonly purpose: BackingPurpose | null;
}

export const LENGTH_IS = ['plan', 'counter', 'piece'] as const;
export type LengthIs = (typeof LENGTH_IS)[number];

export interface WindingEntryRecord {
  readonly id: string;
  readonly segmentId: string;
  /** What the display showed at the end of the segment, from zero at its start; null without a counter. */
  readonly reading: number | null;
  /** How often it passed zero on the way, where somebody said; null: as often as was planned. */
  readonly laps: number | null;
  /** True length by a winding machine's meter (m), or null. */
  readonly meteredLengthM: number | null;
  /** Spool turns that were counted, or null. */
  readonly turnsCounted: number | null;
  /**
   * Whose word its length is: the plan's; the counter's, where a person agreed that another length went on; or the piece's, all of
   * which went on whatever the counter says.
   */
  readonly lengthIs: LengthIs;
  readonly instrument: string;
  readonly note: string;
  readonly at: string;
}

/** A level measured with the end of a segment just on (m under the rim, negative above it). */
export interface LevelRecord {
  readonly id: string;
  readonly segmentId: string;
  readonly levelBelowRimM: number;
  readonly at: string;
}

export interface LineChangeRecord {
  readonly id: string;
  readonly segmentId: string;
  /** Change of length (m): negative when line went. */
  readonly changeM: number;
  readonly reason: 'stripped' | 'lost' | 'added' | 'kept';
  readonly note: string;
  readonly at: string;
}
