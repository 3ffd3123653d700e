import type { LogKind, Reason } from '../reasons';
import type { CounterDrive } from '../counter/counter';
import type { LeverPoint } from '../drag/leverCurve';
import type { CreepObservation, Current, Heading } from '../drag/planerBracket';
import type { PresetAct } from '../drag/presetState';
import type { DragBasis } from '../drag/dragTarget';
import type { LearnedReel } from '../gear/learned';
import type { JoinPull } from '../joins/joinEfficiency';
import type { FittedEvidence } from '../gear/gearFit';
import type { CapacityRating, MeasuredDimensions } from '../gear/reelShape';
import type { JoinKind } from '../joins/joinKinds';
import type { Material } from '../load/defaults';
import type { JointErrors } from '../load/planLoad';
import type { Basis } from '../provenance/basis';
import type { Known } from '../provenance/source';

/** The whole record of one rig, in SI, times as ISO 8601 text: what every derivation starts from. */
export interface RigRecord {
  readonly boat: { readonly id: string; readonly name: string };
  readonly id: string;
  readonly name: string;
  /** When the record was read: the day from which ages count. */
  readonly readAt: string;
  readonly note: string;
  /** What hangs from the tip when the counter is zeroed (m); null until somebody has said. */
  readonly hangM: number | null;
  readonly version: number;
  /** The reel as it is now known, its dimensions learned from loads where there are any. */
  readonly reel: ReelRecord;
  readonly knowledge: ReelKnowledge;
  /** The boat's lines, their packing as learned. */
  readonly products: readonly LineProductRecord[];
  /** In order from the arbor. */
  readonly segments: readonly SegmentRecord[];
  readonly joins: readonly JoinRecord[];
  /** The newest load, if any. */
  readonly load: LoadRecord | null;
  readonly trials: readonly TrialRecord[];
  /** Marks tied or inked on the line that is on. */
  readonly lineMarks: readonly LineMarkRecord[];
  readonly calibration: CalibrationRecord | null;
  readonly strengthTests: readonly StrengthTestRecord[];
  readonly strengthSessions: readonly StrengthSessionRecord[];
  /** Joins of the whole boat pulled to the break, oldest first. */
  readonly joinBreaks: readonly BoatJoinBreakRecord[];
  /** Id of the segment or join that is meant to break on a snag; null: the outermost segment. */
  readonly meantPlaceId: string | null;
  /** The newest drag setting, accepted or not. */
  readonly dragSetting: DragSettingRecord | null;
  /** Every accepted setting, newest first. */
  readonly dragHistory: readonly PastDragRecord[];
  /** Pulls with the lever at places of its sweep, of the present load, oldest first. */
  readonly leverPoints: readonly LeverPointRecord[];
  /** What was done with lever and preset, oldest first. */
  readonly presetActs: readonly PresetActRecord[];
  readonly planerLooks: readonly PlanerLookRecord[];
  readonly log: readonly LogRecord[];
  readonly supplySpools: readonly SupplySpoolRecord[];
  readonly reverseFills: readonly ReverseFillRecord[];
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
  /** What was measured with a caliper; the figures above may be learned or guessed. */
  readonly measured: MeasuredDimensions;
  readonly ratings: readonly CapacityRating[];
  readonly counter: CounterRecord | null;
  readonly windHand: 'left' | 'right';
  readonly dragKind: (typeof DRAG_KINDS)[number];
  readonly dragLimitN: number | null;
  readonly version: number;
}

/** How well a reel is known, and by what. */
export interface ReelKnowledge {
  readonly depth: 'ratings' | 'measured' | 'learned';
  /** Loads and reverse fills of this very reel that count. */
  readonly loadsSeen: number;
  /** The reel before its loads taught anything. */
  readonly before: Pick<ReelRecord, 'arborDiameterM' | 'widthM' | 'fullDiameterM'>;
  /** The counter's constant as the loads show it (m per turn); null without a counter or a load. */
  readonly lengthPerTurnM: Known | null;
  /** What was known before the load that is on now; null while nothing is wound. */
  readonly beforeLoad: LearnedReel | null;
  /** Errors of dimensions and lines, known together. */
  readonly joint: JointErrors;
  /** Space that each line takes, as a factor on what was believed, by the line's id; only lines that were seen. */
  readonly lines: readonly { readonly productId: string; readonly factor: Known; readonly relativeSdBefore: number }[];
  readonly evidence: readonly FittedEvidence[];
  readonly resetAt: string | null;
  /** False where newer loads or levels are on record whose teaching has not been worked out yet. */
  readonly isCurrent: boolean;
}

export interface CounterRecord {
  readonly drive: CounterDrive;
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
  /** What the maker calls all sizes of this line together; empty when nobody has said. */
  readonly family: string;
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
  readonly at: string;
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
  readonly colourReadings: readonly ColourReadingRecord[];
  /** Segments that were replaced since, oldest first. */
  readonly replacements: readonly ReplacementRecord[];
  readonly version: number;
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

/** A capacity found by hand: known lines wound the wrong way round until the spool was full. */
export interface ReverseFillRecord {
  readonly id: string;
  readonly reelId: string;
  readonly levelBelowRimM: number;
  readonly evenTension: boolean;
  readonly note: string;
  readonly at: string;
  /** In the order in which they went on. */
  readonly segments: readonly { readonly productId: string; readonly lengthM: number }[];
}

/** A spool of line on the shelf. */
export interface SupplySpoolRecord {
  readonly id: string;
  readonly lineProductId: string;
  readonly label: string;
  readonly boughtLengthM: number;
  readonly remainingLengthM: number;
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
  /** True length by a winding machine's meter (m), or null. */
  readonly meteredLengthM: number | null;
  /** Spool turns that were counted, or null. */
  readonly turnsCounted: number | null;
  /** True where the line ended elsewhere than it was known to: its length then follows from the counts. */
  readonly lengthByCounter: boolean;
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
  readonly reason: 'stripped' | 'lost' | 'added';
  readonly note: string;
  readonly at: string;
}

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

export interface BoatJoinBreakRecord extends JoinBreakRecord {
  readonly kind: JoinKind;
  /** The two lines that met. */
  readonly lines: string;
}

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

export interface PastDragRecord {
  readonly id: string;
  readonly targetN: number;
  /** Median of its last three pulls (N). */
  readonly medianN: number;
  readonly fraction: number;
  readonly acceptedAt: string;
}

export interface LeverPointRecord extends LeverPoint {
  readonly id: string;
  readonly instrument: string;
  readonly at: string;
}

export interface PresetActRecord {
  readonly id: string;
  readonly act: PresetAct;
  readonly at: string;
}

export interface PlanerLookRecord extends CreepObservation {
  readonly id: string;
  /** The planer by its size, in the person's own words. */
  readonly planer: string;
  readonly leverPosition: number | null;
  readonly heading: Heading;
  readonly current: Current;
  readonly instrument: string;
  readonly at: string;
}

export interface LogRecord {
  readonly id: string;
  readonly topic: string;
  /** What happened; worded by the dictionary. */
  readonly entry: Reason<LogKind>;
  readonly person: string | null;
  readonly at: string;
}
