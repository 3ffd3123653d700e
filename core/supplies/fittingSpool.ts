/**
 * The spool on the shelf that a length of a line is best taken from: the one with the least left that still has
 * enough; null when none has.
 *
 * @param lengthM length that is wanted (m)
 */
export function fittingSpool<T extends { readonly lineProductId: string; readonly remainingLengthM: number }>(
  spools: readonly T[],
  productId: string,
  lengthM: number,
): T | null {
  const fitting = spools
    .filter((spool) => spool.lineProductId === productId && spool.remainingLengthM >= lengthM)
    .toSorted((a, b) => a.remainingLengthM - b.remainingLengthM);
  return fitting[0] ?? null;
}
