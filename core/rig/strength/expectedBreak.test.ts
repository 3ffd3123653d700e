import { pulls, woundRig } from '../../../tests/rigFixture';
import { expectedBreak, familyPattern } from './expectedBreak';
import type { LineProductRecord, RigRecord } from '../../record/record';
import { pooledCvOf, productStrength } from './strengthOfRig';

const rig = woundRig();
const nylon = rig.products.find((product) => product.id === 'nylon') as LineProductRecord;
const sizes = [50, 100, 200, 400].map((labelN): LineProductRecord => ({
  ...nylon,
  id: `n${labelN}`,
  name: `nylon ${labelN}`,
  labelStrengthN: labelN,
  family: 'plain',
}));
const withTests = (...strengthTests: RigRecord['strengthTests'][number][]) => ({ products: sizes, strengthTests });
const size = (labelN: number) => sizes.find((each) => each.labelStrengthN === labelN) as LineProductRecord;

describe('what a line should break at, before it is pulled', () => {
  it('is what plain nylon of its label commonly holds, until there is something of its own', () => {
    const expected = expectedBreak(withTests(), size(50));
    expect(expected).toMatchObject({ valueN: { source: 'default' } });
    expect(expected?.valueN.value).toBeCloseTo(75, 9);
    const braid = { ...nylon, id: 'braid', material: 'braid' as const, labelStrengthN: 90 };
    expect(expectedBreak({ products: [braid], strengthTests: [] }, braid)).toMatchObject({
      valueN: { value: 90, source: 'label' },
    });
    expect(
      expectedBreak(
        { products: [{ ...braid, labelStrengthN: null }], strengthTests: [] },
        { ...braid, labelStrengthN: null },
      ),
    ).toBeNull();
  });

  it('follows the pattern of its family from two tested sizes on, then its own pulls', () => {
    const tested = withTests(pulls('n50', [70, 71, 69]), pulls('n400', [441, 440, 439]));
    expect(familyPattern(tested, 'plain')?.sizes).toHaveLength(2);
    expect(familyPattern(tested, '')).toBeNull();
    const between = expectedBreak(tested, size(200));
    expect(between).toMatchObject({ valueN: { source: 'learned' } });
    expect(between?.valueN.value).toBeGreaterThan(220);
    expect(between?.valueN.value).toBeLessThan(280);
    expect(expectedBreak(tested, size(50))).toMatchObject({ valueN: { value: 70, source: 'measured' } });
  });
});

describe('scatter lent by other lines of a material', () => {
  it('gives two pulls a bound, and says that it is lent', () => {
    const tested = withTests(pulls('n50', [70, 72, 68, 71, 69]), pulls('n100', [120, 121]));
    const cv = productStrength(tested, 'n50').summary?.cv ?? NaN;
    expect(pooledCvOf(tested, 'n100')).toEqual({ cv: expect.closeTo(cv, 12) as number, degrees: 4 });
    expect(productStrength(tested, 'n100').bound).toMatchObject({ ok: true, value: { spread: 'pooled' } });
    expect(productStrength(withTests(pulls('n100', [120, 121])), 'n100').bound).toMatchObject({ reason: 'too-few' });
  });
});
