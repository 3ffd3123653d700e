import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { bracketedRoot } from '../../numerics/bracketedRoot';
import { failure, requirePositive, success, type Outcome } from '../../result';
import {
  DAY_SD,
  GUST,
  HARD_SEA,
  outingNumbers,
  PLANER_SPEED_MS,
  type CreepObservation,
  type HandLook,
  type LeverLook,
  type Look,
  type TowingWater,
} from './planerLooks';
import { planerConflicts, type PlanerConflict } from './planerConflicts';
import {
  lnHoldAt,
  lnPlaceOf,
  planerPosterior,
  type LookInLogs,
  type Normal,
  type PlanerCell,
  type PlanerPrior,
} from './planerPosterior';

/** 5 %, 50 % and 95 % of what something may be. */
export interface Range90 {
  readonly low: number;
  readonly mid: number;
  readonly high: number;
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
  readonly conflicts: readonly PlanerConflict[];
}

/** Where the lever stops the creep of one size of planer at one preset. */
export interface LeverBracket {
  /** Share of the sweep at which creep stops at the reference speed in ordinary water; above 1: beyond the sweep. */
  readonly stops: Range90;
  /** How fast the hold grows with the lever's place: hold ∝ place^slope. */
  readonly slope: Range90;
  /** What a following sea or a head current multiplies the pull by. */
  readonly hardSea: Range90;
  /** Looks and hand pulls that counted; no look at all leaves what is believed beforehand. */
  readonly counted: number;
  readonly conflicts: readonly PlanerConflict[];
  /** Share of the sweep that stops the creep at a speed and in a water on any day. */
  placeFor(speedMS: number, water: TowingWater): Range90;
  /** What the next size or preset begins with. */
  readonly carried: PlanerPrior;
}

/** What is believed of a planer's pull before any observation: about 150 N within a factor of five (a guess). */
export const PLANER_PRIOR = { medianN: 150, sdLog: 0.8 } as const;
/** SD on the logarithm of what a scale read ashore says of a drag at sea: wet or hot drags differ by 10 to 20 % (from memory). */
export const SCALE_AT_SEA_SD = 0.17;

/** Before any look: creep stops at about half of the sweep, and the hold grows somewhat faster than the place of the lever (guesses). */
export const LEVER_PRIOR: PlanerPrior = {
  lnStop: { mean: Math.log(0.5), sd: 0.6 },
  lnSlope: { mean: Math.log(1.5), sd: Math.log(1.42) },
  sea: HARD_SEA,
};
/** A changed preset or another size of planer starts from what was known, widened by this factor. */
export const CARRIED_FACTOR = 1.4;

/**
 * Brackets the pull of one size of planer from creep seen and not seen, where newtons are known: pull goes with the square of the
 * speed; waves make line creep a little below the pull that holds; a hard sea adds its own; the looks of an outing share their day, and all of
 * them what a scale read ashore says of a drag at sea. A planer that was not set counts for nothing.
 *
 * @param observations of one size
 * @returns the bracket; 'nothing-counts' while no observation is of a planer that was set
 */
export function planerBracket(observations: readonly CreepObservation[]): Outcome<PlanerBracket, 'nothing-counts'> {
  for (const { speedMS, holdsN } of observations) requirePositive('planerBracket', { speedMS, holdsN });
  const looks = inLogs(observations, ({ holdsN }) => holdsN);
  if (looks.length === 0) {
    return failure('nothing-counts');
  }
  const { medianN, sdLog } = PLANER_PRIOR;
  const prior: PlanerPrior = {
    lnStop: { mean: Math.log(medianN) + GUST, sd: Math.hypot(sdLog, SCALE_AT_SEA_SD) },
    lnSlope: { mean: 0, sd: 0 },
    sea: HARD_SEA,
  };
  const cells = planerPosterior(looks, [], prior);
  const marginal = marginalOf(cells, (cell) => cell.lnStop);
  // The scale's share is beyond what looks can tell: of what they say of both, the pull has its part by the priors.
  const part = sdLog ** 2 / prior.lnStop.sd ** 2;
  const rest = (sdLog * SCALE_AT_SEA_SD) / prior.lnStop.sd;
  const pull = {
    ...marginal,
    values: marginal.values.map((at) => prior.lnStop.mean + part * (at - prior.lnStop.mean) - GUST),
  };
  const { low, mid, high } = range(pull, rest);
  return success({
    speedMS: PLANER_SPEED_MS,
    lowN: low,
    midN: mid,
    highN: high,
    counted: looks.length,
    conflicts: planerConflicts(looks, cells, originsOf(observations)),
  });
}

/**
 * Brackets the place of the lever that stops a planer's creep, by feel alone: no newtons are known or needed. A hand pull before it
 * goes in is a weak look.
 *
 * @param looks of one size at one preset
 * @param hands hand pulls with that size and preset
 * @param prior of a size or preset that was known before, widened ({@link LeverBracket.carried}), or of any
 */
