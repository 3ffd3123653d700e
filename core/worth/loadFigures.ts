import type { CounterEstimate } from '../calibration/estimateCounter';
import { estimateCovariance, estimateSlopes } from '../calibration/estimateSlopes';
import { countsAt, layerStepSd, type RealisedLoad } from '../calibration/observations';
import { ERRORS } from '../measurement/errors';
import { solveSegment } from '../spool/solveSegment';
import type { Belief } from './belief';

/** A figure of a load that somebody acts by. */
export type LoadGoal =
  /** The length of one segment that ends the load at a level under the rim (m). */
  | { readonly kind: 'length'; readonly segmentId: string; readonly levelBelowRimM: number }
  /** Where the level lies under the rim (m). */
  | { readonly kind: 'level' }
  /** What the counter shows with so much off the spool (counts). */
  | { readonly kind: 'counter'; readonly atM: number };

export interface LoadFigure {
  readonly value: number;
  readonly belief: Belief;
}

/**
 * A figure of a load by what is known of it.
 *
 * @param estimate of the load; for a length without a level as evidence, which would be the very thing that the length is solved for
 * @returns null where it cannot be worked out
 */
export function loadFigure(estimate: CounterEstimate, goal: LoadGoal): LoadFigure | null {
  const { unitM, drive } = estimate.counter;
  const figure = (load: RealisedLoad): number => {
    switch (goal.kind) {
      case 'length':
        return solvedM(load, goal.segmentId, goal.levelBelowRimM);
      case 'level':
        return (load.rimDiameterM - load.line.fullDiameterM) / 2;
      case 'counter':
        return countsAt(load, goal.atM, unitM);
    }
  };
  const value = figure(estimate.best);
  const [slopes = []] = estimateSlopes(estimate, (load) => [figure(load)]);
  if (![value, ...slopes].every(Number.isFinite)) return null;
  const steps = drive === 'roller' || goal.kind !== 'counter' ? 0 : value * layerStepSd(goal.atM);
  const ownVariance = goal.kind === 'counter' ? ERRORS.wholeCount.sd ** 2 + steps ** 2 : 0;
  return { value, belief: { slopes, covariance: estimateCovariance(estimate), ownVariance } };
}

function solvedM({ line, rimDiameterM }: RealisedLoad, segmentId: string, levelBelowRimM: number): number {
  const segments = line.segments.map((segment) => (segment.id === segmentId ? { ...segment, lengthM: null } : segment));
  const solved = solveSegment(line.spool, segments, rimDiameterM - 2 * levelBelowRimM);
  return solved.ok ? solved.value.solvedLengthM : NaN;
}
