import { failure, success, type Outcome } from '../result';
import { towOf, type DepthBelief } from './depthBelief';
import { FOLLOW_TOLERANCE } from './followLengths';
import { towProfile } from './towProfile';

/** Lengths of a top shot that are tried (m): none, and more than any reel is loaded with. */
const MOST_M = 400;
const NEAR_M = 0.01;

/**
 * How long a top shot must be for the lure to swim so far back when only a part of the weighted line is out behind it.
 *
 * @param topShot place of the top shot among the lines, from the lure up; the weighted line follows it
 * @param weightedOutM how much of the weighted line is out (m): half a colour, say
 * @param setbackM how far behind the tip the lure is to swim (m)
 * @returns its length (m); 0 where the lure is as far back without it
 */
export function topShotFor(
  belief: DepthBelief,
  unknowns: readonly number[],
  speedMS: number,
  topShot: number,
  weightedOutM: number,
  setbackM: number,
): Outcome<number, 'top-shot-too-long'> {
  const tow = towOf(belief, speedMS, unknowns);
  const [shot, weighted] = [tow.pieces[topShot], tow.pieces[topShot + 1]];
  if (!shot || !weighted) throw new RangeError(`topShotFor: no weighted line follows place ${topShot}`);
  const setbackWith = (lengthM: number): number => {
    const pieces = [
      ...tow.pieces.slice(0, topShot),
      ...(lengthM > 0 ? [{ ...shot, lengthM }] : []),
      { ...weighted, lengthM: weightedOutM },
    ];
    return towProfile({ ...tow, pieces }, FOLLOW_TOLERANCE).setbackM ?? 0;
  };
  if (setbackWith(0) >= setbackM) return success(0);
  if (setbackWith(MOST_M) < setbackM) return failure('top-shot-too-long', { mostM: MOST_M });
  let [lowM, highM] = [0, MOST_M];
  while (highM - lowM > NEAR_M) {
    const midM = (lowM + highM) / 2;
    if (setbackWith(midM) >= setbackM) highM = midM;
    else lowM = midM;
  }
  return success(highM);
}
