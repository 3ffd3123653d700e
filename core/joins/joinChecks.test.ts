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
    expect(readSeatingPull(trace(() => 0))).toMatchObject({ ok: false, reason: 'no-pull' });
    expect(readSeatingPull(trace((t) => t).slice(0, 40))).toMatchObject({ ok: false, reason: 'too-short' });
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
