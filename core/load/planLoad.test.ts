import { normalDeviate, seededRandom } from '../../instruments/random';
import type { Known } from '../provenance/source';
import { planLoad, type CounterToPlan, type ReelToPlan, type SegmentToPlan } from './planLoad';

const known = (value: number, sd: number): Known => ({ value, sd, source: 'measured' });
const REEL: ReelToPlan = {
  arborDiameterM: known(0.0314, 0.0002),
  widthM: known(0.0286, 0.0002),
  fullDiameterM: known(0.0618, 0.0002),
};
const COUNTER: CounterToPlan = { lengthPerTurnM: known(0.174, 0.002), unitM: 1, digits: 3, display: 'rounds' };
const segment = (id: string, lengthM: number | null, diameterM: number, wound = true): SegmentToPlan => ({
  id,
  name: id,
  lineDiameterM: known(diameterM, diameterM * 0.03),
  packing: known(0.66, 0.035),
  lengthM: lengthM === null ? null : known(lengthM, lengthM * 0.003),
  wound,
});
const STACK = [segment('Backing', null, 0.00045), segment('Lead', 27.4, 0.00076), segment('Top', 60, 0.00033)];

describe('planLoad', () => {
  it('ends at the level asked for, with every stop reading', () => {
    const plan = planLoad(REEL, STACK, COUNTER, 0.002);
    expect(plan.ok).toBe(true);
    if (!plan.ok) return;
    expect(plan.value.finalDiameterM.value).toBeCloseTo(0.0618 - 0.004, 12);
    expect(plan.value.solvedSegmentId).toBe('Backing');
    const [backing] = plan.value.segments;
    expect(backing?.stopReading).toBe(1000 - Math.round(backing?.counts?.value ?? NaN));
    expect(backing?.naiveStopReading).toBe(1000 - Math.round(backing?.lengthM.value ?? NaN));
    // Near the arbor a turn takes less line than the counter thinks: it runs ahead.
    expect(backing?.counts?.value).toBeGreaterThan((backing?.lengthM.value ?? NaN) * 1.15);
  });

  it('over-reads on an almost empty spool by 15 to 65 % (common practice, no source)', () => {
    const plan = planLoad(REEL, STACK, { ...COUNTER, lengthPerTurnM: known(Math.PI * 0.0595, 0) }, 0.002);
    if (!plan.ok) throw new Error(plan.reason);
    const [backing] = plan.value.segments;
    const over = (backing?.counts?.value ?? NaN) / (backing?.lengthM.value ?? NaN) - 1;
    expect(over).toBeGreaterThan(0.15);
    expect(over).toBeLessThan(0.65);
  });

  it('has a ± on the solved length that a Monte Carlo of the same errors confirms', () => {
    const plan = planLoad(REEL, STACK, COUNTER, 0.002);
    if (!plan.ok) throw new Error(plan.reason);
    const random = seededRandom(11);
    const jolt = (figure: Known): Known => known(figure.value + figure.sd * normalDeviate(random), 0);
    const lengths: number[] = [];
    for (let run = 0; run < 2000; run += 1) {
      const reel = {
        arborDiameterM: jolt(REEL.arborDiameterM),
        widthM: jolt(REEL.widthM),
        fullDiameterM: jolt(REEL.fullDiameterM),
      };
      const rows = STACK.map((row) => ({
        ...row,
        lineDiameterM: jolt(row.lineDiameterM),
        packing: jolt(row.packing),
        lengthM: row.lengthM && jolt(row.lengthM),
      }));
      const drawn = planLoad(reel, rows, null, 0.002);
      if (drawn.ok) lengths.push(drawn.value.segments[0]?.lengthM.value ?? NaN);
    }
    const mean = lengths.reduce((sum, value) => sum + value, 0) / lengths.length;
    const sd = Math.sqrt(lengths.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (lengths.length - 1));
    const stated = (plan.value.segments[0]?.lengthM.plusMinus ?? NaN) / 1.96;
    expect(stated / sd).toBeGreaterThan(0.93);
    expect(stated / sd).toBeLessThan(1.07);
  });

  it('gives turns and counts a ± for the length that the run sheet names, not for the solved one', () => {
    const plan = planLoad(REEL, STACK, COUNTER, 0.002);
    if (!plan.ok) throw new Error(plan.reason);
    const [backing] = plan.value.segments;
    const relative = (figure: { value: number; plusMinus: number } | null | undefined): number =>
      (figure?.plusMinus ?? NaN) / (figure?.value ?? NaN);
    expect(relative(backing?.lengthM)).toBeGreaterThan(0.15);
    expect(relative(backing?.turns)).toBeLessThan(0.05);
  });

  it('reckons the level when every length is given', () => {
    const plan = planLoad(REEL, [segment('Plain', 200, 0.0004)], COUNTER, 0.002);
    expect(plan).toMatchObject({ ok: true, value: { solvedSegmentId: null } });
    expect(plan.ok && plan.value.finalDiameterM.plusMinus).toBeGreaterThan(0);
  });

  it('leaves a hand-lined leader off the spool and out of the stop readings', () => {
    const plan = planLoad(REEL, [...STACK, segment('Leader', 6, 0.0006, false)], COUNTER, 0.002);
    if (!plan.ok) throw new Error(plan.reason);
    expect(plan.value.segments[3]).toMatchObject({ stopReading: null, naiveStopReading: null });
    expect(plan.value.finalDiameterM.value).toBeCloseTo(0.0578, 12);
  });

  it('gives the level a ± for the named lengths, which a Monte Carlo of the same errors confirms', () => {
    const plan = planLoad(REEL, STACK, null, 0.002);
    if (!plan.ok) throw new Error(plan.reason);
    const random = seededRandom(23);
    const jolt = (figure: Known): Known => known(figure.value + figure.sd * normalDeviate(random), 0);
    const levels: number[] = [];
    for (let run = 0; run < 1500; run += 1) {
      // The lengths that the run sheet names go on a reel, and as lines, that are a little other than believed.
      const named = STACK.map((row, index) => ({
        ...row,
        lineDiameterM: jolt(row.lineDiameterM),
        packing: jolt(row.packing),
        lengthM: known(plan.value.segments[index]?.lengthM.value ?? NaN, 0),
      }));
      const reel = {
        arborDiameterM: jolt(REEL.arborDiameterM),
        widthM: jolt(REEL.widthM),
        fullDiameterM: jolt(REEL.fullDiameterM),
      };
      const drawn = planLoad(reel, named, null, 0.002);
      if (drawn.ok) levels.push(drawn.value.levelBelowRimM.value);
    }
    const mean = levels.reduce((sum, value) => sum + value, 0) / levels.length;
    const sd = Math.sqrt(levels.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (levels.length - 1));
    const stated = plan.value.levelBelowRimM.plusMinus / 1.96;
    expect(plan.value.levelBelowRimM.value).toBeCloseTo(0.002, 9);
    // The known lengths' own 0.3 % is in the stated figure and not in the drawn ones.
    expect(stated / sd).toBeGreaterThan(0.92);
    expect(stated / sd).toBeLessThan(1.1);
  });

  it('lets segments of one line share its error', () => {
    const two = (lineId: string | undefined): number => {
      const halves = ['a', 'b'].map((id) => ({ ...segment(id, 100, 0.0004), ...(lineId ? { lineId } : {}) }));
      const plan = planLoad(REEL, halves, null, 0.002);
      return plan.ok ? plan.value.levelBelowRimM.plusMinus : NaN;
    };
    // Two halves of one line err together; of two lines they partly cancel.
    expect(two('nylon')).toBeGreaterThan(1.25 * two(undefined));
  });

  it('takes errors that are known together: bulk against arbor leaves the level all but certain', () => {
    const rows = [{ ...segment('Plain', 250, 0.0004), lineId: 'nylon' }];
    const joint = (correlation: number) => ({
      keys: ['arborDiameterM', 'nylon'],
      relativeSds: [0.05, 0.06],
      correlation: [
        [1, correlation],
        [correlation, 1],
      ],
    });
    const plusMinus = (correlation: number): number => {
      const plan = planLoad(REEL, rows, null, 0.002, joint(correlation));
      return plan.ok ? plan.value.levelBelowRimM.plusMinus : NaN;
    };
    expect(plusMinus(-0.99)).toBeLessThan(0.5 * plusMinus(0));
    expect(plusMinus(0.99)).toBeGreaterThan(plusMinus(0));
  });

  it('has no readings without a counter, and says what does not fit', () => {
    const plan = planLoad(REEL, STACK, null, 0.002);
    expect(plan.ok && plan.value.segments.every((row) => row.counts === null && row.stopReading === null)).toBe(true);
    expect(planLoad(REEL, [segment('Backing', null, 0.0004), segment('Lead', 200, 0.0009)], null, 0.002)).toMatchObject(
      {
        ok: false,
        reason: 'does-not-fit',
      },
    );
  });

  it('ends the backing at its own mark, and what lies above it adds nothing to that length’s ±', () => {
    const mark = known(0.048, 0.0002);
    const plan = planLoad(REEL, STACK, null, 0.002, null, mark);
    if (!plan.ok) throw new Error(plan.reason);
    const [backing] = plan.value.segments;
    expect(backing?.diameterAfterM.value).toBeCloseTo(0.048, 12);
    // By hand: V/a, with V the ring between arbor and mark.
    const areaM2 = ((Math.PI / 4) * 0.00045 ** 2) / 0.66;
    expect(backing?.lengthM.value).toBeCloseTo(((Math.PI / 4) * (0.048 ** 2 - 0.0314 ** 2) * 0.0286) / areaM2, 6);
    const vague = STACK.map((row, index) => (index === 0 ? row : { ...row, packing: known(0.66, 0.1) }));
    const same = planLoad(REEL, vague, null, 0.002, null, mark);
    expect(same.ok && same.value.segments[0]?.lengthM.plusMinus).toBeCloseTo(backing?.lengthM.plusMinus ?? NaN, 9);
    expect(same.ok && same.value.levelBelowRimM.plusMinus).toBeGreaterThan(plan.value.levelBelowRimM.plusMinus);
  });
});
