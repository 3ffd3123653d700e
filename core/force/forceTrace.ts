/** A recorded trace: time, force and, where it was measured, stretch, sample by sample. */
export interface ForceTrace {
  /** Since the first sample (s), never falling. */
  readonly timeS: Float64Array;
  /** As the gauge gave it (N), not tared. */
  readonly forceN: Float64Array;
  /** Change of the length between the grips (m); null where it was not recorded. */
  readonly stretchM: Float64Array | null;
}

/** One column of a drawing: the least and the greatest of the samples that fall on it, in their order. */
export interface TraceColumn {
  readonly firstS: number;
  readonly firstN: number;
  readonly secondS: number;
  readonly secondN: number;
}

/**
 * A trace thinned for a drawing without hiding anything: of the samples that fall on one column both extremes stay,
 * each at its own time, so that a spike of a single sample is still drawn.
 *
 * @param trace at least one sample
 * @param columns columns of the drawing, at least 1
 */
export function thinTrace({ timeS, forceN }: ForceTrace, columns: number): readonly TraceColumn[] {
  const n = forceN.length;
  const count = Math.min(columns, n);
  return Array.from({ length: count }, (_, column) => {
    const from = Math.floor((column * n) / count);
    const to = Math.floor(((column + 1) * n) / count);
    let [least, most] = [from, from];
    for (let i = from; i < to; i += 1) {
      if ((forceN[i] ?? 0) < (forceN[least] ?? 0)) least = i;
      if ((forceN[i] ?? 0) > (forceN[most] ?? 0)) most = i;
    }
    const [first, second] = [Math.min(least, most), Math.max(least, most)];
    return {
      firstS: timeS[first] ?? 0,
      firstN: forceN[first] ?? 0,
      secondS: timeS[second] ?? 0,
      secondN: forceN[second] ?? 0,
    };
  });
}
