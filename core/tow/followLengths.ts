import { throughAir } from './throughAir';
import { entryOf } from './towProfile';
import type { Tow } from './towStack';
import type { UnderWater } from './underWater';

/** Depths that are drawn, read to a tenth of a metre or fitted to touches: a millimetre is enough. */
export const FOLLOW_TOLERANCE = 2e-6;

/** Line that may be missing at the tip before a last correction (m): what that leaves is some hundredths of a millimetre of depth. */
const NEAR_M = 5e-4;
const TRIES = 6;

/** A length, and where it left the water of a tow that is nearly this one (m). */
export interface LeftNear {
  readonly lengthM: number;
  readonly immersedM: number;
}

/**
 * Where growing lengths leave the water, each sought from where the two before it did; where that goes astray it is sought as if it
 * were the first.
 *
 * @param beside where to begin, of a tow nearly like this one; null: nothing is known
 */
export function followLengths(
  tow: Tow,
  run: UnderWater,
  beside: LeftNear | null = null,
): (lengthM: number) => number | null {
  // Line that is added is wet, most of it.
  let [lengthBefore, atBefore, slope] = beside ? [beside.lengthM, beside.immersedM, 1] : [NaN, NaN, NaN];
  // How the slope itself changes: divided differences of Newton, over the last three lengths.
  let [lengthTwo, bend] = [NaN, 0];
  const missing = (sM: number, lengthM: number): number =>
    sM + throughAir(run.sections, run.at(sM), tow.tipHeightM, lengthM, FOLLOW_TOLERANCE).lengthM - lengthM;

  function near(lengthM: number): number | null {
    const moreM = lengthM - lengthBefore;
    let at = atBefore + slope * moreM + (bend === 0 ? 0 : bend * moreM * (lengthM - lengthTwo));
    let [steep, last, lastShort] = [slope, NaN, NaN];
    for (let round = 0; round < TRIES; round += 1) {
      if (!(at > 0 && at < Math.min(run.endM, lengthM - tow.tipHeightM))) return null;
      const short = missing(at, lengthM);
      if (!Number.isFinite(short)) return null;
      if (round > 0 && short !== lastShort) steep = (at - last) / (short - lastShort);
      [last, lastShort] = [at, short];
      at -= steep * short;
      // The slope is good to a few parts in a hundred: what it leaves of so little is nothing.
      if (Math.abs(short) < NEAR_M) return at;
    }
    return null;
  }

  // Shorter line than rises to the tip from the lure itself never lets it into the water.
  const leastM = throughAir(run.sections, run.at(0), tow.tipHeightM, run.endM, FOLLOW_TOLERANCE).lengthM;
  return (lengthM) => {
    if (lengthM < leastM) return null;
    const found =
      (tow.tipHeightM > 0 ? near(lengthM) : null) ?? entryOf(tow, run, lengthM, FOLLOW_TOLERANCE)?.immersedM;
    if (found === undefined) return null;
    if (Number.isFinite(lengthBefore) && lengthM > lengthBefore) {
      const now = (found - atBefore) / (lengthM - lengthBefore);
      bend = Number.isFinite(lengthTwo) ? (now - slope) / (lengthM - lengthTwo) : 0;
      [slope, lengthTwo] = [now, lengthBefore];
    } else bend = 0;
    [lengthBefore, atBefore] = [lengthM, found];
    return found;
  };
}
