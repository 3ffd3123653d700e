import type { Guides } from '../drag/guideFactor';
import type { SaidReach } from './reach';
import type { RodPosition } from './rodPosition';
import type { KnownMinutes } from '../worth/minutes';
import type { PlannedFill } from '../load/fillTarget';
import type { CalibrationRecord, LineMarkRecord, TrialRecord } from './count';
import type {
  DragAim,
  DragSettingRecord,
  LeverPointRecord,
  PastDragRecord,
  PlanerLookRecord,
  PresetActRecord,
} from './drag';
import type { LineProductRecord, ReelKnowledge, ReelRecord, ReverseFillRecord, SupplySpoolRecord } from './gear';
import type { BoatJoinBreakRecord, JoinRecord } from './joins';
import type { LoadRecord } from './load';
import type { LogRecord } from './log';
import type { KeptPlanRecord, SegmentRecord } from './stack';
import type { TowedAs, WaterMarkRecord } from './tow';
import type { StrengthSessionRecord, StrengthTestRecord } from './strength';

export * from './gear';
export * from './stack';
export * from './joins';
export * from './load';
export * from './count';
export * from './strength';
export * from './drag';
export * from './log';
export * from './tow';

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
  /** Lengths of line out that it is fished with (m); null: nobody has said, and the usual ones are reckoned with. */
  readonly workingRange: { readonly fromM: number; readonly toM: number } | null;
  /** How much of its line it is reckoned with; null: nobody has said. */
  readonly reach: SaidReach | null;
  /** What line runs over on its rod; null: nobody has said. */
  readonly guides: Guides | null;
  /** Where its rod stands on the boat; null: nobody has said. */
  readonly rodPosition: RodPosition | null;
  /** The smallest opening that a join has to pass, ring or level wind (m); null while nobody has measured it. */
  readonly smallestOpeningM: number | null;
  /** How long a measurement takes this crew, where they have said or their log tells; the others take as long as usual. */
  readonly minutes: readonly KnownMinutes[];
  /** Where the fill of the plan is to end; null while nobody has said. */
  readonly fill: PlannedFill | null;
  /** When it was put away; null: it is in use. */
  readonly archivedAt: string | null;
  readonly version: number;
  /** The reel as it is now known, its dimensions learned from loads where there are any. */
  readonly reel: ReelRecord;
  readonly knowledge: ReelKnowledge;
  /** The boat's lines, their packing as learned. */
  readonly products: readonly LineProductRecord[];
  /** In order from the arbor. */
  readonly segments: readonly SegmentRecord[];
  /** Plans that the boat keeps under a name, newest first. */
  readonly keptPlans: readonly KeptPlanRecord[];
  /** The joins of the line that is on, from the arbor outwards; of the plan, where nothing is loaded. */
  readonly joins: readonly JoinRecord[];
  /** The joins of the stack as it is planned now. */
  readonly planJoins: readonly JoinRecord[];
  /** The load that is on, or is going on; null where there is none. */
  readonly load: LoadRecord | null;
  /** A winding that has begun and of which nothing is on yet, while `load` is still on; null where there is none. */
  readonly making: LoadRecord | null;
  /** Tests of the counter that count, oldest first. */
  readonly trials: readonly TrialRecord[];
  /** Those that are asked about, and count for nothing until somebody has answered. */
  readonly openTrials: readonly TrialRecord[];
  /** Marks tied or inked on the line that is on. */
  readonly lineMarks: readonly LineMarkRecord[];
  readonly calibration: CalibrationRecord | null;
  readonly strengthTests: readonly StrengthTestRecord[];
  readonly strengthSessions: readonly StrengthSessionRecord[];
  /** Joins of the whole boat pulled to the break, oldest first. */
  readonly joinBreaks: readonly BoatJoinBreakRecord[];
  /** Id of the segment or join that is meant to break on a snag; null: the outermost segment. */
  readonly meantPlaceId: string | null;
  /** What the drag is to be, as it was chosen last; null while nobody has. */
  readonly dragAim: DragAim | null;
  /** The drag as it was accepted last. */
  readonly dragSetting: DragSettingRecord | null;
  /** The scale session that has begun since and is not accepted, or null. */
  readonly dragSession: DragSettingRecord | null;
  /** Every accepted setting, newest first. */
  readonly dragHistory: readonly PastDragRecord[];
  /** Pulls with the lever at places of its sweep, of the present load, oldest first. */
  readonly leverPoints: readonly LeverPointRecord[];
  /** What was done with lever and preset, oldest first. */
  readonly presetActs: readonly PresetActRecord[];
  readonly planerLooks: readonly PlanerLookRecord[];
  /** How it is towed; null: nobody has said. */
  readonly towed: TowedAs | null;
  /** The water log of the line that is on, oldest first. */
  readonly waterMarks: readonly WaterMarkRecord[];
  readonly log: readonly LogRecord[];
  readonly supplySpools: readonly SupplySpoolRecord[];
  readonly reverseFills: readonly ReverseFillRecord[];
  /** True when a virtual counter reel stands in for this rig's reel. */
  readonly hasVirtualReel: boolean;
  /** Lines for which the virtual force gauge has a sample. */
  readonly virtualProductIds: readonly string[];
}
