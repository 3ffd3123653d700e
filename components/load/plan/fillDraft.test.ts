import { NEW_FILL, rangeOf, soonGoneOf, targetOf } from './fillDraft';

const RIM_M = 0.0618;

describe('a fill as it is typed', () => {
  it('starts just under the rim, at a default that can be named', () => {
    expect(targetOf(NEW_FILL, RIM_M)).toEqual({ kind: 'below-rim', levelBelowRimM: 0.002 });
  });

  it('reads every way of saying it, in any unit', () => {
    expect(targetOf({ ...NEW_FILL, level: { text: '0.1 in', unit: 'mm' } }, RIM_M)).toEqual({
      kind: 'below-rim',
      levelBelowRimM: expect.closeTo(0.00254, 9),
    });
    expect(targetOf({ ...NEW_FILL, kind: 'depth-share', sharePercent: '87,5' }, RIM_M)).toEqual({
      kind: 'depth-share',
      share: 0.875,
    });
    expect(targetOf({ ...NEW_FILL, kind: 'mark' }, RIM_M)).toEqual({ kind: 'mark', diameterM: RIM_M });
    expect(targetOf({ ...NEW_FILL, kind: 'counter-true', to: { text: '200 ft', unit: 'm' } }, RIM_M)).toEqual({
      kind: 'counter-true',
      fromM: 18.288,
      toM: expect.closeTo(60.96, 9),
    });
  });

  it.each([
    ['a level that is no number', { level: { text: 'two', unit: 'mm' } }],
    ['an emptied level', { level: { text: '', unit: 'mm' } }],
    ['a share of nothing', { kind: 'depth-share' as const, sharePercent: '0' }],
    ['twice the depth', { kind: 'depth-share' as const, sharePercent: '200' }],
    ['a range that ends before it starts', { kind: 'counter-true' as const, to: { text: '5', unit: 'm' } }],
  ])('names no target for %s', (_, change) => {
    expect(targetOf({ ...NEW_FILL, ...change }, RIM_M)).toBeNull();
  });

  it('has a working range, the usual one until another is typed, and metres that will soon be gone', () => {
    expect(rangeOf(NEW_FILL)).toEqual({ fromM: 18.288, toM: 76.2 });
    const metres = (text: string) => ({ text, unit: 'm' });
    expect(rangeOf({ ...NEW_FILL, from: metres('30'), to: metres('90') })).toEqual({ fromM: 30, toM: 90 });
    expect(rangeOf({ ...NEW_FILL, from: metres('80') })).toEqual({ fromM: 18.288, toM: 76.2 });
    expect(soonGoneOf(NEW_FILL)).toBe(0);
    expect(soonGoneOf({ ...NEW_FILL, soonGone: metres('6') })).toBe(6);
    expect(soonGoneOf({ ...NEW_FILL, soonGone: metres('-6') })).toBeNull();
  });
});
