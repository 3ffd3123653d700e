import { USUAL_MINUTES } from './measurement';
import { knownMinutes, minutesFor } from './minutes';

const took = (kind: 'walk' | 'level', ...minutes: readonly number[]) =>
  minutes.map((each) => ({ kind, seconds: 60 * each }));

describe('how long a measurement takes', () => {
  it('is as usual until the crew’s own log tells, by the median of three or more', () => {
    expect(minutesFor([])({ kind: 'walk' })).toBe(USUAL_MINUTES.walk);
    expect(minutesFor(knownMinutes({}, took('walk', 6, 7)))({ kind: 'walk' })).toBe(10);
    const known = knownMinutes({}, [...took('walk', 6, 25, 7), ...took('level', 2)]);
    expect(known).toEqual([{ kind: 'walk', minutes: 7, from: 'log' }]);
    expect(minutesFor(known)({ kind: 'walk' })).toBe(7);
  });

  it('is what they say, whatever the log has', () => {
    const known = knownMinutes({ walk: 15, level: 0 }, took('walk', 6, 7, 8));
    expect(minutesFor(known)({ kind: 'walk' })).toBe(15);
    // A time of nothing would make every gain endless.
    expect(minutesFor(known)({ kind: 'level' })).toBe(0.25);
  });
});
