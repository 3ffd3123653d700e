import tQuantile from '@stdlib/stats-base-dists-t-quantile';

/**
 * Quantile of Student's t. The library is checked in the tests against the published table of the
 * NIST/SEMATECH e-Handbook, section 1.3.6.7.2.
 *
 * @param probability between 0 and 1, excluded
 * @param degreesOfFreedom above 0
 * @throws RangeError when either is out of range
 */
export function studentQuantile(probability: number, degreesOfFreedom: number): number {
  const value = tQuantile(probability, degreesOfFreedom);
  if (!Number.isFinite(value)) {
    throw new RangeError(`studentQuantile: no quantile at ${probability} with ${degreesOfFreedom} degrees of freedom`);
  }
  return value;
}
