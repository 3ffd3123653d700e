import { believedLoad, known, shownAt, walkOf } from '../../tests/believedLoad';
import type { JointErrors } from '../load/planLoad';
import { buildLoadedLine } from '../spool/loadedLine';
import { estimateCounter } from './estimateCounter';
import { TAPE_KEY, type BelievedLoad } from './loadModel';
import type { CounterObservation } from './observations';

const line = () =>
  buildLoadedLine({ arborDiameterM: 0.032, widthM: 0.029 }, [
    { id: 'nylon', name: 'nylon', lengthM: 220, lineDiameterM: 0.0004, packing: 0.68, wound: true },
  ]);
const believed = (change: Partial<BelievedLoad> = {}): BelievedLoad => ({ ...believedLoad(line()), ...change });
const JOINT: JointErrors = {
  keys: ['arborDiameterM', 'nylon', 'counter'],
  relativeSds: [0.01, 0.2, 0.03],
  correlation: [
    [1, -0.6, 0.1],
    [-0.6, 1, 0.4],
    [0.1, 0.4, 1],
  ],
};
/** Covariance of two causes of error, by what each axis makes of both. */
function together({ unknowns, valueIn }: ReturnType<typeof estimateCounter>, a: string, b: string): number {
  return unknowns.reduce((sum, _, at) => {
    const alone = unknowns.map((__, index) => (index === at ? 1 : 0));
    return sum + valueIn(alone, a) * valueIn(alone, b);
  }, 0);
}

describe('what may be off, before any evidence', () => {
  it('is each cause by its own SD, and none with another, where nothing says that they go together', () => {
    const estimate = estimateCounter(believed(), []);
    expect(together(estimate, 'counter', 'counter')).toBeCloseTo(0.04 ** 2, 9);
    expect(together(estimate, 'arborDiameterM', 'arborDiameterM')).toBeCloseTo(0.006 ** 2, 9);
    expect(together(estimate, 'nylon', 'nylon')).toBeCloseTo(0.05 ** 2, 9);
    expect(together(estimate, 'counter', 'nylon')).toBeCloseTo(0, 12);
    expect(estimate.valueIn([1, 1, 1], 'nothing of the kind')).toBe(0);
    for (const { value, sd } of estimate.unknowns) expect([value, sd]).toEqual([0, expect.closeTo(1, 9)]);
  });

  it('goes together as a boat’s other loads have it, by the keys that they share; the rest stays as it was', () => {
    const estimate = estimateCounter(believed({ joint: JOINT }), []);
    const sds = new Map(JOINT.keys.map((key, at) => [key, JOINT.relativeSds[at] ?? NaN]));
    JOINT.keys.forEach((a, i) =>
      JOINT.keys.forEach((b, j) => {
        const rho = JOINT.correlation[i]?.[j] ?? NaN;
        expect(together(estimate, a, b)).toBeCloseTo((sds.get(a) ?? 0) * (sds.get(b) ?? 0) * rho, 9);
      }),
    );
    expect(together(estimate, 'widthM', 'widthM')).toBeCloseTo(0.006 ** 2, 9);
    expect(together(estimate, 'widthM', 'nylon')).toBeCloseTo(0, 12);
    expect(together(estimate, 'nylon', 'widthM')).toBeCloseTo(0, 12);
  });

  it('names each axis after what moves most along it', () => {
    const names = estimateCounter(believed(), []).unknowns.map(({ from }) => from.reason);
    expect(new Set(names)).toEqual(
      new Set([
        ...['error-counter-constant', 'error-arbor', 'error-width', 'error-full-diameter', 'error-tape-shared'],
        ...['error-slip', 'error-packing-depth', 'error-bulk', 'error-length'],
      ]),
    );
    expect(names).toHaveLength(new Set(names).size);
  });
});

describe('an estimate', () => {
  const exact = () => shownAt(line(), 0.18, 30.48);

  it('leaves out what cannot be reckoned with the line, and says what it left out', () => {
    // Of a segment that the line has not.
    const beyond: CounterObservation = {
      ...{ kind: 'wound', name: 'log', segment: 7, fromShare: 0, toShare: 1, reading: 300, goneSinceM: [0] },
    };
    const { observations, leftOut, residuals } = estimateCounter(believed(), [walkOf(exact()), beyond]);
    expect(observations.map((each) => (each.kind === 'tape' ? each.trueLengthM : 0))).toEqual([30.48]);
    expect(leftOut).toEqual([beyond]);
    expect(residuals).toHaveLength(1);
  });

  it('has a constant that is measured once anything but a level tells of it', () => {
    const level: CounterObservation = {
      ...{ kind: 'level', name: 'level', afterSegment: 0, levelBelowRimM: 0.002, levelSdM: 0.0003, goneSinceM: [0] },
    };
    expect(estimateCounter(believed(), [level]).constantM.source).toBe('maker');
    expect(estimateCounter(believed(), [level, walkOf(exact())]).constantM.source).toBe('measured');
    expect(estimateCounter(believed(), []).constantM.source).toBe('maker');
  });

  it('says how far each piece is off: observed less expected', () => {
    const { residuals } = estimateCounter(believed(), [walkOf(exact() + 1.5), walkOf(exact() - 1.5)]);
    expect(residuals[0]?.off).toBeGreaterThan(0);
    expect(residuals[1]?.off).toBeLessThan(0);
    expect((residuals[0]?.expected ?? 0) + (residuals[0]?.off ?? 0)).toBeCloseTo(exact() + 1.5, 9);
  });

  it('reports what ended beyond three SDs of what was believed of it, and only that', () => {
    // Eight walks that all say the same, far from what the maker of the counter is believed to be off by.
    const lengthsM = [25, 30.48, 35, 40, 45, 50, 55, 60.96];
    const far = estimateCounter(
      believed({ constantM: known(0.18, 0.004), arborDiameterM: known(0.032, 1e-4), widthM: known(0.029, 1e-4) }),
      lengthsM.map((lengthM) => walkOf(1.15 * shownAt(line(), 0.18, lengthM), lengthM)),
    );
    expect(far.beyondBelief.length).toBeGreaterThan(0);
    for (const { bySds, from } of far.beyondBelief) {
      expect(Math.abs(bySds)).toBeGreaterThan(3);
      expect(from.reason).toMatch(/^error-/);
    }
    expect(estimateCounter(believed(), [walkOf(exact())]).beyondBelief).toEqual([]);
  });

  it('winds the next load with errors of its own where a winding makes them, and the same ones elsewhere', () => {
    const estimate = estimateCounter(believed(), [walkOf(exact())]);
    expect(estimate.anew.map(({ key }) => key)).toEqual(['slip', 'depth', 'stretch of nylon']);
    const values = estimate.unknowns.map(({ value }) => value);
    const next = estimate.realiseNext(values, [0.01, 0.2, 0]);
    expect(next.slipShare).toBe(0.01);
    expect(next.depthShare).toBe(0.2);
    expect(next.constantM).toBeCloseTo(estimate.best.constantM, 12);
    expect(next.tapeShare).toBeCloseTo(estimate.valueIn(values, TAPE_KEY), 12);
    expect(estimate.realiseNext(values, []).slipShare).toBe(0);
  });

  it('throws on a unit or a constant that is not positive', () => {
    const counter = { unitM: 0, display: 'rounds' as const };
    expect(() => estimateCounter(believed({ counter }), [])).toThrow(/unitM/);
    expect(() => estimateCounter(believed({ constantM: known(-0.1, 0.1) }), [])).toThrow(/constantM/);
  });
});
