import { parseRating, ratingsIn } from './parseRating';

describe('parseRating', () => {
  it('reads thickness and length in whatever units stand there', () => {
    expect(parseRating('0.40 mm / 300 m')).toMatchObject({
      ok: true,
      value: { lineDiameterM: 0.0004, lengthM: 300, ofStrengthN: null, label: '0.40 mm / 300 m' },
    });
    expect(parseRating('0,35/380')).toMatchObject({ value: { lineDiameterM: 0.00035, lengthM: 380 } });
    // NIST SP 811: one yard is 0.9144 m, one inch 25.4 mm.
    expect(parseRating('.016 in / 250 yd')).toMatchObject({
      value: { lineDiameterM: expect.closeTo(0.0004064, 9) as number, lengthM: expect.closeTo(228.6, 6) as number },
    });
  });

  it('guesses the thickness of a strength, and says so', () => {
    const rating = parseRating('20 lb / 250 yd');
    expect(rating).toMatchObject({ ok: true, value: { ofStrengthN: expect.closeTo(88.96, 2) as number } });
    expect(rating.ok && rating.value.lineDiameterM).toBeGreaterThan(0.0003);
  });

  it.each(['', '0.40 mm', 'thick / 300 m', '0.40 mm / far', '40 mm / 300 m', '1/2/3'])(
    'refuses %j, and says which part',
    (text) => {
      const rating = parseRating(text);
      expect(rating.ok).toBe(false);
      expect(!rating.ok && rating.reason).toMatch(/^rating-.*unreadable$/);
    },
  );

  // As they stand on boxes (common practice, no source): strength and yards, metres and millimetres, in either order.
  it.each([
    ['20/350', '20 lb / 350 yd'],
    ['350/20', '20 lb / 350 yd'],
    ['yd/lb: 350/20', '20 lb / 350 yd'],
    ['20 lb/350', '20 lb / 350 yd'],
    ['10 kg/300', '10 kg / 300 m'],
    ['20/350 m', '20 lb / 350 m'],
    ['300m/0.40mm', '0.40 mm / 300 m'],
    ['m/mm 300/0.40', '0.40 mm / 300 m'],
    ['300/0,40', '0.40 mm / 300 m'],
    ['0.016 in / 250', '0.016 in / 250 yd'],
  ])('reads %j as %j', (typed, meant) => {
    const [one, other] = [parseRating(typed), parseRating(meant)];
    if (!one.ok || !other.ok) throw new Error(`${typed} is not read`);
    expect({ ...one.value, label: '' }).toEqual({ ...other.value, label: '' });
  });
});

describe('a list of capacities', () => {
  it.each([
    ['20/350, 30/240, 40/170', ['20/350', '30/240', '40/170']],
    ['20/350,30/240', ['20/350', '30/240']],
    ['0,35/380, 0,40/300', ['0,35/380', '0,40/300']],
    ['0.35 mm / 380 m; 0.40 mm / 300 m', ['0.35 mm / 380 m', '0.40 mm / 300 m']],
    ['20/350', ['20/350']],
    [' ', []],
  ])('%j has %j', (typed, pieces) => {
    expect(ratingsIn(typed)).toEqual(pieces);
  });
});
