import { failure, success, type Outcome } from '../result';
import { towOf, type DepthBelief } from './depthBelief';
import { FOLLOW_TOLERANCE } from './followLengths';
import type { TowGoal } from './lineForDepth';
import { profileAt } from './towProfile';
import type { TowStatus } from './towedLine';
import { sectionsOf } from './towStack';
import { underWater } from './underWater';

/** Line that is let out of a rig for a goal. */
export interface LineOut {
  readonly lengthOutM: number;
  readonly depthM: number;
  readonly setbackM: number;
  readonly status: TowStatus;
}

/** A counter is read to a whole count: lengths to a millimetre are enough. */
const NEAR_M = 1e-3;

/**
 * How much of a rig's own line to let out for a depth or a setback, its stack as it is.
 *
 * @param unknowns of the belief, as they were learned
 * @param mostM line that may be out (m)
 * @returns 'line-too-short' where even that does not bring it there, with what it does
 */
export function lineOutFor(
  belief: DepthBelief,
  unknowns: readonly number[],
  speedMS: number,
  goal: TowGoal,
  mostM: number,
): Outcome<LineOut, 'line-too-short'> {
  const tow = towOf(belief, speedMS, unknowns);
  const run = underWater(tow, sectionsOf(tow), FOLLOW_TOLERANCE);
  const at = (lengthOutM: number): LineOut => {
    const { depthM, setbackM, status } = profileAt(tow, run, lengthOutM, FOLLOW_TOLERANCE);
    return { lengthOutM, depthM: depthM ?? 0, setbackM: setbackM ?? 0, status };
  };
  const isThere = (place: LineOut): boolean =>
    'depthM' in goal ? place.depthM >= goal.depthM : place.setbackM >= goal.setbackM;
  let high = at(mostM);
  if (!isThere(high))
    return failure('line-too-short', { lengthM: mostM, depthM: high.depthM, setbackM: high.setbackM });
  let lowM = 0;
  while (high.lengthOutM - lowM > NEAR_M) {
    const mid = at((lowM + high.lengthOutM) / 2);
    if (isThere(mid)) high = mid;
    else lowM = mid.lengthOutM;
  }
  return success(high);
}
