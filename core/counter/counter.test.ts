import {
  countsForLine,
  countsWoundOn,
  lapsOf,
  naiveStopReading,
  shownReading,
  stopReading,
  turnsForCounts,
  type Counter,
} from './counter';

const turns = (count: number) => ({ turns: count, lengthM: NaN });

const FEET: Counter = { lengthPerTurnM: 0.2, unitM: 0.3048, digits: 3, display: 'rounds' };

describe('the figure that people subtract in their head', () => {
  // Common practice, no source: 80 ft → 920, 530 ft → 470, 60 ft → 940.
  it.each([
    [80, 920],
    [530, 470],
    [60, 940],
  ])('%d ft → %d', (feet, reading) => {
    expect(naiveStopReading(feet * 0.3048, FEET)).toBe(reading);
  });
});

describe('a counter', () => {
  it('turns counts into turns and back', () => {
    expect(countsForLine(turns(1000), FEET)).toBeCloseTo(656.168, 3);
    expect(turnsForCounts(countsForLine(turns(123.4), FEET), FEET)).toBeCloseTo(123.4, 10);
  });

  it('is driven by length where a roller drives it, whatever the spool’s turns', () => {
    const roller: Counter = { ...FEET, drive: 'roller', lengthPerTurnM: 1.03 };
    expect(countsForLine({ lengthM: 30.48, turns: 777 }, roller)).toBeCloseTo(103, 9);
    expect(stopReading({ lengthM: 30.48, turns: 777 }, roller)).toBe(897);
    expect(turnsForCounts(103, roller)).toBeCloseTo(30.48, 9);
  });

  it('rolls through zero both ways, and stops where the turns are', () => {
    expect(shownReading(0, FEET)).toBe(0);
    expect(shownReading(-1, FEET)).toBe(999);
    expect(shownReading(1003.2, FEET)).toBe(3);
    expect(shownReading(-2001, FEET)).toBe(999);
    expect(stopReading(turns(1000), FEET)).toBe(1000 - 656);
    expect(stopReading(turns(0), FEET)).toBe(0);
  });

  it('rounds or cuts off, as its display does', () => {
    expect(shownReading(92.7, FEET)).toBe(93);
    expect(shownReading(92.7, { ...FEET, display: 'truncates' })).toBe(92);
    expect(shownReading(92.7, { ...FEET, digits: 2 })).toBe(93);
    expect(shownReading(99.6, { ...FEET, digits: 2 })).toBe(0);
  });

  it('unwraps a noted reading by what was planned', () => {
    expect(countsWoundOn(920, FEET, 78)).toBe(80);
    expect(countsWoundOn(920, FEET, 1075)).toBe(1080);
    expect(countsWoundOn(0, FEET, 3)).toBe(0);
    expect(countsWoundOn(0, FEET, 998)).toBe(1000);
    expect(countsWoundOn(999, FEET, 0)).toBe(1);
  });

  it('throws without a constant', () => {
    expect(() => countsForLine(turns(1), { lengthPerTurnM: 0, unitM: 1 })).toThrow(/countsForLine/);
    expect(() => turnsForCounts(1, { lengthPerTurnM: 1, unitM: NaN })).toThrow(/turnsForCounts/);
  });
});

describe('lapsOf', () => {
  it('counts how often the display comes round to zero', () => {
    expect([0, 999, 999.6, 1208, 2001, 12_345].map((counts) => lapsOf(counts, { digits: 3 }))).toEqual([
      0, 0, 1, 1, 2, 12,
    ]);
    expect(lapsOf(1208, { digits: 4 })).toBe(0);
  });
});
