/**
 * What is known of a figure, linear over the errors behind it: the linear-Gaussian case, in which the variance that a measurement
 * would leave is known without its value (Raiffa and Schlaifer 1961; Chaloner and Verdinelli 1995).
 */
export interface Belief {
  /** Change of the figure with each unknown, in the figure's unit. */
  readonly slopes: readonly number[];
  /** Covariance of the unknowns. */
  readonly covariance: readonly (readonly number[])[];
  /** Variance that no measurement takes away: a display's whole count, the steps of layers. */
  readonly ownVariance: number;
}

/** Something that could be read: how it would change with each unknown, and the variance of its own errors. */
export interface Reading {
  readonly slopes: readonly number[];
  readonly noiseVariance: number;
}

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, each, index) => sum + each * (b[index] ?? 0), 0);

const times = (covariance: Belief['covariance'], slopes: readonly number[]): readonly number[] =>
  covariance.map((row) => dot(row, slopes));

/** SD of a figure by what is known. */
export function sdOfBelief({ slopes, covariance, ownVariance }: Belief): number {
  return Math.sqrt(Math.max(dot(slopes, times(covariance, slopes)), 0) + ownVariance);
}

/** SD that a figure would have with one more reading; exact while all is linear. */
export function sdAfter({ slopes, covariance, ownVariance }: Belief, { slopes: read, noiseVariance }: Reading): number {
  const moved = times(covariance, read);
  const variance = dot(slopes, times(covariance, slopes));
  const gained = dot(slopes, moved) ** 2 / (dot(read, moved) + noiseVariance);
  return Math.sqrt(Math.max(variance - (Number.isFinite(gained) ? gained : 0), 0) + ownVariance);
}

/** Covariance of the unknowns with one more reading (Sherman and Morrison 1950). */
export function covarianceAfter(
  covariance: Belief['covariance'],
  { slopes, noiseVariance }: Reading,
): Belief['covariance'] {
  const moved = times(covariance, slopes);
  const variance = dot(slopes, moved) + noiseVariance;
  if (!(variance > 0)) return covariance;
  return covariance.map((row, i) => row.map((each, j) => each - ((moved[i] ?? 0) * (moved[j] ?? 0)) / variance));
}

/**
 * Variance of the errors of a reading that leaves so much of what was open: of one that is put in the place of what was believed, and
 * of means whose scatter is not known beforehand.
 *
 * @returns Infinity where it would leave as much or more
 */
export function noiseThatLeaves(variance: number, left: number): number {
  return left < variance ? (variance * left) / (variance - left) : Infinity;
}

/**
 * What tails cost: readings that now and then are far off say less on the whole than their SD has it. Fisher's information of a
 * Student t with ν degrees of freedom and the scale of a normal is (ν + 1)/(ν + 3) of the normal's.
 *
 * @param variance of the bulk of its errors
 */
export function withTails(variance: number, tails: number): number {
  return (variance * (tails + 3)) / (tails + 1);
}
