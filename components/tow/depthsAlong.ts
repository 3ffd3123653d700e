import { bisector } from 'd3-array';
import type { Figure } from '@/core/provenance/figure';

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

/** The same of plain depths. */
export function plainAlong(lengthsM: readonly number[], depthsM: readonly number[], lengthM: number): number | null {
  const figures = depthsM.map((value) => ({ value, plusMinus: 0, mainlyFrom: null }));
  return depthAlong(lengthsM, figures, lengthM)?.value ?? null;
}
