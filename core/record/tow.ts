import type { LureKind } from '../tow/lures';
import type { Water } from '../tow/medium';

/** What a speed was read from. */
export const SPEED_BY = ['through the water', 'over the ground'] as const;
export type SpeedBy = (typeof SPEED_BY)[number];

/** How a rig is towed, as somebody has said it. */
export interface TowedAs {
  /** As it is read (m/s). */
  readonly speedMS: number;
  readonly speedBy: SpeedBy;
  /** The current along the course (m/s), with the boat positive; null: nobody knows. Counts where the speed is over the ground. */
  readonly currentMS: number | null;
  readonly water: Water;
  /** Null: not told, and the usual one is reckoned with. */
  readonly temperatureC: number | null;
  /** Of the rod's tip over the water (m). */
  readonly tipHeightM: number;
  readonly lure: LureKind;
  /** What the water holds back of the lure at that speed, by a scale (N); null: a guess by its kind. */
  readonly lurePullN: number | null;
  /** Null: deep enough, or not told. */
  readonly bottomM: number | null;
  /** The crew's own rule of thumb: depth for each colour of weighted line that is out (m), and what leader and bait take off or add. */
  readonly rule: { readonly perColourM: number; readonly otherwiseM: number } | null;
}

export const MARK_KINDS = ['bottom', 'sonar', 'strike'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];
export const SIDES = ['port', 'middle', 'starboard'] as const;
export const TURNS = ['straight', 'inside', 'outside'] as const;

/** One entry of the water log. */
export interface WaterMarkRecord {
  readonly id: string;
  readonly at: string;
  readonly loadId: string;
  readonly kind: MarkKind;
  /** What the counter showed, and how often it had come round; null where the length was told. */
  readonly reading: number | null;
  readonly laps: number | null;
  /** Length out from the lure to the tip (m), where there is no counter. */
  readonly lengthOutM: number | null;
  /** How deep it was there (m); null for a strike at a depth that nobody knows. */
  readonly depthM: number | null;
  readonly speedMS: number;
  readonly lure: string;
  readonly side: (typeof SIDES)[number] | null;
  /** Straight on, or on which side of a turn this line ran. */
  readonly turn: (typeof TURNS)[number];
  readonly note: string;
  readonly instrument: string;
}
