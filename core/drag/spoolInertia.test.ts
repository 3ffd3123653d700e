import { inertiaOf, spoolMassKg } from './spoolInertia';

describe('the inertia of a spool with its line', () => {
  it('is that of a thick-walled cylinder and a disc: ½ m (r₁² + r₂²) and ½ m r² (handbook of mechanics)', () => {
    // 50 g of line between 15 and 30 mm: 2.8125e-5. The spool of 60 mm weighs 140.5 g: 6.321e-5.
    expect(spoolMassKg(0.03)).toBeCloseTo(0.14048, 5);
    expect(inertiaOf(0.015, 0.03, 5e-5)).toBeCloseTo(2.8125e-5 + 6.3215e-5, 8);
    expect(inertiaOf(0.015, 0.03, 0)).toBeCloseTo(6.3215e-5, 8);
  });

  it('is what thin shells of line come to, one by one', () => {
    const [inner, full, volume] = [0.0157, 0.0309, 4.2e-5];
    const shells = 20_000;
    let sum = 0;
    for (let shell = 0; shell < shells; shell += 1) {
      const [from, to] = [shell, shell + 1].map((at) => inner + ((full - inner) * at) / shells) as [number, number];
      const massKg = (1000 * volume * (to ** 2 - from ** 2)) / (full ** 2 - inner ** 2);
      sum += massKg * ((from + to) / 2) ** 2;
    }
    expect(inertiaOf(inner, full, volume) - inertiaOf(inner, full, 0)).toBeCloseTo(sum, 10);
  });

  it('throws where there is no spool, or less than no line', () => {
    expect(() => inertiaOf(0, 0.03, 1e-5)).toThrow(/inertiaOf: innerRadiusM/);
    expect(() => inertiaOf(0.01, NaN, 1e-5)).toThrow(/fullRadiusM/);
    expect(() => inertiaOf(0.01, 0.03, -1e-9)).toThrow(/lineM3/);
  });
});
