import { unwrapReading } from './unwrapReading';

const three = { digits: 3 };

describe('unwrapReading', () => {
  it('takes what fits, and what the display must have started again for', () => {
    expect(unwrapReading(93, 100, three)).toMatchObject({ ok: true, value: 93 });
    expect(unwrapReading(48, 1040, three)).toMatchObject({ ok: true, value: 1048 });
    expect(unwrapReading(1048, 1040, three)).toMatchObject({ ok: true, value: 1048 });
  });

  it('offers both where both would do', () => {
    expect(unwrapReading(600, 1100, three)).toMatchObject({
      ok: false,
      reason: 'several-readings',
      figures: { wrap: 1000, readings: ['600', '1600'] },
    });
  });

  it('refuses what the digits cannot show, and what is off by a factor', () => {
    expect(unwrapReading(1048, 100, three)).toMatchObject({ ok: false, reason: 'beyond-digits' });
    expect(unwrapReading(10, 100, three)).toMatchObject({ ok: false, reason: 'off-by-a-factor' });
    expect(unwrapReading(328, 100, three)).toMatchObject({ ok: false, reason: 'off-by-a-factor' });
  });
});
