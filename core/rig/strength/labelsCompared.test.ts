import { pulls, woundRig } from '../../../tests/rigFixture';
import { labelsCompared } from './labelsCompared';
import type { RigRecord } from '../../record/record';
import { countedPullsN } from './strengthOfRig';

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

  it('hold the thicknesses against each other too', () => {
    const rig = withTwin([140, 142, 141, 140, 142, 141, 141, 140]);
    expect(labelsCompared(rig)[0]?.thickness).toEqual({ ratio: 1, canBeSame: true });
    const thicker = rig.products.map((product) =>
      product.id === 'twin' ? { ...product, diameterM: { ...product.diameterM, value: 0.00054 } } : product,
    );
    expect(labelsCompared({ ...rig, products: thicker })[0]?.thickness.canBeSame).toBe(false);
  });

  it('take wet pulls alone where there are three of them', () => {
    const rig = withTwin([140, 142, 141]);
    const wet = { ...pulls('twin', [120, 121, 122]), id: 'wet', condition: 'soaked' as const };
    expect(countedPullsN({ ...rig, strengthTests: [...rig.strengthTests, wet] }, 'twin')).toEqual([120, 121, 122]);
  });

  it('take the pulls of a line wherever they were made', () => {
    const rig = withTwin([140, 142, 141]);
    const again = { ...rig, strengthTests: [...rig.strengthTests, { ...pulls('twin', [139]), id: 'later' }] };
    expect(countedPullsN(again, 'twin')).toEqual([140, 142, 141, 139]);
    expect(countedPullsN(again, 'nothing')).toEqual([]);
  });
});
