import type { StrengthPlace } from './rigStrength';
import { strengthAlong } from './strengthAlong';

const place = (
  kind: StrengthPlace['kind'],
  fromHookM: number,
  toHookM: number,
  valueN: number,
  boundN: number | null,
): StrengthPlace => ({
  kind,
  id: `${kind} ${fromHookM} ${valueN}`,
  name: 'a place',
  fromHookM,
  toHookM,
  strengthN: { value: valueN, sd: valueN / 10, source: 'measured' },
  boundN,
});

// Worked by hand: a leader of 10 m, two structures where it meets a line of 90 m, and the arbor's join.
const PLACES = [
  place('segment', 0, 10, 100, 80),
  place('join', 10, 10, 90, null),
  place('join', 10, 10, 70, 50),
  place('segment', 10, 100, 60, 55),
  place('join', 100, 100, 20, 10),
];

describe('what a rig holds along the line', () => {
  it('goes from the hook to the arbor in steps, without a gap and never back', () => {
    const steps = strengthAlong(PLACES, 1);
    expect(steps.map(({ fromHookM, toHookM }) => [fromHookM, toHookM])).toEqual([
      [0, 9],
      [9, 10],
      [10, 11],
      [11, 99],
      [99, 100],
    ]);
  });

  it('holds in each step what its weakest place holds', () => {
    expect(strengthAlong(PLACES, 1).map(({ strengthN }) => strengthN.value)).toEqual([100, 70, 60, 60, 20]);
  });

  it('has no bound where one of the places has none', () => {
    expect(strengthAlong(PLACES, 1).map(({ boundN }) => boundN)).toEqual([80, null, null, 55, 10]);
  });

  it('keeps a line that is shorter than a join is drawn', () => {
    const steps = strengthAlong([place('segment', 0, 0.5, 40, null), place('join', 0.5, 0.5, 30, null)], 1);
    expect(steps.map(({ fromHookM, toHookM, strengthN }) => [fromHookM, toHookM, strengthN.value])).toEqual([
      [0, 0.5, 30],
    ]);
  });
});
