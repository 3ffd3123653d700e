import { estimateCounter, type CounterEstimate } from '../calibration/estimateCounter';
import type { BelievedLoad } from '../calibration/loadModel';
import { predicted as predictedOf, type CounterObservation } from '../calibration/observations';
import { known } from '../../tests/believedLoad';
import { sdAfter, sdOfBelief } from './belief';
import { loadFigure, type LoadGoal } from './loadFigures';
import { loadMeasurements, thicknessSdAfter, type LoadToMeasure } from './loadMeasurements';

const LINES = [
  { id: 'backing', lengthM: 140, lineDiameterM: 0.0004, packing: 0.68, thickSd: 0.063 },
  { id: 'top', lengthM: 100, lineDiameterM: 0.00035, packing: 0.68, thickSd: 0.063 },
] as const;
const PACKING_SD = 0.05;

const believed = (change: Partial<BelievedLoad> = {}, backingThickSd: number = LINES[0].thickSd): BelievedLoad => ({
  arborDiameterM: known(0.0314, 0.03),
  widthM: known(0.0286, 0.05),
  fullDiameterM: known(0.0618, 0.02),
  constantM: known(0.174, 0.04),
  counter: { unitM: 0.3048, display: 'rounds' },
  joint: null,
  segments: LINES.map(({ id, lengthM, lineDiameterM, packing, thickSd }) => ({
    ...{ id, name: id, lineId: id, lengthM, lineDiameterM, packing, wound: true },
    areaRelativeSd: Math.hypot(2 * (id === 'backing' ? backingThickSd : thickSd), PACKING_SD),
    lengthRelativeSd: 0.003,
    windingStrain: { value: 0.02, sd: 0.012 },
  })),
  ...change,
});

const load = (estimate: CounterEstimate, change: Partial<LoadToMeasure> = {}): LoadToMeasure => ({
  rigId: 'rig',
  reel: { id: 'reel', name: 'Counter reel', unmeasured: ['arbor', 'width', 'rim'] },
  estimate,
  lines: LINES.map(({ id, lineDiameterM, thickSd }) => ({
    ...{ lineId: id, name: id, isSoft: false, bulkRelativeSd: Math.hypot(2 * thickSd, PACKING_SD) },
    diameterM: { value: lineDiameterM, sd: thickSd * lineDiameterM, source: 'label' as const },
  })),
  ...{ isWound: true, canReadLevel: true, hasCounter: true, walkM: 30.48, coloursM: [], spool: null },
  ...change,
});

const AT_100_FT: LoadGoal = { kind: 'counter', atM: 30.48 };
const BACKING: LoadGoal = { kind: 'length', segmentId: 'backing', levelBelowRimM: 0.002 };

function sdWith(
  estimate: CounterEstimate,
  goal: LoadGoal,
  kind: string,
  of?: string,
  change: Partial<LoadToMeasure> = {},
) {
  const figure = loadFigure(estimate, goal);
  const one = loadMeasurements(load(estimate, change)).find((each) => each.kind === kind && (!of || each.of === of));
  if (!figure || !one?.readings[0]) throw new Error(`no ${kind}`);
  return { now: sdOfBelief(figure.belief), after: sdAfter(figure.belief, one.readings[0]) };
}

const sdOf = (estimate: CounterEstimate, goal: LoadGoal): number => {
  const figure = loadFigure(estimate, goal);
  return figure ? sdOfBelief(figure.belief) : NaN;
};

