import { drillTrend, nextPace, type DrillDone } from './drillTrend';

const drill = (day: number, secondsAStroke: number, mistakes: number, hour = 9): DrillDone => ({
  ...{ strokes: 50, seconds: 50 * secondsAStroke, mistakes },
  at: new Date(Date.UTC(2026, 2, 1 + day, hour)).toISOString(),
});

describe('the trend of drills', () => {
  it('is told from the third day on, each day once', () => {
    expect(drillTrend([])).toEqual({ days: 0, pace: null, mistakes: null });
    // Four drills on two days: two points tell no scatter.
    expect(drillTrend([drill(0, 3, 4), drill(0, 3, 4, 11), drill(1, 2, 1), drill(1, 2, 1, 12)]).pace).toBeNull();
    const { days, pace, mistakes } = drillTrend([0, 1, 2, 3].map((day) => drill(day, 3 * 0.95 ** day, 8 - 2 * day)));
    expect(days).toBe(4);
    expect(pace?.perDay).toBeCloseTo(Math.log(0.95), 9);
    expect(pace?.plusMinus).toBeCloseTo(0, 9);
    // Two fewer mistakes in fifty strokes are four fewer in a hundred.
    expect(mistakes?.perDay).toBeCloseTo(-4, 9);
  });

  it('has the ± of Student’s interval of a slope', () => {
    // x 0, 1, 2, y ln 2, ln 2 + 0.3, ln 2: slope 0, residuals −0.1, 0.2, −0.1; t of one degree is 12.706.
    const up = Math.exp(0.3);
    const { pace } = drillTrend([drill(0, 2, 0), drill(1, 2 * up, 0), drill(2, 2, 0)]);
    expect(pace?.perDay).toBeCloseTo(0, 9);
    expect(pace?.plusMinus).toBeCloseTo(12.706 * Math.sqrt(0.06 / 2), 3);
  });

  it('goes by the median of a day, and by days that lie apart', () => {
    const { pace } = drillTrend([
      drill(0, 3, 0),
      drill(10, 9, 0),
      drill(10, 2, 0, 10),
      drill(10, 2, 0, 11),
      drill(20, 4 / 3, 0),
    ]);
    expect(pace?.perDay).toBeCloseTo(Math.log(2 / 3) / 10, 6);
  });
});

describe('the pace to count at', () => {
  it('is raised only when the last drill was clean', () => {
    expect(nextPace([])).toEqual({ seconds: 2.5, because: 'no-drill' });
    expect(nextPace([drill(0, 3, 0)])).toEqual({ seconds: expect.closeTo(2.7, 9), because: 'clean' });
    expect(nextPace([drill(0, 2, 0), drill(1, 3, 1)])).toEqual({
      seconds: expect.closeTo(3.3, 9),
      because: 'mistakes',
    });
    expect(nextPace([drill(0, 0.5, 0)]).seconds).toBe(0.6);
    expect(nextPace([drill(0, 60, 3)]).seconds).toBe(8);
  });
});
