import type { CounterDrive } from '../counter/counter';
import type { FittedEvidence } from '../gear/fittedGear';
import type { LearnedReel } from '../gear/learned';
import type { CapacityRating, MeasuredDimensions } from '../gear/reelShape';
import type { JointErrors } from '../load/planLoad';
import type { WindingTension } from '../load/tension';
import type { Construction } from '../joins/ends';
import type { Material } from '../materials/materials';
import type { Known } from '../provenance/source';

export const REEL_KINDS = ['conventional', 'fixed-spool', 'fly'] as const;
/** What one count of a counter stands for, as a person says it first. */
export const COUNTS_IN = ['feet', 'metres', 'no counter'] as const;

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
  /** Turns of the spool for each turn of the handle; null where nobody has counted. */
  readonly gearRatio: number | null;
  readonly dragKind: (typeof DRAG_KINDS)[number];
  readonly dragLimitN: number | null;
  /** When it was put away; null: it is in use. */
  readonly archivedAt: string | null;
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
  /** By how much lengths are longer than the outfit's tape says. */
  readonly tapeShare: number;
  /** Errors of dimensions, lines and tape, known together. */
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
  /** How it is made, where that decides what its end can be; null while nobody has said. */
  readonly construction: Construction | null;
  readonly diameterM: Known;
  readonly packing: Known;
  readonly labelStrengthN: number | null;
  /** What the maker calls all sizes of this line together; empty when nobody has said. */
  readonly family: string;
  /** How long one colour of it is (m), where that was said; null: the usual length, or it has no colours. */
  readonly colourLengthM: number | null;
  /** Its colours in the order in which they come off the spool, where that was said. */
  readonly colours: readonly string[];
  /** What a metre of it weighs, dry (kg), where somebody has weighed a length; null: by its material. */
  readonly massKgPerM: number | null;
  /** When it was put away; null: it is in use. */
  readonly archivedAt: string | null;
  readonly version: number;
}

/** A capacity found by hand: known lines wound the wrong way round until the spool was full. */
export interface ReverseFillRecord extends WindingTension {
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
  /** When it was put away; null: it is on the shelf. */
  readonly archivedAt: string | null;
}
