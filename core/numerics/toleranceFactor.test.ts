import { noncentralTCdf, toleranceFactor } from './toleranceFactor';

describe('toleranceFactor', () => {
  it.each([
    // 95 % of pieces with 95 % confidence: Owen's tables, by the method of the NIST/SEMATECH e-Handbook, 7.2.6.3.
    [2, 0.95, 0.95, 26.26],
    [3, 0.95, 0.95, 7.656],
    [5, 0.95, 0.95, 4.203],
    [10, 0.95, 0.95, 2.911],
    [20, 0.95, 0.95, 2.396],
    // The e-Handbook's own example: 43 pieces, 90 % content, 99 % confidence.
    [43, 0.9, 0.99, 1.874],
  ])('n = %d, content %d, confidence %d', (n, content, confidence, k) => {
    expect(Math.abs(toleranceFactor(n, content, confidence) / k - 1)).toBeLessThan(3e-4);
  });

  it('falls with n towards the normal quantile', () => {
    expect(toleranceFactor(200)).toBeLessThan(toleranceFactor(50));
    expect(toleranceFactor(2000)).toBeGreaterThan(1.6449);
    expect(toleranceFactor(2000)).toBeLessThan(1.75);
  });

  it('throws on what is no sample', () => {
    for (const n of [1, 0, 2.5]) expect(() => toleranceFactor(n)).toThrow(RangeError);
    for (const share of [-0.1, 0, 1, 1.1, NaN]) {
      expect(() => toleranceFactor(5, share, 0.9)).toThrow(/between 0 and 1/);
      expect(() => toleranceFactor(5, 0.9, share)).toThrow(/between 0 and 1/);
    }
  });
});

describe('noncentralTCdf', () => {
  it('is the central t without noncentrality: t(0.975; 4) = 2.776 (e-Handbook, 1.3.6.7.2)', () => {
    expect(noncentralTCdf(2.776, 4, 0)).toBeCloseTo(0.975, 4);
    expect(noncentralTCdf(0, 9, 0)).toBeCloseTo(0.5, 9);
  });

  it('at zero is the normal tail of the noncentrality', () => {
    // P(T ≤ 0) = Φ(−δ) whatever the degrees of freedom; Φ(−1.2) = 0.1151 (normal table).
    expect(noncentralTCdf(0, 5, 1.2)).toBeCloseTo(0.1151, 4);
  });
});
