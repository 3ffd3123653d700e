import type { DragBasis } from '../drag/dragTarget';
import type { LeverPoint } from '../drag/leverCurve';
import type { CreepObservation, Current, Heading } from '../drag/planerBracket';
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
