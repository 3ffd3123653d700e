/** What may be out: what is fished with, what a run takes beyond it, or all of it to the arbor. */
export const REACHES = ['use', 'run', 'arbor'] as const;
export type ReachKind = (typeof REACHES)[number];

/** What a rig is reckoned with, as somebody said; a run's length (m beyond what is in use) where they did. */
export interface SaidReach {
  readonly kind: ReachKind;
  readonly runM: number | null;
}
