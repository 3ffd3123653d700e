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
