import { parseRating } from './parseRating';

describe('parseRating', () => {
  it('reads thickness and length in whatever units stand there', () => {
    expect(parseRating('0.40 mm / 300 m')).toMatchObject({
      ok: true,
      value: { lineDiameterM: 0.0004, lengthM: 300, thicknessGuessed: false, label: '0.40 mm / 300 m' },
    });
    expect(parseRating('0,35/380')).toMatchObject({ value: { lineDiameterM: 0.00035, lengthM: 380 } });
    // NIST SP 811: one yard is 0.9144 m, one inch 25.4 mm.
    expect(parseRating('.016 in / 250 yd')).toMatchObject({
      value: { lineDiameterM: expect.closeTo(0.0004064, 9) as number, lengthM: expect.closeTo(228.6, 6) as number },
    });
  });

  it('guesses the thickness of a strength, and says so', () => {
    const rating = parseRating('20 lb / 250 yd');
    expect(rating).toMatchObject({ ok: true, value: { thicknessGuessed: true } });
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
});