describe('what a measurement would leave, before it is made', () => {
  const walk: CounterObservation = {
    ...{ kind: 'tape', name: 'walk', trueLengthM: 30.48, lengthSdM: 0.0508, reading: 96, goneSinceM: [0, 0] },
  };

  it.each([
    ['walk', walk],
    [
      'level',
      {
        ...{ kind: 'level', name: 'level', afterSegment: 1, levelBelowRimM: 0.0035, levelSdM: 0.0003 },
        goneSinceM: [0, 0],
      },
    ],
    ['turns', { kind: 'turns', name: 'turns', turns: 100, reading: 57, betweenFlips: true }],
  ] as const)('is what a %s leaves of the counter once it is made, within a tenth of the fall', (kind, seen) => {
    const before = estimateCounter(believed(), []);
    const predicted = sdWith(before, AT_100_FT, kind);
    // It reads what is expected of it: what it reads makes no difference to how much it tells, as far as all is linear.
    const is = predictedOf(seen as CounterObservation, before.best, 0.3048);
    const read = (
      seen.kind === 'level' ? { ...seen, levelBelowRimM: is } : { ...seen, reading: is }
    ) as CounterObservation;
    const really = sdOf(estimateCounter(believed(), [read]), AT_100_FT);
    expect(Math.abs((predicted.now - really) / (predicted.now - predicted.after) - 1)).toBeLessThan(0.1);
  });

  it('is what a caliper on the line leaves of the length, once its thickness is put in the place of the label', () => {
    const before = estimateCounter(believed(), []);
    const predicted = sdWith(before, BACKING, 'line-caliper', 'backing');
    const really = sdOf(estimateCounter(believed({}, thicknessSdAfter('line-caliper', 0.0004)), []), BACKING);
    expect(predicted.after).toBeLessThan(0.9 * predicted.now);
    expect(Math.abs((predicted.now - really) / (predicted.now - predicted.after) - 1)).toBeLessThan(0.1);
  });

  it('is what a caliper on the rim leaves of the length', () => {
    const before = estimateCounter(believed(), []);
    const predicted = sdWith(before, BACKING, 'rim', undefined, { isWound: false });
    const after = { value: 0.0618, sd: 0.0002, source: 'measured' as const };
    const really = sdOf(estimateCounter(believed({ fullDiameterM: after }), []), BACKING);
    expect(Math.abs((predicted.now - really) / (predicted.now - predicted.after) - 1)).toBeLessThan(0.1);
  });

  it('of a measured spool is worth less than what it tells of the line as it lies alone', () => {
    const before = estimateCounter(believed(), []);
    const spool = { segmentId: 'backing', name: 'Backing', lengthM: 90 };
    const one = sdWith(before, BACKING, 'spool', 'backing', { isWound: false, spool });
    expect(one.after).toBeLessThan(0.85 * one.now);
    const short = sdWith(before, BACKING, 'spool', 'backing', { isWound: false, spool: { ...spool, lengthM: 10 } });
    expect(short.after).toBeGreaterThan(one.after);
  });
});

describe('what can be measured', () => {
  const kinds = (change: Partial<LoadToMeasure>, roller = false): readonly string[] => {
    const counter = { unitM: 0.3048, display: 'rounds', drive: roller ? 'roller' : 'spool' } as const;
    return loadMeasurements(load(estimateCounter(believed({ counter }), []), change)).map(({ kind }) => kind);
  };

  it('is of a load that is on: its level, the counter, and the rim, which no line hides', () => {
    expect(kinds({})).toEqual(['line-caliper', 'line-caliper', 'rim', 'level', 'turns', 'walk']);
    expect(kinds({ coloursM: [20, 29] })).toContain('colours');
    expect(kinds({ canReadLevel: false, walkM: null })).not.toContain('level');
  });

  it('is of a plan: the bare spool and its lines, and a spool wound on alone', () => {
    const spool = { segmentId: 'backing', name: 'Backing', lengthM: 90 };
    expect(kinds({ isWound: false, spool })).toEqual([
      ...['line-caliper', 'line-caliper', 'rim', 'arbor', 'width', 'turns', 'spool'],
    ]);
  });

  it('is nothing that was measured as well before, nothing of a counter that is not there, no turns under a roller', () => {
    const fine = LINES.map(({ id, lineDiameterM }) => ({
      ...{ lineId: id, name: id, isSoft: false, bulkRelativeSd: 0.07 },
      diameterM: { value: lineDiameterM, sd: 0.00001, source: 'measured' as const },
    }));
    const reel = { id: 'reel', name: 'reel', unmeasured: [] };
    expect(kinds({ lines: fine, reel, hasCounter: false })).toEqual(['level']);
    expect(kinds({}, true)).not.toContain('turns');
  });

  it('is a row of wraps where a caliper would squeeze the line, of so many wraps that a ruler can tell', () => {
    const [soft] = LINES.map(({ id, lineDiameterM }) => ({
      ...{ lineId: id, name: id, isSoft: true, bulkRelativeSd: 0.26 },
      diameterM: { value: lineDiameterM, sd: 0.12 * lineDiameterM, source: 'label' as const },
    }));
    expect(kinds({ lines: soft ? [soft] : [] })[0]).toBe('wraps');
    // 3 % for how soft line flattens, and 0.3 mm over a row of a centimetre or more.
    expect(thicknessSdAfter('wraps', 0.0004)).toBeCloseTo(Math.hypot(0.03, 0.0003 / 0.01), 6);
    expect(thicknessSdAfter('wraps', 0.001)).toBeCloseTo(Math.hypot(0.03, 0.0003 / 0.02), 6);
    expect(thicknessSdAfter('line-caliper', 0.0004)).toBeCloseTo(0.025, 9);
  });
});

describe('a figure of a load', () => {
  it('cannot be worked out where the rest leaves no room', () => {
    const estimate = estimateCounter(believed(), []);
    expect(loadFigure(estimate, { ...BACKING, levelBelowRimM: 0.0309 })).toBeNull();
    expect(loadFigure(estimate, { kind: 'level' })?.value).toBeCloseTo(
      (estimate.best.rimDiameterM - estimate.best.line.fullDiameterM) / 2,
      12,
    );
  });
});
