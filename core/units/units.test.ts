import { fromSi, siPerUnit, toSi, unitsOf } from './units';

// Source of the factors: NIST SP 811 (2008), appendix B.8.
describe('conversion factors', () => {
  it.each([
    ['length', 'ft', 0.3048],
    ['length', 'yd', 0.9144],
    ['smallLength', 'in', 0.0254],
    ['force', 'lb', 4.4482216152605],
    ['force', 'kg', 9.80665],
  ] as const)('%s in %s', (quantity, unit, si) => {
    expect(siPerUnit(quantity, unit)).toBe(si);
    expect(toSi(quantity, 1, unit)).toBe(si);
  });

  it('makes a pound-force of a pound and standard gravity (lb = 0.453 592 37 kg)', () => {
    expect(toSi('force', 1, 'lb')).toBeCloseTo(0.45359237 * 9.80665, 12);
  });

  it('goes there and back for every unit', () => {
    for (const quantity of ['length', 'smallLength', 'force'] as const) {
      for (const unit of unitsOf(quantity))
        expect(fromSi(quantity, toSi(quantity, 12.5, unit), unit)).toBeCloseTo(12.5, 12);
    }
  });

  it('throws on a unit that a quantity does not have', () => {
    expect(() => toSi('length', 1, 'lb')).toThrow(/toSi: length has no unit lb/);
    expect(() => fromSi('force', 1, 'ft')).toThrow(/fromSi/);
    expect(siPerUnit('force', 'ft')).toBeUndefined();
  });
});