export function leverBracket(
  looks: readonly LeverLook[],
  hands: readonly HandLook[] = [],
  prior: PlanerPrior = LEVER_PRIOR,
): LeverBracket {
  for (const { speedMS, position } of looks) requirePositive('leverBracket', { speedMS, position });
  for (const { position } of hands) requirePositive('leverBracket', { position });
  const seen = inLogs(looks, ({ position }) => position);
  const felt = hands.map(({ position, pull }) => ({ lnPlace: Math.log(position), pull }));
  const cells = planerPosterior(seen, felt, prior);
  const lnStop = marginalOf(cells, (cell) => cell.lnStop);
  const needs = (speedMS: number, water: TowingWater) => ({
    speedLog: speedLogOf(speedMS),
    hard: water === 'hard' ? 1 : 0,
  });
  return {
    stops: range(lnStop, 0),
    slope: range(
      marginalOf(cells, (cell) => Math.log(cell.slope)),
      0,
    ),
    hardSea: range(
      marginalOf(cells, (cell) => cell.sea),
      0,
    ),
    counted: seen.length + hands.length,
    conflicts: planerConflicts(seen, cells, originsOf(looks)),
    placeFor: (speedMS, water) => {
      const { speedLog, hard } = needs(speedMS, water);
      const at = (cell: PlanerCell): number =>
        lnPlaceOf(lnHoldAt(cell.lnStop, cell) + speedLog + hard * cell.sea, cell);
      const mean = cells.reduce((sum, cell) => sum + cell.weight / cell.slope, 0);
      return range(marginalOf(cells, at), DAY_SD * mean);
    },
    carried: {
      lnStop: widened(momentsOf(cells, (cell) => cell.lnStop)),
      lnSlope: momentsOf(cells, (cell) => Math.log(cell.slope)),
      sea: momentsOf(cells, (cell) => cell.sea),
    },
  };
}

/** What the speed adds to the pull, on the logarithm: it goes with the square. */
const speedLogOf = (speedMS: number): number => 2 * Math.log(speedMS / PLANER_SPEED_MS);

function inLogs<T extends Look>(looks: readonly T[], placeOf: (look: T) => number): readonly LookInLogs[] {
  const set = looks.filter((look) => look.isSet);
  const outings = outingNumbers(set);
  return set.map((look, index) => ({
    lnPlace: Math.log(placeOf(look)),
    speedLog: speedLogOf(look.speedMS),
    isHard: look.water === 'hard',
    creep: look.creep,
    outing: outings[index] ?? 0,
  }));
}

/** Where each look that counts stands among all that were given. */
const originsOf = (looks: readonly Look[]): readonly number[] =>
  looks.flatMap((look, index) => (look.isSet ? [index] : []));

const widened = ({ mean, sd }: Normal): Normal => ({ mean, sd: Math.hypot(sd, Math.log(CARRIED_FACTOR)) });

function momentsOf(cells: readonly PlanerCell[], of: (cell: PlanerCell) => number): Normal {
  const mean = cells.reduce((sum, cell) => sum + cell.weight * of(cell), 0);
  return { mean, sd: Math.sqrt(cells.reduce((sum, cell) => sum + cell.weight * (of(cell) - mean) ** 2, 0)) };
}

/** Values of a logarithm with their weights, one after another. */
interface Marginal {
  readonly values: readonly number[];
  readonly weights: readonly number[];
  /** What one value stands for on either side of it (half of the step). */
  readonly half: number;
}

const BINS = 240;

function marginalOf(cells: readonly PlanerCell[], of: (cell: PlanerCell) => number): Marginal {
  const all = cells.map(of);
  const least = all.reduce((a, b) => Math.min(a, b), Infinity);
  const most = all.reduce((a, b) => Math.max(a, b), -Infinity);
  if (most <= least) return { values: [least], weights: [1], half: 0 };
  // Each value counts in both of its neighbours by how near it is: sums of even grids keep their shape.
  const step = (most - least) / (BINS - 1);
  const weights = new Array<number>(BINS).fill(0);
  all.forEach((value, index) => {
    const place = (value - least) / step;
    const at = Math.min(Math.floor(place), BINS - 2);
    const weight = cells[index]?.weight ?? 0;
    weights[at] = (weights[at] ?? 0) + weight * (1 - (place - at));
    weights[at + 1] = (weights[at + 1] ?? 0) + weight * (place - at);
  });
  return { values: weights.map((_, index) => least + index * step), weights, half: step / 2 };
}

/** The middle nine tenths and the middle of a logarithm, with a normal share of its own added, as plain numbers. */
function range({ values, weights, half }: Marginal, sd: number): Range90 {
  const spread = Math.max(sd, half, 1e-9);
  const heavy = values.flatMap((value, index) => {
    const weight = weights[index] ?? 0;
    return weight > 1e-7 ? [{ value, weight }] : [];
  });
  const below = (at: number): number => {
    let sum = 0;
    for (const { value, weight } of heavy) {
      const off = (at - value) / spread;
      sum += off > 6 ? weight : off < -6 ? 0 : weight * normalCdf(off, 0, 1);
    }
    return sum;
  };
  const [from, to] = [(values[0] ?? 0) - 6 * spread, (values.at(-1) ?? 0) + 6 * spread];
  const quantile = (share: number): number => {
    const root = bracketedRoot((at) => below(at) - share, from, to, 1e-5);
    return Math.exp(root.ok ? root.value.root : NaN);
  };
  return { low: quantile(0.05), mid: quantile(0.5), high: quantile(0.95) };
}

/** What the pull is at another speed through the water (N). */
export function pullAtSpeed(pullN: number, speedMS: number): number {
  return pullN * Math.exp(speedLogOf(speedMS));
}
