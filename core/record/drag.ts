import type { DragBasis } from '../drag/dragTarget';
import type { LeverPoint } from '../drag/leverCurve';
import type { Creep, Current, HandPull, Heading } from '../drag/planer/planerLooks';
import type { PresetAct } from '../drag/presetState';
import type { Basis } from '../provenance/basis';

/** Which share of which strength the drag is to be. */
export interface DragAim {
  readonly fraction: number;
  readonly strengthBasis: DragBasis;
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
  /** Jerk that starts it (N); null where nobody read it. */
  readonly breakawayN: number | null;
  readonly instrument: string;
  readonly at: string;
  /** Counts the turns of the drag since the session began: pulls with the same number belong together. */
  readonly settingStep: number;
  /** Where the star or knob stood, in turns from where the session began, tighter positive; null: not told. */
  readonly starTurns: number | null;
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

/** A strike on the bait behind a planer: heard when it came, or found later. */
export const STRIKES = ['heard', 'missed'] as const;

export interface PlanerLookRecord {
  readonly id: string;
  /** The planer by its size, in the person's own words. */
  readonly planer: string;
  /** Speed through the water (m/s). */
  readonly speedMS: number;
  /** Share of the lever's sweep; null for a look by newtons alone. */
  readonly leverPosition: number | null;
  /** Where the preset stood, in turns from where it was first measured; null: not told. */
  readonly presetTurns: number | null;
  /** What the drag held at the tip (N); null: nobody knows, and nobody has to. */
  readonly holdsN: number | null;
  /** What was seen of the line; null where only a hand pull or a strike was noted. */
  readonly creep: Creep | null;
  /** True where the planer was known to be set: one that never dived does not creep either, and tells nothing. */
  readonly isSet: boolean;
  readonly handPull: HandPull | null;
  readonly strike: (typeof STRIKES)[number] | null;
  readonly heading: Heading;
  readonly current: Current;
  readonly instrument: string;
  readonly at: string;
}
