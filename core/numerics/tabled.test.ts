import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { tabled } from './tabled';

describe('a function read from a table', () => {
  const read = tabled(
    (z) => normalCdf(z, 0, 1),
    (z) => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI),
    -6,
    6,
  );

  it('is the function within a millionth of it, far out in its tail too', () => {
    for (let z = -6; z < 6; z += 0.00713) expect(Math.abs(read(z) / normalCdf(z, 0, 1) - 1)).toBeLessThan(5e-6);
    // Tables of the normal law: 0.0227501 at −2, 0.8413447 at 1.
    expect(read(-2)).toBeCloseTo(0.0227501, 7);
    expect(read(1)).toBeCloseTo(0.8413447, 7);
  });

  it('is the function itself outside of the table, and of what is not a number', () => {
    expect(read(-7.3)).toBe(normalCdf(-7.3, 0, 1));
    expect(read(6)).toBe(normalCdf(6, 0, 1));
    expect(read(NaN)).toBeNaN();
  });
});
