import { incompleteBeta } from './incompleteBeta';

/**
 * P(F > f) of the F distribution. Source: Abramowitz and Stegun, Handbook of Mathematical Functions (1964), 26.6.2; the tests hold it
 * against the table of the NIST/SEMATECH e-Handbook, section 1.3.6.7.3.
 *
 * @param f ratio of two mean squares, at least 0
 * @param above degrees of freedom of the one above
 * @param below degrees of freedom of the one below
 * @throws RangeError when an argument is out of range
 */
export function fTail(f: number, above: number, below: number): number {
  if (!(f >= 0 && above > 0 && below > 0)) throw new RangeError('fTail: the ratio and both degrees must be positive');
  return incompleteBeta(below / (below + above * f), below / 2, above / 2);
}
