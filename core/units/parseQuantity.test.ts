import { parseQuantity, saysColours } from './parseQuantity';

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
    // NIST SP 811: a yard is 0.9144 m; a colour is ten of them (common practice).
    ['10 colours', 'm', 91.44],
    ['2 1/2 colours', 'ft', 22.86],
    ['2½ col.', 'm', 22.86],
    ['1/2 colour', 'm', 4.572],
    ['5 1/4 ft', 'm', 1.6002],
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
    ['1/0', 'not-a-quantity'],
    ['2.5 1/2', 'not-a-quantity'],
    ['-1 1/2', 'not-a-quantity'],
    ['half a colour', 'not-a-quantity'],
    ['2000 colours', 'too-large'],
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

describe('a length in colours', () => {
  it('goes by the colour of the line at hand, and is none of a force or a diameter', () => {
    expect(parseQuantity('3 colours', 'length', 'm', LENGTHS, 10)).toEqual({ ok: true, value: 30 });
    expect(parseQuantity('3 colours', 'force', 'kg', LENGTHS)).toMatchObject({ reason: 'unknown-unit' });
    expect(parseQuantity('3 colours', 'smallLength', 'mm', LENGTHS)).toMatchObject({ reason: 'unknown-unit' });
  });

  it('is told from others', () => {
    expect(['10 colours', '2½ col', '1/2 color.'].every(saysColours)).toBe(true);
    expect(['10 m', 'colours', '', '10'].some(saysColours)).toBe(false);
  });
});
