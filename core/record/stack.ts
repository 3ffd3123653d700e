import type { JoinKind } from '../joins/joinKinds';
import type { BackingPurpose } from '../load/backing';
import type { JoinPlacePart } from '../joins/placeParts';
import type { PlannedFill } from '../load/fillTarget';

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
  /** Length of each colour (m), the outermost one may be a part of one; null: they are equal parts of the segment. */
  readonly colourLengthM: number | null;
  /** What backing is for; null while nobody has said, and for other parts. */
  readonly purpose: BackingPurpose | null;
}

/** A stack as a plan has it, with where its fill is to end. */
export interface PlannedStack {
  readonly segments: readonly SegmentRecord[];
  readonly joins: readonly {
    readonly innerSegmentId: string | null;
    readonly outerSegmentId: string;
    readonly kind: JoinKind;
    readonly part: JoinPlacePart;
  }[];
  readonly fill: PlannedFill | null;
}

/** A plan that is kept under a name, of no rig in particular. */
export interface KeptPlanRecord {
  readonly id: string;
  readonly name: string;
  readonly at: string;
  readonly stack: PlannedStack;
}
