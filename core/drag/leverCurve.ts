import { ERRORS } from '../measurement/errors';
import { bracketedRoot } from '../numerics/bracketedRoot';
import { linearFit } from '../numerics/linearFit';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import { studentQuantile } from '../numerics/studentQuantile';
import { failure, success, type Outcome } from '../result';

/** A pull at the tip with the lever at a place of its sweep, 0 (back) to 1 (forward). */
export interface LeverPoint {
  readonly position: number;
  readonly forceN: number;
  /** Turns of the preset knob from where it was first measured, tighter positive. */
  readonly presetTurns: number;
}

export type LeverProblem = 'too-few-places' | 'not-monotone' | 'free-not-free' | 'no-sweep';

/** The mean of the pulls at one place of the lever. */
export interface MeanAtPlace extends LeverPoint {
  readonly pulls: number;
}

/** What a lever does over its sweep at one preset. */
export interface LeverCurve {
  readonly points: readonly MeanAtPlace[];
  /** Pull at the tip with the lever there (N); null outside of what was pulled: nothing is said of it. */
  forceAt(position: number): number | null;
  /** Where the lever stands for a pull; null where the sweep does not reach it. */
  positionFor(forceN: number): number | null;
}

/** Where a lever stands for a pull, as a share of its sweep. */
export interface LeverPlace {
  readonly position: number;
  /** Half of its 95 % interval, as far as the sweep goes. */
  readonly plusMinus: number;
  /** Pulls at the place of the curve that is nearest to it. */
  readonly pulls: number;
}

/** Points from which a curve is drawn. */
const LEAST_POINTS = 3;
/** A later point may be so much weaker and still be the scale's own scatter. */
const SCATTER = 0.05;
/** With the lever back a reel in free spool pulls less than this (N): bearings and line, from memory. */
export const FREE_N = 3;
/** Places nearer than this are one place of the lever. */
const SAME_PLACE = 1e-6;
/** The lever counts as back up to here. */
const BACK = 0.08;

/**
 * A curve through pulls at several places of the lever: cubic pieces that rise wherever the points do and never
 * overshoot (Fritsch and Butland 1984). Points within the scale's scatter
 * of each other are levelled.
 *
 * @param points at one preset, in any order
 * @returns the curve; 'too-few-places' below three places, 'not-monotone' (figures: the position), 'free-not-free' (the lever
 *   back and the reel still holds), 'no-sweep'
 */
export function leverCurve(points: readonly LeverPoint[]): Outcome<LeverCurve, LeverProblem> {
  const places = meansByPosition(points);
  if (places.length < LEAST_POINTS) {
    return failure('too-few-places', { least: LEAST_POINTS });
  }
  const back = places.find((place) => place.position <= BACK);
  if (back && back.forceN > FREE_N) {
    return failure('free-not-free', { forceN: back.forceN });
  }
  for (let index = 1; index < places.length; index += 1) {
    const [before, here] = [places[index - 1], places[index]];
    if (before && here && here.forceN < before.forceN * (1 - SCATTER) - 0.2) {
      return failure('not-monotone', { position: here.position, before: before.position });
    }
  }
  const rising = levelled(places);
  const [first, last] = [rising[0], rising.at(-1)];
  if (!first || !last || last.forceN <= first.forceN) {
    return failure('no-sweep');
  }
  const slopes = monotoneSlopes(rising);
  const within = (x: number): number => {
    const index = Math.max(
      0,
      Math.min(
        rising.length - 2,
        rising.findLastIndex((place) => place.position <= x),
      ),
    );
    return hermite(rising, slopes, index, x);
  };
  const forceAt = (position: number): number | null =>
    position < first.position - SAME_PLACE || position > last.position + SAME_PLACE
      ? null
      : within(Math.min(Math.max(position, first.position), last.position));
  return success({
    points: rising,
    forceAt,
    positionFor: (forceN) => {
      const root = bracketedRoot((position) => within(position) - forceN, first.position, last.position, 1e-6);
      return root.ok ? root.value.root : null;
    },
  });
}

/**
 * Where the lever stands for a pull, with what the pulls of the curve and the pull itself leave open.
 *
 * @param forceN pull at the tip (N)
 * @param plusMinusN half of its own 95 % interval (N)
 * @returns null where the sweep does not reach it
 */
export function leverPlace(curve: LeverCurve, forceN: number, plusMinusN = 0): LeverPlace | null {
  const position = curve.positionFor(forceN);
  if (position === null) return null;
  const off = (place: MeanAtPlace): number => Math.abs(place.position - position);
  const { pulls } = curve.points.reduce((best, place) => (off(place) < off(best) ? place : best));
  const openN = Math.hypot(plusMinusN, (PLUS_MINUS_SDS * ERRORS.pullShare.sd * forceN) / Math.sqrt(pulls));
  const [from, to] = [curve.points[0]?.position ?? 0, curve.points.at(-1)?.position ?? 1];
  const least = curve.positionFor(forceN - openN) ?? from;
  const most = curve.positionFor(forceN + openN) ?? to;
  return { position, plusMinus: (most - least) / 2, pulls };
}

