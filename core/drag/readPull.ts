import { median } from '../numerics/median';
import type { ForceSample } from '../force/forceSample';
import { failure, success, type Outcome } from '../result';

export interface DragPull {
  /** Median force while line is moving (N). */
  readonly movingN: number;
  /** Peak before it starts to move (N). */
  readonly breakawayN: number;
}

/** Breakaway over moving force above which a drag counts as sticky (common practice, about 1.3). */
export const STICKY_RATIO = 1.3;

/** A share of the pull that may go the other way: noise about the tare. */
const OTHER_WAY = 0.1;

/**
 * Reads a drag pull from a trace: the first peak is the breakaway, the median of the last half is
 * the moving pull. The first jerk is not the drag.
 *
 * @param samples trace of one pull in order of time, tared
 * @returns moving and breakaway force; 'pull-too-short', 'no-pull-on-scale', or 'mixed-sense' where the scale pulled both ways
 */
export function readDragPull(
  samples: readonly ForceSample[],
): Outcome<DragPull, 'pull-too-short' | 'no-pull-on-scale' | 'mixed-sense'> {
  if (samples.length < 10) return failure('pull-too-short');
  const forces = samples.map((sample) => sample.forceN);
  const [least, most] = [Math.min(...forces), Math.max(...forces)];
  if (least < -OTHER_WAY * Math.max(most, 0) && most > -OTHER_WAY * least) {
    return failure('mixed-sense');
  }
  const moving = samples.slice(Math.floor(samples.length / 2)).map((sample) => sample.forceN);
  const movingN = median(moving);
  if (!(movingN > 0)) return failure('no-pull-on-scale');
  const breakawayN = Math.max(movingN, ...samples.slice(0, Math.floor(samples.length / 2)).map((s) => s.forceN));
  return success({ movingN, breakawayN });
}
