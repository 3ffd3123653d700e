/** What is towed, by how it goes through the water. */
export const LURE_KINDS = [
  'fly or streamer',
  'spoon',
  'soft bait',
  'plain plug',
  'shallow plug',
  'deep plug',
  'skirted bait',
  'natural bait',
  'planer',
] as const;
export type LureKind = (typeof LURE_KINDS)[number];

/** A lure's pull, as areas: times ½ρV² they are newtons. */
export interface LureProperties {
  /** Backwards (m²). */
  readonly dragAreaM2: number;
  /** Downwards by its lip or board (m²); null where it has to be learned: a board that has not been looked at dives as it likes. */
  readonly diveAreaM2: number | null;
  /** Its weight in water (N). */
  readonly weightN: number;
  /** SD of the logarithm of its pull while nothing is learned. */
  readonly lnSd: number;
}

/** Defaults, from memory, of baits of a hand's length; each is shown as a guess, and left behind by the first touches of bottom. */
export const LURES: Readonly<Record<LureKind, LureProperties>> = {
  'fly or streamer': { dragAreaM2: 0.0003, diveAreaM2: 0, weightN: 0.01, lnSd: 0.5 },
  spoon: { dragAreaM2: 0.0015, diveAreaM2: 0, weightN: 0.1, lnSd: 0.5 },
  'soft bait': { dragAreaM2: 0.001, diveAreaM2: 0, weightN: 0.08, lnSd: 0.5 },
  'plain plug': { dragAreaM2: 0.001, diveAreaM2: 0, weightN: 0.02, lnSd: 0.5 },
  'shallow plug': { dragAreaM2: 0.0015, diveAreaM2: 0.0004, weightN: 0, lnSd: 0.5 },
  'deep plug': { dragAreaM2: 0.003, diveAreaM2: 0.0018, weightN: 0, lnSd: 0.5 },
  'skirted bait': { dragAreaM2: 0.0025, diveAreaM2: 0, weightN: 0.3, lnSd: 0.6 },
  'natural bait': { dragAreaM2: 0.002, diveAreaM2: 0, weightN: 0.1, lnSd: 0.6 },
  planer: { dragAreaM2: 0.03, diveAreaM2: null, weightN: 1, lnSd: 0.7 },
};
