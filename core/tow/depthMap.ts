import { throughAir } from './throughAir';
import { entryOf } from './towProfile';
import { lengthOfPieces, sectionsOf, type Tow } from './towStack';
import { underWater, type UnderWater } from './underWater';

/** Depth (m) by speed and length out: NaN where the tip lifts the lure out, or nothing pulls. */
export interface DepthMap {
  readonly speedsMS: readonly number[];
  readonly lengthsM: readonly number[];
  /** One row for each speed, a depth for each length. */
  readonly depthM: readonly Float64Array[];
}

/** A map is drawn and read to a tenth of a metre: depths to a millimetre are enough. */
const MAP_TOLERANCE = 1e-5;

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
    const run = underWater(tow, sectionsOf(tow), MAP_TOLERANCE);
    const row = new Float64Array(lengthsM.length).fill(NaN);
    if (run.end === 'slack') return row;
    const follow = follower(tow, run);
    lengthsM.forEach((lengthM, index) => {
      const immersedM = follow(lengthM);
      if (immersedM !== null) row[index] = Math.max(run.at(immersedM).zM, 0);
    });
    return row;
  });
  return { speedsMS, lengthsM, depthM };
}

/** Line that may be missing at the tip before a last correction (m): what that leaves is some hundredths of a millimetre of depth. */
const NEAR_M = 5e-4;
const TRIES = 6;

/**
 * Where growing lengths leave the water, each sought from where the two before it did; where that goes astray it is sought as if it
 * were the first.
 */
function follower(tow: Tow, run: UnderWater): (lengthM: number) => number | null {
  let [lengthBefore, atBefore, slope] = [NaN, NaN, NaN];
  const missing = (sM: number, lengthM: number): number =>
    sM + throughAir(run.sections, run.at(sM), tow.tipHeightM, lengthM, MAP_TOLERANCE).lengthM - lengthM;

  function near(lengthM: number): number | null {
    let at = atBefore + slope * (lengthM - lengthBefore);
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
  const leastM = throughAir(run.sections, run.at(0), tow.tipHeightM, run.endM, MAP_TOLERANCE).lengthM;
  return (lengthM) => {
    if (lengthM < leastM) return null;
    const found = (tow.tipHeightM > 0 ? near(lengthM) : null) ?? entryOf(tow, run, lengthM, MAP_TOLERANCE)?.immersedM;
    if (found === undefined) return null;
    if (Number.isFinite(lengthBefore) && lengthM > lengthBefore) slope = (found - atBefore) / (lengthM - lengthBefore);
    [lengthBefore, atBefore] = [lengthM, found];
    return found;
  };
}
