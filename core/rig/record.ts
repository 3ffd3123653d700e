import type { DragBasis } from '../drag/dragTarget';
import type { JoinKind } from '../joins/joinKinds';
import type { Material } from '../load/defaults';
import type { Basis } from '../provenance/basis';
import type { Known } from '../provenance/source';

/** The whole record of one rig, in SI, times as ISO 8601 text: what every derivation starts from. */
export interface RigRecord {
  readonly boat: { readonly id: string; readonly name: string };
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly version: number;
  readonly reel: ReelRecord;
  readonly products: readonly LineProductRecord[];
  /** In order from the arbor. */
  readonly segments: readonly SegmentRecord[];
  readonly joins: readonly JoinRecord[];
  /** The newest load, if any. */
  readonly load: LoadRecord | null;
  readonly trials: readonly TrialRecord[];
  readonly calibration: CalibrationRecord | null;
  readonly strengthTests: readonly StrengthTestRecord[];
  /** The newest drag setting, accepted or not. */
  readonly dragSetting: DragSettingRecord | null;
  readonly log: readonly LogRecord[];
  /** True when a virtual counter reel stands in for this rig's reel. */
  readonly hasVirtualReel: boolean;
  /** Lines for which the virtual force gauge has a sample. */
  readonly virtualProductIds: readonly string[];
}

export const REEL_KINDS = ['conventional', 'fixed-spool', 'fly'] as const;
export const DRAG_KINDS = ['star', 'lever', 'front knob', 'disc'] as const;

export interface ReelRecord {
  readonly id: string;
  readonly name: string;
  readonly kind: (typeof REEL_KINDS)[number];
  readonly arborDiameterM: Known;
  readonly widthM: Known;
  readonly fullDiameterM: Known;
  readonly ratings: readonly { readonly lineDiameterM: number; readonly lengthM: number; readonly label: string }[];
  readonly counter: CounterRecord | null;
  readonly windHand: 'left' | 'right';
  readonly dragKind: (typeof DRAG_KINDS)[number];
  readonly dragLimitN: number | null;
  readonly version: number;
}

export interface CounterRecord {
  readonly unitM: number;
  readonly digits: number;
  readonly lengthPerTurnM: Known;
  readonly display: 'rounds' | 'truncates' | 'unknown';
}

export interface LineProductRecord {
  readonly id: string;
  readonly name: string;
  readonly material: Material;
  readonly diameterM: Known;
  readonly packing: Known;
  readonly labelStrengthN: number | null;
  readonly version: number;
}

export const SEGMENT_ROLES = ['backing', 'running line', 'weighted line', 'top shot', 'leader', 'fly line'] as const;
export type SegmentRole = (typeof SEGMENT_ROLES)[number];

export interface SegmentRecord {
  readonly id: string;
  readonly name: string;
  readonly role: SegmentRole;
  readonly productId: string;
  /** Null for the one segment that is solved. */
  readonly lengthM: number | null;
  /** True where the length is known before winding: a whole spool, colours, a taped length. */
  readonly lengthKnown: boolean;
  readonly wound: boolean;
  /** Colours of lead core on this very spool, from the arbor outwards; empty for other lines. */
  readonly colours: readonly string[];
}

export interface JoinRecord {
  readonly id: string;
  /** Null for the join to the arbor. */
  readonly innerSegmentId: string | null;
  readonly outerSegmentId: string;
  readonly kind: JoinKind;
  /** Tested share of the weaker line's strength; null until tested. */
  readonly testedEfficiency: number | null;
  readonly pullTested: boolean;
}

export interface LoadRecord {
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
  readonly version: number;
}

/** A segment as it was planned when winding began: a copy, so that later edits do not rewrite history. */
export interface LoadSegmentRecord {
  readonly segmentId: string;
  readonly name: string;
  readonly role: SegmentRole;
  readonly productId: string;
  readonly lineDiameterM: number;
  readonly packing: number;
  readonly plannedLengthM: number;
  readonly plannedPlusMinusM: number;
  readonly plannedTurns: number;
  readonly lengthKnown: boolean;
  readonly wound: boolean;
  readonly stopReading: number | null;
  readonly naiveStopReading: number | null;
  readonly colours: readonly string[];
}

export interface WindingEntryRecord {
  readonly id: string;
  readonly segmentId: string;
  /** What the display showed at the end of the segment, from zero at its start; null without a counter. */
  readonly reading: number | null;
  /** True where the line ended elsewhere than it was known to: its length then follows from the counts. */
  readonly lengthByCounter: boolean;
  readonly instrument: string;
  readonly note: string;
  readonly at: string;
}

/** A level measured with the end of a segment just on (m under the rim, negative above it). */
export interface LevelRecord {
  readonly segmentId: string;
  readonly levelBelowRimM: number;
  readonly at: string;
}

export interface LineChangeRecord {
  readonly id: string;
  readonly segmentId: string;
  /** Change of length (m): negative when line went. */
  readonly changeM: number;
  readonly reason: 'stripped' | 'lost' | 'added';
  readonly note: string;
  readonly at: string;
}

export interface TrialRecord {
  readonly id: string;
  readonly loadId: string;
  readonly trueLengthM: number;
  /** Unwrapped counts. */
  readonly reading: number;
  readonly strippedBeforeM: number;
  readonly instrument: string;
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

export interface StrengthTestRecord {
  readonly id: string;
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
  readonly at: string;
}

export interface DragSettingRecord {
  readonly id: string;
  readonly loadId: string;
  readonly fraction: number;
  readonly strengthBasis: DragBasis;
  readonly targetN: number;
  readonly rodAngleRad: number;
  readonly basis: Basis;
  readonly startedAt: string;
  readonly acceptedAt: string | null;
  readonly pulls: readonly DragPullRecord[];
}

export interface DragPullRecord {
  readonly id: string;
  readonly kind: 'warm-up' | 'bent rod' | 'straight';
  readonly movingN: number;
  readonly breakawayN: number;
  readonly instrument: string;
  readonly at: string;
  /** Counts the turns of the drag since the session began: pulls with the same number belong together. */
  readonly settingStep: number;
}

export interface LogRecord {
  readonly id: string;
  readonly kind: string;
  readonly text: string;
  readonly person: string | null;
  readonly at: string;
}
