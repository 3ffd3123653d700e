import { bisector } from 'd3-array';
import type { Figure } from '@/core/provenance/figure';

/** Under this nothing is deep: the tip holds the lure at the surface (m). */
export const DEEP_M = 0.05;

/** A figure between the lengths that it was worked out at: straight between them, from nothing with no line out. */
export function depthAlong(lengthsM: readonly number[], along: readonly Figure[], lengthM: number): Figure | null {
  const after = bisector((each: number) => each).left(lengthsM, lengthM);
  const [toM, to] = [lengthsM[after], along[after]];
  if (toM === undefined || !to) return null;
  const [fromM, from] = after > 0 ? [lengthsM[after - 1] ?? 0, along[after - 1]] : [0, undefined];
  const share = toM > fromM ? (lengthM - fromM) / (toM - fromM) : 1;
  const between = (a: number, b: number): number => a + share * (b - a);
  return {
    value: between(from?.value ?? 0, to.value),
    plusMinus: between(from?.plusMinus ?? 0, to.plusMinus),
    mainlyFrom: to.mainlyFrom,
  };
}
