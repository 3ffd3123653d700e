import gammaln from '@stdlib/math-base-special-gammaln';
import { bisect } from './bisect';

/** Steps of the continued fraction; it settles in some twenty even at thousands of degrees of freedom. */
const MOST_STEPS = 500;
const SETTLED = 1e-15;

/**
 * Incomplete beta function I_x(a, b) by its continued fraction in the form of Lentz. Source: Abramowitz and Stegun,
 * Handbook of Mathematical Functions (1964), 26.5.8; the symmetry 26.5.2 keeps it on the side where it settles fast.
 */
function incompleteBeta(x: number, a: number, b: number): number {
  if (x > (a + 1) / (a + b + 2)) return 1 - incompleteBeta(1 - x, b, a);
  const front = Math.exp(a * Math.log(x) + b * Math.log1p(-x) + gammaln(a + b) - gammaln(a) - gammaln(b)) / a;
  const away = (value: number): number => (Math.abs(value) < 1e-300 ? 1e-300 : value);
  let c = 1;
  let d = 1 / away(1 - ((a + b) * x) / (a + 1));
  let fraction = d;
  for (let m = 1; m <= MOST_STEPS; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / away(1 + even * d);
    c = away(1 + even / c);
    fraction *= c * d;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / away(1 + odd * d);
    c = away(1 + odd / c);
    fraction *= c * d;
    if (Math.abs(c * d - 1) < SETTLED) break;
  }
  return front * fraction;
}

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
