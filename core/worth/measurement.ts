/** What can be measured to narrow a ±. */
export const MEASUREMENT_KINDS = [
  ...(['wraps', 'line-caliper', 'rim', 'arbor', 'width', 'level', 'turns', 'walk', 'colours', 'spool'] as const),
  ...(['line-pulls', 'join-pulls', 'straight-pull', 'lever-pull'] as const),
  ...(['water-mark', 'lure-pull', 'ten-metres'] as const),
] as const;

export type MeasurementKind = (typeof MEASUREMENT_KINDS)[number];

/** Those that want the boat under way: no bench has them. */
export const ON_THE_WATER: readonly MeasurementKind[] = ['water-mark', 'lure-pull'];

/** How many minutes each takes: common practice without a source, and editable. */
export const USUAL_MINUTES: Readonly<Record<MeasurementKind, number>> = {
  wraps: 2,
  'line-caliper': 2,
  rim: 2,
  arbor: 2,
  width: 2,
  level: 1,
  turns: 5,
  walk: 10,
  colours: 4,
  spool: 10,
  'line-pulls': 4,
  'join-pulls': 4,
  'straight-pull': 4,
  'lever-pull': 4,
  'water-mark': 5,
  'lure-pull': 3,
  'ten-metres': 4,
};

/** How many wraps make a row (common practice), and how wide a row of thin line has to be for a ruler to tell (m). */
const WRAPS = 20;
const ROW_M = 0.01;

/** How many touching wraps of a line tell its thickness. */
export const wrapsFor = (diameterM: number): number => Math.max(WRAPS, Math.ceil(ROW_M / diameterM));

/** How many turns of a spool are counted (common practice). */
export const TURNS = 100;
/** Longest spool that is wound on to try how a line packs (m), and the share of a planned length that it may be. */
const SPOOL_M = 100;
const SPOOL_SHARE = 0.7;

/** Length of a spool that is wound on alone, of a line of which so much is planned (m). */
export const spoolToTryM = (plannedM: number): number => Math.min(SPOOL_M, SPOOL_SHARE * plannedM);

/** Pulls that make a mean. */
export const PULLS = 3;

/** One measurement of one thing: what it is of says which rods it teaches. */
export interface Measurement {
  readonly kind: MeasurementKind;
  /** Id of the line, reel, join or rig. */
  readonly of: string;
  readonly name: string;
  /** Where it is taken: the true length of a walk, the line out for a depth (m); else null. */
  readonly atM: number | null;
}

/** One and the same measurement, whichever rod it was thought of for. */
export const keyOf = ({ kind, of }: Pick<Measurement, 'kind' | 'of'>): string => `${kind} ${of}`;
