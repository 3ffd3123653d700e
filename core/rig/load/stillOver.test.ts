import { woundRig } from '../../../tests/rigFixture';
import { stillOver } from './stillOver';

const target = { kind: 'below-rim' as const, levelBelowRimM: 0.002 };

function withLost(...lostM: number[]) {
  const { load } = woundRig({
    changes: lostM.map((lost, index) => ({
      id: `c${index}`,
      segmentId: 's2',
      changeM: -lost,
      reason: 'lost',
      note: '',
      at: '2026-03-02T10:00:00.000Z',
    })),
  });
  if (!load) throw new Error('the fixture is not loaded');
  return load;
}

it('counts down what is still to go of a fill over on purpose, in leader knots where they have a length', () => {
  const fill = { target, soonGoneM: 6, perKnotM: 1.5 };
  expect(stillOver({ fill }, withLost())).toEqual({ leftM: 6, knots: 4 });
  expect(stillOver({ fill }, withLost(1.5, 1.5))).toEqual({ leftM: 3, knots: 2 });
  expect(stillOver({ fill: { ...fill, perKnotM: null } }, withLost(1))).toEqual({ leftM: 5, knots: null });
  expect(stillOver({ fill }, withLost(4, 3))).toBeNull();
  expect(stillOver({ fill: { ...fill, soonGoneM: 0 } }, withLost())).toBeNull();
  expect(stillOver({ fill: null }, withLost())).toBeNull();
});
