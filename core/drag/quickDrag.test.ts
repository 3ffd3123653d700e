import { toSi } from '../units/units';
import { quickDrag, type QuickQuestion } from './quickDrag';

const lb = (value: number): number => toSi('force', value, 'lb');
const ASKED: QuickQuestion = {
  strengthN: { value: lb(6), sd: 0.2 * lb(6), source: 'label' },
  material: 'nylon',
  fraction: 0.25,
  rodAngleRad: Math.PI / 3,
  guides: null,
  makerLimitN: null,
};

describe('the drag in a hurry', () => {
  it('is 1.5 lb for 6 lb line at 25 % (common practice, no source), with the ± of a label', () => {
    const answer = quickDrag(ASKED);
    if (!answer.ok) throw new Error(answer.reason);
    const { targetN, straightN, guide, warnings, knotN } = answer.value;
    expect(targetN.value).toBeCloseTo(lb(1.5), 9);
    expect(targetN.plusMinus / targetN.value).toBeCloseTo(1.96 * 0.2, 9);
    expect(straightN.value).toBeCloseTo(lb(1.5) / guide.value, 9);
    expect(straightN.plusMinus / straightN.value).toBeGreaterThan(1.96 * 0.2);
    expect(knotN).toBeCloseTo(0.8 * lb(6), 9);
    expect(warnings).toEqual([]);
  });

  it('warns where a knot makes it more than a third, and refuses what no knot bears', () => {
    expect(quickDrag({ ...ASKED, fraction: 0.3 })).toMatchObject({ value: { warnings: ['high-fraction'] } });
    expect(quickDrag({ ...ASKED, fraction: 0.5 })).toMatchObject({ ok: false, reason: 'fraction-out-of-range' });
    expect(quickDrag({ ...ASKED, makerLimitN: lb(1) })).toMatchObject({ value: { limitedToN: lb(1) } });
  });
});
