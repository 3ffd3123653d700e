import { twinName } from './twinName';

it('turns the side of the boat round', () => {
  expect(twinName('Copper rod, starboard twin')).toBe('Copper rod, port twin');
  expect(twinName('Port long')).toBe('Starboard long');
});

it('calls a rig without a side the second one', () => {
  expect(twinName('Support rod')).toBe('Support rod, second');
  expect(twinName('x'.repeat(80))).toHaveLength(80);
});
