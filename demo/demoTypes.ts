import type { RodPosition } from '../core/record/rodPosition';
import type { JoinKind } from '../core/joins/joinKinds';
import type { LureKind } from '../core/tow/lures';
import type { Material } from '../core/materials/materials';
import type { ReelRecord, SegmentRole } from '../core/record/record';

/** A line of the demo: what its label says, and what it really is on the virtual bench. */
export interface DemoLine {
  readonly key: string;
  readonly name: string;
  readonly material: Material;
  readonly diameterMm: number;
  readonly measured: boolean;
  readonly labelKg: number | null;
  readonly truth: {
    readonly diameterFactor: number;
    readonly packing: number;
    readonly strengthKg: number;
    readonly cv: number;
  };
  /** Pulls that the crew has made, and how the pieces were. */
  readonly pulls: number;
  /** What all sizes of it are called together. */
  readonly family?: string;
  readonly condition?: 'dry' | 'soaked';
}

export interface DemoSegment {
  readonly name: string;
  readonly role: SegmentRole;
  readonly line: string;
  /** Null for the segment that is worked out. */
  readonly lengthM: number | null;
  readonly known?: boolean;
  readonly byHand?: boolean;
  readonly colours?: readonly string[];
  /** Join at the inner end, and what the two ends that meet there are made before. */
  readonly join: JoinKind;
  readonly ends?: { readonly inner?: JoinKind; readonly outer?: JoinKind };
}

export interface DemoRig {
  readonly name: string;
  readonly note: string;
  /** Where its rod stands on the boat; left out where it is not on deck. */
  readonly position?: RodPosition;
  readonly reel: {
    readonly name: string;
    readonly kind: ReelRecord['kind'];
    readonly arborMm: number;
    readonly widthMm: number;
    readonly fullMm: number;
    readonly counter: { readonly unitM: number; readonly lengthPerTurnM: number } | null;
    readonly windHand?: 'left' | 'right';
    readonly dragKind: ReelRecord['dragKind'];
    readonly dragLimitKg: number | null;
    readonly ratings: readonly { readonly label: string; readonly lineMm: number; readonly lengthM: number }[];
  };
  readonly truth: {
    /** Factors on the stated dimensions and the stated counter constant. */
    readonly arbor: number;
    readonly full: number;
    readonly constant: number;
    readonly breakawayRatio: number;
    readonly seed: number;
  };
  readonly segments: readonly DemoSegment[];
  /** How far the crew has got. */
  readonly done: {
    readonly wound: boolean;
    readonly levelBelowRimMm?: number;
    readonly calibrate?: 'true' | 'card';
    readonly drag?: number;
    readonly lostM?: number;
    readonly pullTested?: boolean;
    readonly marks?: readonly { readonly kind: 'tied' | 'inked'; readonly looks: string; readonly atM: number }[];
    /** Pulled with the lever at its places. */
    readonly lever?: boolean;
    /** Looks at a planer in tow: its name, and the lever's place at each. */
    readonly planer?: { readonly name: string; readonly speedKn: number; readonly positions: readonly number[] };
    /** Turns that somebody made of the preset with the reel in gear. */
    readonly presetInGear?: number;
    /** How it is towed, and depths that the sounder showed with so much line out: by a lure and a line that are truly so many SDs off. */
    readonly towed?: {
      readonly speedKn: number;
      readonly lure: LureKind;
      readonly tipHeightM: number;
      readonly seen?: { readonly lengthsOutM: readonly number[]; readonly truth: readonly number[] };
    };
    readonly log?: readonly string[];
  };
}

export interface DemoBoat {
  readonly name: string;
  readonly homeWater: string;
  readonly people: readonly { readonly name: string; readonly hand: 'left' | 'right' }[];
  readonly walkM: number;
  readonly lines: readonly DemoLine[];
  /** Ready leaders of the library, by their line's key. */
  readonly windOns?: readonly { readonly name: string; readonly line: string; readonly lengthM: number }[];
  readonly supplies: readonly {
    readonly line: string;
    readonly label: string;
    readonly boughtM: number;
    readonly leftM: number;
  }[];
  readonly rigs: readonly DemoRig[];
}
