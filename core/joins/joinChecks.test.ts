import { joinEfficiencyOf, type JoinPull } from './joinEfficiency';
import { DEFAULT_EFFICIENCY_SD, JOIN_KINDS } from './joinKinds';
import { prepFigure } from './prepFigures';
import { judgeTension, readSeatingPull } from './readSeating';
import { readSlip } from './slipCheck';

describe('the seating pull by the scale', () => {
  const trace = (force: (timeS: number) => number) =>
    Array.from({ length: 200 }, (_, index) => ({ timeS: index / 40, forceN: force(index / 40) }));

  it('is what was held, not the jerk', () => {
    const read = readSeatingPull(trace((t) => (t < 2 ? 30 * t : t < 2.1 ? 90 : 60)));
    expect(read).toMatchObject({ ok: true, value: { heldN: 60, peakN: 90, isCreeping: false } });
  });

  it('shows creep: sinking, or dropping in steps', () => {
    expect(readSeatingPull(trace((t) => Math.min(30 * t, 60 - 4 * Math.max(0, t - 2))))).toMatchObject({
      value: { isCreeping: true },
    });
    expect(readSeatingPull(trace((t) => (t > 4 && t < 4.2 ? 45 : Math.min(30 * t, 60))))).toMatchObject({
      value: { isCreeping: true },
    });
  });

  it('is refused when nothing was pulled, or only for a moment', () => {
    expect(readSeatingPull(trace(() => 0))).toMatchObject({ ok: false, reason: 'no-pull-on-scale' });
    expect(readSeatingPull(trace((t) => t).slice(0, 40))).toMatchObject({ ok: false, reason: 'seating-too-short' });
  });
});

describe('the tension while plaiting', () => {
  it('has a band that grows with the braid, and a least that any braid needs', () => {
    const band = (strengthN: number) =>
      prepFigure('tension', {
        inner: null,
        outer: {
          name: 'b',
          material: 'braid',
          diameterM: 0.0003,
          strengthN: { value: strengthN, sd: 1, source: 'label' },
        },
        reel: { fullDiameterM: 0.06, widthM: 0.03, arborDiameterM: 0.03 },
      });
    const [thin, strong] = [band(60), band(400)];
    if (!thin || !strong) throw new Error('a band expected');
    expect(thin.least).toBe(3);
    expect(strong.least).toBeCloseTo(12);
    expect(['too loose', 'right', 'too tight']).toEqual([8, 20, 60].map((tensionN) => judgeTension(tensionN, strong)));
  });
});

describe('the slip check', () => {
  it('tells standing from bedding from slipping', () => {
    expect([0, 0.001, 0.003, 0.02].map((moved) => readSlip(moved).verdict)).toEqual([
      'holds',
      'holds',
      'bedding',
      'slips',
    ]);
    expect(() => readSlip(-1)).toThrow(RangeError);
    expect(() => readSlip(Number.NaN)).toThrow(RangeError);
  });
});

describe('a splice', () => {
  it('is buried at least 72 thicknesses deep, as hollow rope is (splicing rule, from memory)', () => {
    for (const diameterM of [0.0004, 0.0008, 0.0015, 0.003, 0.005]) {
      const bury = prepFigure('bury', {
        inner: { name: 'h', material: 'hollow braid', diameterM, strengthN: null },
        outer: { name: 'n', material: 'nylon', diameterM, strengthN: null },
        reel: { fullDiameterM: 0.06, widthM: 0.03, arborDiameterM: 0.03 },
      });
      expect(bury?.least).toBeGreaterThanOrEqual(72 * diameterM);
      // Schools of the trade say 8 to 12 in (common practice, no source).
      expect(bury?.least).toBeGreaterThanOrEqual(0.2);
    }
  });
});

describe('what a join keeps', () => {
  const at = (share: number, brokeAt: JoinPull['brokeAt'] = 'join'): JoinPull => ({
    peakN: 200 * share,
    weakerN: 200,
    brokeAt,
  });

  it('is the default of its kind, named as one, until three samples were broken', () => {
    const byDefault = { value: JOIN_KINDS['loop-splice'].efficiency, sd: DEFAULT_EFFICIENCY_SD, source: 'default' };
    expect(joinEfficiencyOf('loop-splice', [])).toEqual(byDefault);
    expect(joinEfficiencyOf('loop-splice', [at(0.5), at(0.52)])).toEqual(byDefault);
    // A break at a grip says only that the join holds so much.
    expect(joinEfficiencyOf('loop-splice', [at(0.5), at(0.52), at(0.3, 'grip')])).toEqual(byDefault);
  });

  it('is then the mean of its breaks, surer with every one', () => {
    const three = joinEfficiencyOf('loop-splice', [at(0.8), at(0.84), at(0.82)]);
    expect(three).toMatchObject({ source: 'measured' });
    expect(three.value).toBeCloseTo(0.82, 12);
    // t(0.975; 2) = 4.303 (e-Handbook, 1.3.6.7.2), SD 0.02, three breaks.
    expect(1.96 * three.sd).toBeCloseTo((4.303 * 0.02) / Math.sqrt(3), 4);
    const six = joinEfficiencyOf(
      'loop-splice',
      [0.8, 0.84, 0.82, 0.8, 0.84, 0.82].map((share) => at(share)),
    );
    expect(six.sd).toBeLessThan(three.sd);
    // The plain line gave first: the join held all the same.
    expect(joinEfficiencyOf('loop-splice', [at(1, 'line'), at(0.99, 'line'), at(1.01)]).value).toBeCloseTo(1, 9);
  });

  it('is never surer than a gauge can be, however alike its breaks', () => {
    expect(joinEfficiencyOf('small-swivel', [at(0.8), at(0.8), at(0.8)]).sd).toBeGreaterThan(0);
  });
});
