import { parseQuantity } from './parseQuantity';

const LENGTHS = { min: 0.05, max: 5000 };

describe('parseQuantity', () => {
  it.each([
    ['45', 'm', 45],
    ['45 m', 'ft', 45],
    ['100 ft', 'm', 30.48],
    ['100ft', 'm', 30.48],
    ["100'", 'm', 30.48],
    ['6,5', 'm', 6.5],
    ['.5 yd', 'm', 0.4572],
    ['10 Yards', 'm', 9.144],
    ['300 mm', 'm', 0.3],
  ])('reads %p under %s', (text, unit, metres) => {
    const read = parseQuantity(text, 'length', unit, LENGTHS);
    expect(read).toEqual({ ok: true, value: expect.closeTo(metres, 10) });
  });

  it('reads forces in pounds, kilograms and newtons', () => {
    const limits = { min: 0.05, max: 5000 };
    expect(parseQuantity('6 lb', 'force', 'kg', limits)).toMatchObject({ value: expect.closeTo(26.689, 3) });
    expect(parseQuantity('2 kg', 'force', 'lb', limits)).toMatchObject({ value: expect.closeTo(19.613, 3) });
    expect(parseQuantity('25 n', 'force', 'lb', limits)).toMatchObject({ value: 25 });
  });

  it.each([
    ['', 'nothing-typed'],
    ['twelve', 'not-a-quantity'],
    ['12 m 3', 'not-a-quantity'],
    ['1.2.3', 'not-a-quantity'],
    ['NaN', 'not-a-quantity'],
    ['Infinity', 'not-a-quantity'],
    ['1e5', 'not-a-quantity'],
    ['12 kg', 'unknown-unit'],
    ['-4', 'too-small'],
    ['0', 'too-small'],
    ['40000', 'too-large'],
    ['40 km', 'unknown-unit'],
  ])('refuses %p: %s', (text, reason) => {
    const read = parseQuantity(text, 'length', 'm', LENGTHS);
    expect(read).toMatchObject({ ok: false, reason });
  });

  it('names the units that can be used', () => {
    const read = parseQuantity('12 kg', 'length', 'm', LENGTHS);
    expect(!read.ok && read.figures).toMatchObject({
      typed: 'kg',
      units: expect.arrayContaining(['m', 'ft', 'yd']) as string[],
    });
  });
});