function meansByPosition(points: readonly LeverPoint[]): readonly MeanAtPlace[] {
  const byPosition = new Map<number, LeverPoint[]>();
  for (const point of points) {
    byPosition.set(point.position, [...(byPosition.get(point.position) ?? []), point]);
  }
  return [...byPosition.values()]
    .flatMap((group): MeanAtPlace[] => {
      const [one] = group;
      return one
        ? [{ ...one, forceN: group.reduce((sum, each) => sum + each.forceN, 0) / group.length, pulls: group.length }]
        : [];
    })
    .toSorted((a, b) => a.position - b.position);
}

/** Neighbours that fall within the scale's scatter share their mean. */
function levelled(places: readonly MeanAtPlace[]): readonly MeanAtPlace[] {
  const forces = places.map((place) => place.forceN);
  for (let index = 1; index < forces.length; index += 1) {
    if ((forces[index] ?? 0) < (forces[index - 1] ?? 0)) forces[index] = forces[index - 1] ?? 0;
  }
  return places.map((place, index) => ({ ...place, forceN: forces[index] ?? place.forceN }));
}

/**
 * Slopes that keep a cubic between points as monotone as they are: the harmonic mean of the secants, weighed by the widths of both
 * sides (Fritsch and Butland 1984, their G with α = (h₁ + 2h₂)/(3(h₁ + h₂))); at the ends the slope of the parabola through three
 * points, held between nothing and three times the secant.
 */
function monotoneSlopes(places: readonly LeverPoint[]): readonly number[] {
  const widths = places.slice(1).map((place, index) => place.position - (places[index]?.position ?? 0));
  const secants = places
    .slice(1)
    .map((place, index) => (place.forceN - (places[index]?.forceN ?? 0)) / (widths[index] ?? 1));
  const end = (index: number, next: number): number => {
    const [h0, h1, s0, s1] = [widths[index] ?? 1, widths[next] ?? 1, secants[index] ?? 0, secants[next] ?? 0];
    return Math.min(Math.max(((2 * h0 + h1) * s0 - h0 * s1) / (h0 + h1), 0), 3 * s0);
  };
  return places.map((_, index) => {
    if (index === 0) return end(0, 1);
    if (index === places.length - 1) return end(secants.length - 1, secants.length - 2);
    const [h1, h2, s1, s2] = [widths[index - 1] ?? 1, widths[index] ?? 1, secants[index - 1] ?? 0, secants[index] ?? 0];
    if (s1 * s2 <= 0) return 0;
    const alpha = (h1 + 2 * h2) / (3 * (h1 + h2));
    return (s1 * s2) / (alpha * s2 + (1 - alpha) * s1);
  });
}

function hermite(places: readonly LeverPoint[], slopes: readonly number[], index: number, x: number): number {
  const [a, b] = [places[index], places[index + 1]];
  if (!a || !b) return NaN;
  const h = b.position - a.position;
  const t = (x - a.position) / h;
  const [m0, m1] = [(slopes[index] ?? 0) * h, (slopes[index + 1] ?? 0) * h];
  return (
    (2 * t ** 3 - 3 * t ** 2 + 1) * a.forceN +
    (t ** 3 - 2 * t ** 2 + t) * m0 +
    (3 * t ** 2 - 2 * t ** 3) * b.forceN +
    (t ** 3 - t ** 2) * m1
  );
}

/** What a turn of the preset does to the pull at one place of the lever. */
export interface PresetGain {
  readonly newtonsPerTurn: number;
  /** Half of its 95 % interval (N), Student's t; null from two pulls. */
  readonly plusMinusN: number | null;
}

/**
 * Newtons for each turn of the preset, learned from pulls at one place of the lever with the preset at several.
 *
 * @param points at one place of the lever
 * @returns null while the preset stood in one place only; the ± is null for two pulls
 */
export function presetGain(points: readonly LeverPoint[]): PresetGain | null {
  const turns = points.map((point) => point.presetTurns);
  if (new Set(turns).size < 2) return null;
  const forces = points.map((point) => point.forceN);
  if (points.length === 2) {
    const [a, b] = points;
    if (!a || !b) return null;
    return { newtonsPerTurn: (b.forceN - a.forceN) / (b.presetTurns - a.presetTurns), plusMinusN: null };
  }
  const fit = linearFit(turns, forces);
  return { newtonsPerTurn: fit.slope, plusMinusN: studentQuantile(0.975, fit.n - 2) * fit.slopeSd };
}
