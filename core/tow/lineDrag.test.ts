import { cylinderDrag, lineDrag, USUAL_DRAG } from './lineDrag';
import { AIR, waterOf } from './medium';

describe('drag of a cylinder across the flow', () => {
  // Sucker and Brauer 1975 (a fit through measured cylinders, from memory): 1.18 + 6.8/Re^0.89 + 1.96/Re^0.5 − 0.0004·Re/(1 + 3.64e-7·Re²).
  const handbook = (re: number): number =>
    1.18 + 6.8 / re ** 0.89 + 1.96 / re ** 0.5 - (0.0004 * re) / (1 + 3.64e-7 * re ** 2);

  test.each([1, 2, 5, 10, 20, 35, 50, 100, 200, 400, 10_000, 30_000, 100_000])(
    'is within 15 %% of measured cylinders at Re %d',
    (re) => expect(Math.abs(cylinderDrag(re) / handbook(re) - 1)).toBeLessThan(0.15),
  );

  test('is high by a third at most between them, which the ± carries', () => {
    const over = [500, 800, 1200, 1600, 2500, 5000, 9000].map((re) => cylinderDrag(re) / handbook(re) - 1);
    expect(Math.max(...over)).toBeLessThan(0.34);
    expect(Math.max(...over)).toBeGreaterThan(0.28);
    expect(Math.min(...over)).toBeGreaterThan(0);
  });

  test('has no jump anywhere', () => {
    for (let ln = Math.log(0.01); ln < Math.log(1e5); ln += 0.001)
      expect(Math.abs(cylinderDrag(Math.exp(ln + 0.001)) / cylinderDrag(Math.exp(ln)) - 1)).toBeLessThan(0.003);
  });

  test('creeping flow: within a twentieth of Lamb’s first term at Re 0.1 (8π ÷ (Re·(ln(8/Re) − γ + ½)))', () => {
    const lamb = (8 * Math.PI) / (0.1 * (Math.log(80) - 0.5772156649 + 0.5));
    expect(Math.abs(cylinderDrag(0.1) / lamb - 1)).toBeLessThan(0.06);
  });
});

describe('forces on a metre of line', () => {
  const water = { densityKgM3: 1000, kinematicViscosityM2S: 1e-6 };

  test('by constants, by hand: 1 mm across 1 m/s is ½·1000·0.001·1.2 N, along it ½·1000·0.001·π·0.01', () => {
    const drag = lineDrag(0.001, 1, water, { law: 'constant', ...USUAL_DRAG, humFactor: 1.5 });
    expect(drag(1, 0).across).toBeCloseTo(0.6 * 1.5, 12);
    expect(drag(0, 1).along).toBeCloseTo(0.5 * Math.PI * 0.01, 12);
    expect(drag(-0.5, 0.8).across).toBeCloseTo(-0.6 * 1.5 * 0.25, 12);
  });

  test('by the Reynolds number: no force across without flow across, and a skin that turns with the flow', () => {
    const drag = lineDrag(0.0005, 1, water, { law: 'reynolds', ...USUAL_DRAG, humFactor: 1.2 });
    expect(drag(0, 1).across).toBe(0);
    // Along it the floor: ½ρδπ·0.005·V².
    expect(drag(0, 1).along).toBeCloseTo(0.5 * 1000 * 0.0005 * Math.PI * 0.005, 12);
    expect(drag(0.1, -1).along).toBeLessThan(0);
    // Re 100 across at 0.2 of 1 m/s on 0.5 mm: Cn 1.5.
    expect(drag(0.2, 0.98).across).toBeCloseTo(0.5 * 1000 * 0.0005 * 1.5 * 1.2 * 0.04, 12);
  });
});

describe('water', () => {
  // IAPWS and ITTC 7.5-02-01-03 tables: fresh 999.1 kg/m³ and 1.1386e-6 m²/s at 15 °C, 1.3063e-6 at 10 °C, 1.0034e-6 at 20 °C;
  // sea water 1026.0 kg/m³ and 1.1892e-6 at 15 °C, 1.3620e-6 at 10 °C.
  test.each([
    ['fresh', 10, 999.7, 1.3063e-6],
    ['fresh', 15, 999.1, 1.1386e-6],
    ['fresh', 20, 998.2, 1.0034e-6],
    ['salt', 10, 1026.9, 1.362e-6],
    ['salt', 15, 1026.0, 1.1892e-6],
  ] as const)('%s at %d °C is as heavy and as thick as tables say', (kind, celsius, density, viscosity) => {
    const water = waterOf(kind, celsius);
    expect(Math.abs(water.densityKgM3 / density - 1)).toBeLessThan(0.001);
    expect(Math.abs(water.kinematicViscosityM2S / viscosity - 1)).toBeLessThan(0.015);
  });

  test('of no temperature that is fished is refused', () => {
    expect(() => waterOf('salt', 55)).toThrow('55 °C');
    expect(AIR.densityKgM3).toBe(1.2);
  });
});
