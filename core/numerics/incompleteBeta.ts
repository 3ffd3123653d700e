import gammaln from '@stdlib/math-base-special-gammaln';

/** Steps of the continued fraction; it settles in some twenty even at thousands of degrees of freedom. */
const MOST_STEPS = 500;
const SETTLED = 1e-15;

/**
 * Incomplete beta function I_x(a, b), for x in [0, 1] and a, b above 0, by its continued fraction in the form of Lentz. Source: Abramowitz and Stegun,
 * Handbook of Mathematical Functions (1964), 26.5.8; the symmetry 26.5.2 keeps it on the side where it settles fast.
 */
export function incompleteBeta(x: number, a: number, b: number): number {
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
