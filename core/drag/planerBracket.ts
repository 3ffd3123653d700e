import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { KNOT_MS } from '../units/units';
import { failure, requirePositive, success, type Outcome } from '../result';

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

/** One look at a towed planer. */
export interface CreepObservation {
  /** Speed through the water (m/s). */
  readonly speedMS: number;
  /** What the drag holds at the tip where the lever stood (N). */
  readonly holdsN: number;
  readonly water: TowingWater;
  readonly creep: Creep;
  /** True where the planer was known to be set: one that never dived does not creep either, and tells nothing. */
  readonly isSet: boolean;
}

/** The pull of one size of planer, as far as observations bracket it, at the speed that everything is brought to. */
export interface PlanerBracket {
  readonly speedMS: number;
  /** 5 %, 50 % and 95 % of what the pull may be (N), in ordinary water. */
  readonly lowN: number;
  readonly midN: number;
  readonly highN: number;
  /** Observations that counted. */
  readonly counted: number;
}

/** Speed at which pulls are compared: 6 kn (common practice, no source). */
export const PLANER_SPEED_MS = 6 * KNOT_MS;

/** What is believed of a planer's pull before any observation: about 150 N within a factor of five (a guess). */
export const PLANER_PRIOR = { medianN: 150, sdLog: 0.8 } as const;

/** Waves raise a planer's pull by so much at their peaks: creep begins there (from memory). */
export const GUST = 0.15;
/** SD of one look on the logarithm: what the lever holds, the speed, the sea (from memory). */
export const LOOK_SD = 0.12;
/**
 * SD of what a kind of water does to the pull, on the logarithm, the same for all looks in it (a guess, wide on purpose: the
 * bracket then holds in four of five runs even where every sea pulls a tenth more and looks scatter half as much again).
 */
export const WATER_SD: Readonly<Record<TowingWater, number>> = { ordinary: 0.17, hard: 0.24 };

const NODES = 160;
const SPAN_SDS = 4;

/** Gauss–Hermite nodes and weights for a standard normal, seven points (tables of Abramowitz and Stegun, 25.10). */
const HERMITE: readonly (readonly [number, number])[] = [
  [0, 0.4571428571428571],
  [1.1544053947399682, 0.2401231786050127],
  [-1.1544053947399682, 0.2401231786050127],
  [2.3667594107345415, 0.0307571239675865],
  [-2.3667594107345415, 0.0307571239675865],
  [3.7504397177257425, 0.0005482688559722],
  [-3.7504397177257425, 0.0005482688559722],
];

/**
 * Brackets the pull of one size of planer from creep seen and not seen: pull goes with the square of the speed; waves
 * make line creep a little below the pull that holds; each kind of water has a bias of its own that all looks in it
 * share. Bayes on a grid of the pull's logarithm, biases integrated out. A planer that was not set counts for nothing.
 *
 * @param observations of one size
 * @returns the bracket; 'nothing-counts' while no observation is of a planer that was set
 */
export function planerBracket(observations: readonly CreepObservation[]): Outcome<PlanerBracket, 'nothing-counts'> {
  const counting = observations.filter((each) => each.isSet);
  for (const { speedMS, holdsN } of counting) requirePositive('planerBracket', { speedMS, holdsN });
  if (counting.length === 0) {
    return failure('nothing-counts');
  }
  const middle = Math.log(PLANER_PRIOR.medianN);
  const step = (2 * SPAN_SDS * PLANER_PRIOR.sdLog) / (NODES - 1);
  const logs = Array.from({ length: NODES }, (_, index) => middle - SPAN_SDS * PLANER_PRIOR.sdLog + index * step);
  const weights = logs.map((log) => {
    const prior = Math.exp(-0.5 * ((log - middle) / PLANER_PRIOR.sdLog) ** 2);
    return TOWING_WATERS.reduce((product, water) => {
      const seen = counting.filter((each) => each.water === water);
      if (seen.length === 0) return product;
      const likelihood = HERMITE.reduce(
        (sum, [node, weight]) =>
          sum + weight * seen.reduce((p, each) => p * chanceOf(each, log + node * WATER_SD[water]), 1),
        0,
      );
      return product * likelihood;
    }, prior);
  });
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const quantile = (share: number): number => {
    let sum = 0;
    for (let index = 0; index < NODES; index += 1) {
      const weight = (weights[index] ?? 0) / total;
      if (sum + weight >= share) return Math.exp((logs[index] ?? 0) + step * ((share - sum) / weight - 0.5));
      sum += weight;
    }
    return Math.exp(logs.at(-1) ?? 0);
  };
  return success({
    speedMS: PLANER_SPEED_MS,
    lowN: quantile(0.05),
    midN: quantile(0.5),
    highN: quantile(0.95),
    counted: counting.length,
  });
}

/** Chance of what was seen, were the pull at the common speed e^log newtons. */
function chanceOf({ speedMS, holdsN, creep }: CreepObservation, log: number): number {
  const margin = Math.log(holdsN) - log - 2 * Math.log(speedMS / PLANER_SPEED_MS);
  const none = normalCdf((margin - GUST) / LOOK_SD, 0, 1);
  const much = normalCdf(-margin / LOOK_SD, 0, 1);
  // A floor, so that one slip of the pen does not rule out the truth.
  return Math.max({ none, much, some: 1 - none - much }[creep], 1e-3);
}

/** What the pull is at another speed through the water (N). */
export function pullAtSpeed(pullN: number, speedMS: number): number {
  return pullN * (speedMS / PLANER_SPEED_MS) ** 2;
}
