import { readTyped, shownText } from './typedQuantity';

const LIMITS = { min: 0.05, max: 5000 };

describe('what is typed', () => {
  it('stands as typed under its own unit and is converted under another', () => {
    const typed = { text: '45', unit: 'm' };
    expect(shownText(typed, null, 'length', 'm', LIMITS)).toBe('45');
    expect(shownText(typed, null, 'length', 'ft', LIMITS)).toBe('147.6');
    expect(readTyped(typed, null, 'length', LIMITS)).toEqual({ ok: true, value: 45 });
  });

  it('is not lost when it cannot be read', () => {
    const typed = { text: 'forty', unit: 'm' };
    expect(shownText(typed, 12, 'length', 'ft', LIMITS)).toBe('forty');
    expect(readTyped(typed, 12, 'length', LIMITS)).toMatchObject({ ok: false, reason: 'not-a-quantity' });
  });

  it('gives way to what stood there before when nothing was typed, but not when it was emptied', () => {
    expect(shownText(null, 30.48, 'length', 'ft', LIMITS)).toBe('100');
    expect(readTyped(null, 30.48, 'length', LIMITS)).toEqual({ ok: true, value: 30.48 });
    expect(readTyped({ text: ' ', unit: 'm' }, 30.48, 'length', LIMITS)).toEqual({ ok: true, value: null });
    expect(shownText(null, null, 'length', 'm', LIMITS)).toBe('');
  });
});
