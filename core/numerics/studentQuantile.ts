import { bisect } from './bisect';
import { incompleteBeta } from './incompleteBeta';

/** P(T > t) for t above 0. Source: Abramowitz and Stegun, 26.7.1. */
const upperTail = (t: number, nu: number): number => incompleteBeta(nu / (nu + t * t), nu / 2, 0.5) / 2;

/**
 * Quantile of Student's t. Ours, because the library's would be a fifth of what a page loads first; the tests hold it against that
 * library to ten digits, and against the published table of the NIST/SEMATECH e-Handbook, section 1.3.6.7.2.
 *
 * @param probability between 0 and 1, excluded
 * @param degreesOfFreedom above 0, not necessarily whole
 * @throws RangeError when either is out of range
 */
export function studentQuantile(probability: number, degreesOfFreedom: number): number {
  if (!(probability > 0 && probability < 1 && degreesOfFreedom > 0 && degreesOfFreedom < Infinity)) {
    throw new RangeError(`studentQuantile: no quantile at ${probability} with ${degreesOfFreedom} degrees of freedom`);
  }
  if (probability === 0.5) return 0;
  if (probability < 0.5) return -studentQuantile(1 - probability, degreesOfFreedom);
  // In logarithms, since with one degree of freedom the far quantiles lie thousands away.
  const root = bisect((log) => 1 - upperTail(Math.exp(log), degreesOfFreedom) - probability, -40, 700, 1e-13);
  if (!root.ok) throw new RangeError('studentQuantile: no quantile in reach');
  return Math.exp(root.value.root);
}
