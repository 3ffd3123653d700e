import { FOLLOW_TOLERANCE } from './followLengths';
import { leavesFor } from './leavesOver';
import { lengthOfPieces, sectionsOf, type Tow } from './towStack';
import { underWater } from './underWater';

/** Depth (m) by speed and length out: NaN where the tip lifts the lure out, or nothing pulls. */
export interface DepthMap {
  readonly speedsMS: readonly number[];
  readonly lengthsM: readonly number[];
  /** One row for each speed, a depth for each length. */
  readonly depthM: readonly Float64Array[];
}

/**
 * How deep the lure swims at each of some speeds with each of some lengths out. At one speed the line under water is followed once: it serves
 * every length, and only the part in air is sought for each.
 *
 * @param towAt the boat at a speed (m/s), with the whole line: what is out is the first so many metres from the lure
 * @param lengthsM growing, at most the whole line (m)
 */
export function depthMap(
  towAt: (speedMS: number) => Tow,
  speedsMS: readonly number[],
  lengthsM: readonly number[],
): DepthMap {
  const depthM = speedsMS.map((speedMS) => {
    const tow = towAt(speedMS);
    if ((lengthsM.at(-1) ?? 0) > lengthOfPieces(tow.pieces) * (1 + 1e-12))
      throw new RangeError('depthMap: more line than there is');
    const run = underWater(tow, sectionsOf(tow), FOLLOW_TOLERANCE);
    const row = new Float64Array(lengthsM.length).fill(NaN);
    leavesFor(tow, run, lengthsM).forEach((immersedM, index) => {
      if (immersedM !== null) row[index] = Math.max(run.at(immersedM).zM, 0);
    });
    return row;
  });
  return { speedsMS, lengthsM, depthM };
}
