import { depthFigures } from './depthFigures';
import { depthUnknowns, towOf, type DepthBelief } from './depthBelief';
import { depthWith, learnDepth } from './learnDepth';
import type { SeenDepth } from './seenDepth';
import { belief, seen, TRUE, WHOLE_M } from '../../tests/towBelief';
import { sinksBy, weightOf } from './sinking';
import { towProfile } from './towProfile';

const at = (marks: readonly SeenDepth[]) => depthFigures(belief(), learnDepth(belief(), marks), 1, [WHOLE_M])[0];

describe('a depth before anything is seen', () => {
  test('is that of the line as it is believed, with a ± of a quarter or more, and says what it mainly comes from', () => {
    const [figure] = depthFigures(belief(), learnDepth(belief(), []), 1, [WHOLE_M]);
    const alone = depthWith(belief(), 1, [WHOLE_M], []);
    expect(figure?.value).toBeCloseTo(alone[0] ?? NaN, 6);
    expect((figure?.plusMinus ?? 0) / (figure?.value ?? 1)).toBeGreaterThan(0.2);
    expect(figure?.mainlyFrom).not.toBeNull();
  });

  test('is 0 where the tip lifts the lure out', () => {
    expect(depthWith(belief(), 1, [1], [])).toEqual([0]);
  });

  test('is less sure of a lure that nobody pulled than of one on a scale', () => {
    const heavy: DepthBelief = { ...belief(), lure: 'deep plug', lines: belief().lines.slice(0, 1) };
    const of = (each: DepthBelief) => depthFigures(each, learnDepth(each, []), 1, [6])[0]?.plusMinus ?? NaN;
    expect(of({ ...heavy, lurePull: { dragN: 1.5, speedMS: 1 } })).toBeLessThan(0.6 * of(heavy));
  });
});

describe('touches of bottom', () => {
  test('three at two lengths bring the depth home and its ± to less than half', () => {
    const before = at([]);
    const after = at([seen('a', 95, 1), seen('b', 95, 1), seen('c', 60, 1)]);
    const truth = depthWith(belief(), 1, [WHOLE_M], TRUE)[0] ?? NaN;
    expect(Math.abs((after?.value ?? NaN) - truth)).toBeLessThan(after?.plusMinus ?? 0);
    expect(after?.plusMinus).toBeLessThan(0.5 * (before?.plusMinus ?? 0));
  });

  test('at one length tell sinking and lure together only; a second length takes them apart', () => {
    const one = learnDepth(belief(), [seen('a', 95, 1), seen('b', 95, 1)]);
    const two = learnDepth(belief(), [seen('a', 95, 1), seen('b', 30, 1.3)]);
    expect(Math.abs(one.correlation ?? 0)).toBeGreaterThan(0.05);
    expect(learnDepth(belief(), []).correlation).toBeNull();
    const sd = (of: typeof one) => Math.sqrt(of.covariance[1]?.[1] ?? NaN);
    expect(sd(two)).toBeLessThan(sd(one) + 1e-9);
  });

  test('one that contradicts the others is named, and does not carry the depth away', () => {
    const good = [seen('a', 95, 1), seen('b', 60, 1), seen('c', 80, 1.2), seen('d', 40, 1)];
    const bad = learnDepth(belief(), [...good, seen('snag', 90, 1, -5)]);
    expect(bad.conflicts.map(({ id }) => id)).toEqual(['snag']);
    const truth = depthWith(belief(), 1, [WHOLE_M], TRUE)[0] ?? NaN;
    const depth = depthFigures(belief(), bad, 1, [WHOLE_M])[0];
    expect(Math.abs((depth?.value ?? NaN) - truth)).toBeLessThan(0.1 * truth);
  });
});

describe('how line sinks', () => {
  test('by its density: 0.40 mm of fluorocarbon (1780 kg/m³) in water of 1000 weighs 0.96 mN a metre', () => {
    const { submergedWeightNPerM, dryWeightNPerM } = weightOf(sinksBy('fluorocarbon', null), 0.0004, 1000);
    expect(submergedWeightNPerM).toBeCloseTo(780 * 9.80665 * Math.PI * 0.0002 ** 2, 12);
    expect(dryWeightNPerM - submergedWeightNPerM).toBeCloseTo(1000 * 9.80665 * Math.PI * 0.0002 ** 2, 12);
  });

  test('lead core as it is: 10 to 17 mN a metre in water (from memory)', () => {
    const { submergedWeightNPerM } = weightOf(sinksBy('lead core', null), 0.00082, 1000);
    expect(submergedWeightNPerM).toBeGreaterThan(0.01);
    expect(submergedWeightNPerM).toBeLessThan(0.017);
  });

  test('weighed copper loses what it displaces, whatever its thickness', () => {
    const sinks = sinksBy('copper wire', 0.004);
    expect(weightOf(sinks, 0.0008, 1000).submergedWeightNPerM).toBeCloseTo(0.004 * 9.80665 * (1 - 1000 / 8960), 12);
    // A scale says nothing of whether braid sinks.
    expect(sinksBy('braid', 0.0001).by).toBe('density');
  });
});

describe('a rig as it is towed', () => {
  test('names every unknown once, each line by its name', () => {
    const names = depthUnknowns(belief()).map(({ from }) => from.reason);
    expect(names).toHaveLength(9);
    expect(names.filter((each) => each === 'error-sinking')).toHaveLength(3);
  });

  test('a faster boat tows shallower, by about the power of the speed that models of plain lures give (−1.06 to −1.28)', () => {
    const depth = (v: number) => towProfile(towOf(belief(), v)).depthM ?? NaN;
    const power = Math.log(depth(1.2) / depth(0.9)) / Math.log(1.2 / 0.9);
    expect(power).toBeGreaterThan(-1.5);
    expect(power).toBeLessThan(-0.9);
    const plug = (v: number) => towProfile(towOf({ ...belief(), lure: 'deep plug' }, v)).depthM ?? NaN;
    expect(Math.log(plug(1.2) / plug(0.9)) / Math.log(1.2 / 0.9)).toBeGreaterThan(power);
  });
});
