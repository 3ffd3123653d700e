import { pulls, woundRig } from '../../tests/rigFixture';
import { labelsCompared, pullsOf } from './labelsCompared';
import type { RigRecord } from './record';

/** Two nylons beside each other: the fixture's own, and one that may be the same under another label. */
function withTwin(twinN: readonly number[], label = 140): RigRecord {
  const rig = woundRig();
  const nylon = rig.products.find((product) => product.id === 'nylon');
  if (!nylon) throw new Error('the fixture has a nylon');
  const twin = { ...nylon, id: 'twin', name: 'twin line', labelStrengthN: label };
  return {
    ...rig,
    products: [...rig.products, twin],
    strengthTests: [pulls('nylon', [140, 141, 142, 140, 141, 142, 140, 141]), pulls('twin', twinN)],
  };
}

describe('labels compared', () => {
  it('find one line under two labels', () => {
    const [pair] = labelsCompared(withTwin([140, 142, 141, 140, 142, 141, 141, 140]));
    expect(pair).toMatchObject({
      first: { id: 'nylon' },
      second: { id: 'twin' },
      found: { verdict: 'same' },
      labelsDiffer: true,
    });
  });

  it('do not call two lines one that differ, nor say anything of two pulls', () => {
    expect(labelsCompared(withTwin([170, 171, 172, 170, 171, 172]))).toEqual([]);
    expect(labelsCompared(withTwin([140, 142]))).toEqual([]);
  });

  it('say that a few scattered pulls do not tell, and what would', () => {
    const [pair] = labelsCompared(withTwin([130, 141, 152], 103));
    expect(pair).toMatchObject({ found: { verdict: 'not enough pulls to tell' }, labelsDiffer: false });
    expect(pair?.found.pullsNeeded).toBeGreaterThan(3);
  });

  it('take the pulls of a line wherever they were made', () => {
    const rig = withTwin([140, 142, 141]);
    const again = { ...rig, strengthTests: [...rig.strengthTests, { ...pulls('twin', [139]), id: 'later' }] };
    expect(pullsOf(again, 'twin')).toEqual([140, 142, 141, 139]);
    expect(pullsOf(again, 'nothing')).toEqual([]);
  });
});
