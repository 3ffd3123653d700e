import gammaln from '@stdlib/math-base-special-gammaln';
import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { bracketedRoot } from './bracketedRoot';

/** Steps of Simpson's rule over the spread of a sample SD: far finer than four digits ask for. */
const STEPS = 400;
/** Nodes with less than this of the whole are left out: all of them together are nothing beside a double's last digits. */
const NO_SHARE = 1e-18;

/**
 * Distribution function of the noncentral t: T = (Z + δ) / √(χ²_ν / ν). Integrated over the distribution of
 * s = √(χ²_ν / ν) by Simpson's rule, where P(T ≤ t | s) = Φ(t·s − δ).
 *
 * @param t argument
 * @param degreesOfFreedom ν, above 0
 * @param noncentrality δ
 */
export const noncentralTCdf = (t: number, degreesOfFreedom: number, noncentrality: number): number =>
  noncentralT(degreesOfFreedom, noncentrality)(t);

/** That function for one ν and δ: the distribution of s is worked out once, however often it is asked. */
function noncentralT(nu: number, noncentrality: number): (t: number) => number {
  const logScale = Math.log(2) + (nu / 2) * Math.log(nu / 2) - gammaln(nu / 2);
  // One degree of freedom leaves a density at zero, where the logarithm alone would say 0 · −∞.
  const power = (s: number): number => (nu === 1 ? 0 : (nu - 1) * Math.log(s));
  const density = (s: number): number => Math.exp(logScale + power(s) - (nu * s * s) / 2);
  // Ten SDs of s on either side of 1 hold all but the last digits of a double; s is never below 0.
  const halfWidth = 10 / Math.sqrt(2 * nu);
  const from = Math.max(0, 1 - halfWidth);
  const step = (1 + halfWidth - from) / STEPS;
  const nodes = Array.from({ length: STEPS + 1 }, (_, index) => {
    const s = from + index * step;
    const weight = index === 0 || index === STEPS ? 1 : index % 2 === 1 ? 4 : 2;
    return { s, share: (weight * density(s) * step) / 3 };
  }).filter(({ share }) => share > NO_SHARE);
  return (t) => nodes.reduce((sum, { s, share }) => sum + share * normalCdf(t * s - noncentrality, 0, 1), 0);
}

const known = new Map<string, number>();

/**
 * Factor k of a one-sided normal tolerance bound: mean − k·SD lies below a share of all pieces, with a confidence.
 * k = t'(confidence; ν, z·√n) / √n with the noncentral t. Source: NIST/SEMATECH e-Handbook, section 7.2.6.3;
 * Owen's tables, against which the tests hold it.
 *
 * @param n pulls, at least 2
 * @param content share of pieces that hold more, such as 0.95
 * @param confidence such as 0.95
 * @param degrees degrees of freedom of the SD, where it was lent by other samples; left out: the sample's own
 * @throws RangeError when an argument is out of range
 */
export function toleranceFactor(n: number, content = 0.95, confidence = 0.95, degrees = n - 1): number {
  if (!(Number.isInteger(n) && n >= 1 && degrees >= 1)) {
    throw new RangeError('toleranceFactor: n must be a whole number, at least 2, or 1 with an SD that is lent');
  }
  if (!(content > 0 && content < 1 && confidence > 0 && confidence < 1)) {
    throw new RangeError('toleranceFactor: content and confidence lie between 0 and 1');
  }
  const key = `${n} ${content} ${confidence} ${degrees}`;
  const before = known.get(key);
  if (before !== undefined) return before;
  const delta = normalQuantile(content, 0, 1) * Math.sqrt(n);
  const cdf = noncentralT(degrees, delta);
  const root = bracketedRoot((t) => cdf(t) - confidence, -50, 400, 1e-7);
  if (!root.ok) throw new RangeError('toleranceFactor: no factor in reach');
  const factor = root.value.root / Math.sqrt(n);
  known.set(key, factor);
  return factor;
}
