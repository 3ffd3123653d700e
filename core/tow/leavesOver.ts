import { FOLLOW_TOLERANCE, followLengths } from './followLengths';
import { throughAir } from './throughAir';
import type { Tow } from './towStack';
import type { UnderWater } from './underWater';

/** With fewer lengths than that each is sought by itself. */
const FEW = 8;

/**
 * Where growing lengths leave the water (m), as {@link followLengths} has it: by one curve through all of them where that can be.
 *
 * @returns null for a length that the tip lifts out of the water
 */
export function leavesFor(tow: Tow, run: UnderWater, lengthsM: readonly number[]): readonly (number | null)[] {
  if (run.end === 'slack') return lengthsM.map(() => null);
  const mostM = Math.max(0, ...lengthsM);
  const over = lengthsM.length > FEW && tow.tipHeightM > 0 ? leavesOver(tow, run, mostM, FOLLOW_TOLERANCE) : null;
  const follow = followLengths(tow, run);
  return lengthsM.map((lengthM) => {
    const immersedM = over?.(lengthM) ?? NaN;
    return Number.isNaN(immersedM) ? follow(lengthM) : immersedM;
  });
}

/** Line in the water (m) and the length to the tip that goes with it (m). */
interface Leaving {
  readonly immersedM: number;
  readonly lengthM: number;
}

/** A stretch is looked at closer once three of its places tell the other two to this (m), and taken where five tell a sixth to that (m). */
const NEARLY_M = 0.03;
const MET_M = 5e-4;
/** A stretch shorter than that is taken as it is (m): something breaks within it that nobody told. */
const LEAST_M = 0.01;
/** Looks for a corner, after which the curve is cut smaller instead. */
const TRIES = 12;

/** The place that goes with a length: the polynomial of the places through their lengths (Lagrange). */
function through(places: readonly Leaving[], lengthM: number): number {
  let sum = 0;
  for (const place of places) {
    let term = place.immersedM;
    for (const other of places) {
      if (other !== place) term *= (lengthM - other.lengthM) / (place.lengthM - other.lengthM);
    }
    sum += term;
  }
  return sum;
}

const grows = (places: readonly Leaving[]): boolean =>
  places.every((each, index) => index === 0 || each.lengthM > (places[index - 1]?.lengthM ?? Infinity));

/** The place between two of some at which a length ends, nearly (regula falsi, Illinois); null where none of them reach so far. */
function seek(places: readonly Leaving[], lengthM: number, from: (immersedM: number) => Leaving): Leaving | null {
  const after = places.findIndex((place) => place.lengthM >= lengthM);
  let [low, high] = [places[after - 1], places[after]];
  if (!low || !high) return null;
  let [atLow, atHigh, side] = [low.lengthM - lengthM, high.lengthM - lengthM, 0];
  for (let round = 0; round < TRIES; round += 1) {
    const found = from((low.immersedM * atHigh - high.immersedM * atLow) / (atHigh - atLow));
    const off = found.lengthM - lengthM;
    if (Math.abs(off) < MET_M) return found;
    if (off > 0) {
      [high, atHigh, atLow] = [found, off, side > 0 ? atLow / 2 : atLow];
      side = 1;
    } else {
      [low, atLow, atHigh] = [found, off, side < 0 ? atHigh / 2 : atHigh];
      side = -1;
    }
  }
  return null;
}

/**
 * Where all lengths up to one leave the water, worked out the other way round: how much line it takes to the tip from places of the line
 * under water, which needs no search, and a smooth curve through them. Where a join comes to the surface or to the tip the curve has a
 * corner; it is cut there.
 *
 * @param mostM the longest length that is asked for (m), within the stack
 * @param tolerance as {@link throughAir} has it
 * @returns length to the tip (m) → line in the water (m), NaN outside of what was worked out; null where more than one place goes with a
 *   length, or no line rises to the tip from somewhere
 */
function leavesOver(tow: Tow, run: UnderWater, mostM: number, tolerance: number): ((lengthM: number) => number) | null {
  const from = (immersedM: number): Leaving => ({
    immersedM,
    lengthM: immersedM + throughAir(run.sections, run.at(immersedM), tow.tipHeightM, mostM, tolerance).lengthM,
  });
  const topM = Math.min(run.endM, mostM - tow.tipHeightM);
  const joinsM = run.sections.map(({ toM }) => toM);
  const wet = [0, ...joinsM.filter((joinM) => joinM < topM), topM].map(from);
  if (!(topM > 0) || !grows(wet)) return null;
  const atTip = [...joinsM.filter((joinM) => joinM < mostM), mostM].flatMap(
    (lengthM) => seek(wet, lengthM, from) ?? [],
  );
  const ends = [...wet, ...atTip]
    .filter(({ lengthM }) => lengthM < mostM + MET_M)
    .toSorted((a, b) => a.immersedM - b.immersedM)
    .filter(({ immersedM }, index, all) => index === 0 || immersedM > (all[index - 1]?.immersedM ?? 0) + MET_M);
  if (ends.length < 2 || !grows(ends)) return null;

  const stretches: (readonly Leaving[])[] = [];
  /** Takes a stretch between two places, with the one half-way; false where its lengths do not grow. */
  function take(a: Leaving, b: Leaving, c: Leaving): boolean {
    const early = from((a.immersedM + b.immersedM) / 2);
    const late = from((b.immersedM + c.immersedM) / 2);
    const five = [a, early, b, late, c];
    if (!grows(five)) return false;
    const isMet = (by: readonly Leaving[], met: Leaving, toM: number): boolean =>
      Math.abs(through(by, met.lengthM) - met.immersedM) < toM;
    const isNear = isMet([a, b, c], early, NEARLY_M) && isMet([a, b, c], late, NEARLY_M);
    const isShort = c.immersedM - a.immersedM < LEAST_M;
    if (!isShort && !(isNear && isMet(five, from((a.immersedM + early.immersedM) / 2), MET_M)))
      return take(a, early, b) && take(b, late, c);
    stretches.push(five);
    return true;
  }
  const isWhole = ends.every((end, index) => {
    const next = ends[index + 1];
    return !next || take(end, from((end.immersedM + next.immersedM) / 2), next);
  });
  if (!isWhole) return null;

  const [leastM, longestM] = [ends[0]?.lengthM ?? NaN, (ends.at(-1)?.lengthM ?? NaN) + MET_M];
  return (lengthM) => {
    if (!(lengthM >= leastM && lengthM <= longestM)) return NaN;
    const stretch = stretches.find((places) => lengthM <= (places.at(-1)?.lengthM ?? NaN)) ?? stretches.at(-1);
    return stretch ? through(stretch, lengthM) : NaN;
  };
}
