import { belief, seen, TRUE, WHOLE_M } from '../../tests/towBelief';
import { measureNext } from '../worth/measureNext';
import { sdOfBelief } from '../worth/belief';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import type { DepthBelief } from './depthBelief';
import { depthFigures } from './depthFigures';
import { depthToNarrow } from './depthToNarrow';
import { learnDepth } from './learnDepth';
import type { SeenDepth } from './seenDepth';
import { learnNearly } from './learnNearly';
import { LURES } from './lures';
import { sinksBy } from './sinking';

const RIG = { id: 'rig', name: 'Five-colour rod' };
const narrowOf = (of: DepthBelief, marks: readonly SeenDepth[] = []) =>
  depthToNarrow(of, learnDepth(of, marks), RIG, 1, WHOLE_M);
const optionsOf = (of: DepthBelief, marks: readonly SeenDepth[] = []) =>
  measureNext([{ id: 'depth', enough: 0.01, ...narrowOf(of, marks) }], () => 1);
const after = (of: DepthBelief, kind: string, line?: string): number =>
  optionsOf(of).find((option) => option.kind === kind && (line === undefined || option.of === line))?.narrows[0]
    ?.plusMinusAfter ?? NaN;
const plusMinusOf = (of: DepthBelief, marks: readonly SeenDepth[] = []): number =>
  depthFigures(of, learnDepth(of, marks), 1, [WHOLE_M])[0]?.plusMinus ?? NaN;
const within = (value: number, expected: number, share: number): void => {
  expect(value / expected).toBeGreaterThan(1 - share);
  expect(value / expected).toBeLessThan(1 + share);
};

describe('what would narrow a depth', () => {
  test('its ± is that of the depth as the station states it', () => {
    const { value, belief: known } = narrowOf(belief());
    const [figure] = depthFigures(belief(), learnDepth(belief(), []), 1, [WHOLE_M]);
    expect(value).toBeCloseTo(figure?.value ?? NaN, 2);
    within(PLUS_MINUS_SDS * sdOfBelief(known), figure?.plusMinus ?? NaN, 0.02);
  });

  test('a mark is worth what it turns out to be worth', () => {
    const expected = after(belief(), 'water-mark');
    const atM = optionsOf(belief()).find(({ kind }) => kind === 'water-mark')?.atM ?? NaN;
    expect(expected).toBeLessThan(0.8 * plusMinusOf(belief()));
    within(plusMinusOf(belief(), [{ ...seen('a', atM, 1), lengthSdM: 0 }]), expected, 0.25);
  });

  test('so is the lure on a scale, where thin line hangs on its dive', () => {
    const [leader, , braid] = belief().lines;
    if (!leader || !braid) throw new Error('no such line');
    const light = belief({ lure: 'deep plug', lines: [leader, { ...braid, lengthM: 100 }] });
    // As much as it is taken to pull, so that nothing but the ± moves.
    const dragN = 0.5 * light.water.densityKgM3 * LURES['deep plug'].dragAreaM2;
    const pulled = { ...light, lurePull: { dragN, speedMS: 1 } };
    within(plusMinusOf(pulled), after(light, 'lure-pull'), 0.1);
    expect(after(light, 'lure-pull')).toBeLessThan(0.8 * plusMinusOf(light));
    expect(optionsOf(pulled).some(({ kind }) => kind === 'lure-pull')).toBe(false);
  });

  test('so are ten metres of the lead core on a scale, and nobody weighs braid for it', () => {
    // As much as it is believed to weigh, so that nothing but the ± moves.
    const [leader, lead, braid] = belief().lines;
    if (!leader || !lead || !braid || lead.sinks.by !== 'density') throw new Error('no such line');
    const { solidKgM3, densityKgM3 } = lead.sinks;
    const area = (Math.PI * lead.diameterM.value ** 2) / 4;
    const water = belief().water.densityKgM3;
    const massKgPerM = ((densityKgM3.value - water) * area) / (1 - water / (solidKgM3 ?? NaN));
    const weighed = belief({ lines: [leader, { ...lead, sinks: sinksBy('lead core', massKgPerM) }, braid] });
    within(plusMinusOf(weighed), after(belief(), 'ten-metres', 'p'), 0.1);
    expect(optionsOf(belief()).filter(({ kind }) => kind === 'ten-metres')).toHaveLength(1);
    expect(optionsOf(weighed).some(({ kind }) => kind === 'ten-metres')).toBe(false);
  });

  test('marks narrow it less, the more of them there are', () => {
    const three = [seen('a', 95, 1), seen('b', 60, 1), seen('c', 80, 1.2)];
    const gain = (marks: readonly SeenDepth[]): number =>
      optionsOf(belief(), marks).find(({ kind }) => kind === 'water-mark')?.gain ?? 0;
    expect(gain(three)).toBeLessThan(0.5 * gain([]));
  });
});

describe('what marks have taught, nearly', () => {
  test('is what they have taught in full, where none contradicts the others', () => {
    const marks = [seen('a', 95, 1, 0.2), seen('b', 60, 1, -0.1), seen('c', 80, 1.2)];
    const nearly = depthToNarrow(belief(), learnNearly(belief(), marks), RIG, 1, WHOLE_M);
    const full = narrowOf(belief(), marks);
    within(nearly.value, full.value, 0.05);
    within(sdOfBelief(nearly.belief), sdOfBelief(full.belief), 0.3);
    expect(learnNearly(belief(), []).values).toEqual(TRUE.map(() => 0));
  });

  test('one slip does not carry it away', () => {
    const good = [seen('a', 95, 1), seen('b', 60, 1), seen('c', 80, 1)];
    const bad = learnNearly(belief(), [...good, { ...seen('d', 90, 1), depthM: 80 }]);
    const { value } = depthToNarrow(belief(), bad, RIG, 1, WHOLE_M);
    within(value, narrowOf(belief(), good).value, 0.25);
  });
});
