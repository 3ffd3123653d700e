import { median } from '../numerics/median';
import type { ForceSample } from '../force/forceSample';
import { failure, success, type Outcome } from '../result';

/** What a scale shows of a seating pull. */
export interface SeatingPull {
  readonly peakN: number;
  /** Median of the last second (N): what the join was held at. */
  readonly heldN: number;
  /** True while it still creeps: the force sinks, or drops in steps, though the hand pulls on. */
  readonly isCreeping: boolean;
}

/** Drop of the force over the hold that means creep: twice the hand's own unsteadiness (from memory). */
const CREEP_SHARE = 0.06;
const HOLD_S = 1.5;

/**
 * Reads a seating pull from a trace: held force, and whether the join still creeps under it.
 *
 * @param samples trace of one pull in order of time (s, N), tared
 * @returns the pull, or 'seating-too-short'/'no-pull-on-scale'
 */
export function readSeatingPull(
  samples: readonly ForceSample[],
): Outcome<SeatingPull, 'seating-too-short' | 'no-pull-on-scale'> {
  const endS = samples.at(-1)?.timeS ?? 0;
  if (samples.length < 20 || endS < 2 * HOLD_S) {
    return failure('seating-too-short');
  }
  const held = samples.filter((sample) => sample.timeS >= endS - HOLD_S);
  const third = (from: number, to: number): number =>
    median(held.slice(Math.floor(from * held.length), Math.ceil(to * held.length)).map((sample) => sample.forceN));
  const [firstN, lastN] = [third(0, 1 / 3), third(2 / 3, 1)];
  const heldN = third(0, 1);
  if (!(heldN > 0)) return failure('no-pull-on-scale');
  const lowestN = Math.min(...held.map((sample) => sample.forceN));
  return success({
    peakN: Math.max(...samples.map((sample) => sample.forceN)),
    heldN,
    isCreeping: lastN < (1 - CREEP_SHARE) * firstN || lowestN < (1 - 2.5 * CREEP_SHARE) * heldN,
  });
}

/** How a tension lies against the band in which a plait locks. */
export type TensionVerdict = 'too loose' | 'right' | 'too tight';

/**
 * Judges the tension while plaiting.
 *
 * @param tensionN pull in the braid (N), at least 0
 * @param band least and most (N), see the figure 'tension'
 */
export function judgeTension(
  tensionN: number,
  band: { readonly least: number; readonly most: number },
): TensionVerdict {
  if (tensionN < band.least) return 'too loose';
  return tensionN > band.most ? 'too tight' : 'right';
}
