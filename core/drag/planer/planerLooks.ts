import { KNOT_MS } from '../../units/units';

/** What a person saw of a planer that is being towed: did line creep out of the drag? */
export const CREEPS = ['none', 'some', 'much'] as const;
export type Creep = (typeof CREEPS)[number];

/** Waters with a planer: ordinary is into the waves with the current; hard a following sea or a head current. */
export const TOWING_WATERS = ['ordinary', 'hard'] as const;
export type TowingWater = (typeof TOWING_WATERS)[number];

export const HEADINGS = ['into the waves', 'across', 'following sea'] as const;
export const CURRENTS = ['with you', 'none', 'against you'] as const;
export type Heading = (typeof HEADINGS)[number];
export type Current = (typeof CURRENTS)[number];

/** The kind of water that a heading to the sea and a current make: a following sea or a head current is hard. */
export function waterOf(heading: Heading, current: Current): TowingWater {
  return heading === 'following sea' || current === 'against you' ? 'hard' : 'ordinary';
}

/** How line comes off by hand before the planer goes in, with the lever where it will tow. */
export const HAND_PULLS = ['freely', 'reluctantly', 'not at all'] as const;
export type HandPull = (typeof HAND_PULLS)[number];

/** One look at a towed planer, whatever says how hard the drag was set. */
export interface Look {
  /** Speed through the water (m/s). */
  readonly speedMS: number;
  readonly water: TowingWater;
  readonly creep: Creep;
  /** True where the planer was known to be set: one that never dived does not creep either, and tells nothing. */
  readonly isSet: boolean;
  /** The trip that it belongs to, whose sea and current all its looks share; null: not told. */
  readonly outing: string | null;
}

/** A look with the lever's place: the share of its sweep, above 0 to 1. */
export interface LeverLook extends Look {
  readonly position: number;
}

/** A look with what the drag holds at the tip where the lever stood (N), by the scale or the lever's curve. */
export interface CreepObservation extends Look {
  readonly holdsN: number;
}

/** A pull by hand before the planer goes in: a weak look. */
export interface HandLook {
  readonly position: number;
  readonly pull: HandPull;
}

/** Speed at which looks are compared: 6 kn (common practice, no source). */
export const PLANER_SPEED_MS = 6 * KNOT_MS;

/** Waves raise a planer's pull by so much at their peaks: creep begins there (from memory). */
export const GUST = 0.15;
/** SD of one look on the logarithm of the hold: what the drag holds just then, the speed, the sea (from memory). */
export const LOOK_SD = 0.12;
/** SD of what a day's own sea, current and drag do to the hold that is needed, shared by the looks of one outing (from memory). */
export const DAY_SD = 0.1;
/** What a following sea or a head current adds to the hold that is needed, on the logarithm (from memory). */
export const HARD_SEA = { mean: 0.25, sd: 0.25 } as const;
/** Share of looks that are a slip of the eye or the pen. */
export const SLIPS = 0.02;
/** The logarithm of how far a hand pull is from the place that it names: it comes freely or not at all beyond this, with this SD (a guess). */
export const HAND_FELT = { reluctant: 0.4, sd: 0.5 } as const;
/** Looks that are taken for one outing where nobody says which trip they were of (a guess). */
export const LOOKS_PER_OUTING = 8;

/** Outings by number; looks in a row without one are taken for outings of {@link LOOKS_PER_OUTING}. */
export function outingNumbers(looks: readonly Pick<Look, 'outing'>[]): readonly number[] {
  const numbers = new Map<string, number>();
  let untold = 0;
  return looks.map(({ outing }) => {
    const key = outing ?? `untold ${Math.floor(untold++ / LOOKS_PER_OUTING)}`;
    const number = numbers.get(key) ?? numbers.size;
    numbers.set(key, number);
    return number;
  });
}
