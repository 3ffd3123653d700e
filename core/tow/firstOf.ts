import type { Tow } from './towStack';

/** The same boat with only the first so many metres of its line out, from the lure up. */
export function firstOf(tow: Tow, lengthM: number): Tow {
  let leftM = lengthM;
  const pieces = tow.pieces.flatMap((each) => {
    const takenM = Math.min(each.lengthM, leftM);
    leftM -= takenM;
    return takenM > 1e-9 ? [{ ...each, lengthM: takenM }] : [];
  });
  return { ...tow, pieces, loads: tow.loads.filter(({ sM }) => sM < lengthM) };
}
