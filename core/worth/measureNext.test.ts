import type { Measurement, MeasurementKind } from './measurement';
import { USUAL_MINUTES } from './measurement';
import { measureNext, measureSet, quickestTo, type FigureToNarrow } from './measureNext';

const minutesOf = ({ kind }: Measurement): number => USUAL_MINUTES[kind];
const reads = (kind: MeasurementKind, slopes: readonly number[], noiseVariance: number, of = kind as string) => ({
  ...{ kind, of, name: of, atM: null },
  readings: [{ slopes, noiseVariance }],
});
/** A figure of independent parts of SD 1 each, so far as they weigh. */
const figure = (
  id: string,
  slopes: readonly number[],
  measurements: FigureToNarrow['measurements'],
  enough = 0.1,
): FigureToNarrow => ({
  ...{ id, enough, measurements },
  belief: {
    slopes,
    covariance: slopes.map((_, i) => slopes.map((__, j) => (i === j ? 1 : 0))),
    ownVariance: 0,
  },
});

describe('what to measure next', () => {
  const level = reads('level', [0, 1], 0.01);
  const walk = reads('walk', [1, 0], 0.01);

  it('puts the best fall for each minute first, and says what each would leave', () => {
    const options = measureNext([figure('length', [3, 1], [level, walk])], minutesOf);
    expect(options.map(({ kind }) => kind)).toEqual(['walk', 'level']);
    // 95 %: 1.96 · √(9 + 1) now; of the walked part a hundredth of a hundredth is left.
    expect(options[0]?.narrows[0]?.plusMinus).toBeCloseTo(1.96 * Math.sqrt(10), 9);
    expect(options[0]?.narrows[0]?.plusMinusAfter).toBeCloseTo(1.96 * Math.sqrt(9 / 101 + 1), 9);
    // The level takes one minute, the walk ten: a rod for which both tell alike is levelled first.
    const alike = measureNext([figure('length', [1, 1], [walk, level])], minutesOf);
    expect(alike.map(({ kind }) => kind)).toEqual(['level', 'walk']);
  });

  it('leaves out what would narrow by less than a twentieth', () => {
    expect(measureNext([figure('length', [1, 0.1], [level])], minutesOf)).toEqual([]);
    expect(measureNext([figure('length', [1, 0], [reads('walk', [1, 0], 1e6)])], minutesOf)).toEqual([]);
  });

  it('joins one measurement that teaches several rods', () => {
    const wraps = reads('wraps', [1, 0], 0.01, 'nylon');
    const rods = ['port', 'starboard', 'stern'].map((id) => figure(id, [1, 1], [wraps, { ...level, of: `${id} rod` }]));
    const [first, ...others] = measureNext(rods, minutesOf);
    expect(first).toMatchObject({ kind: 'wraps', minutes: 2 });
    expect(first?.narrows.map(({ figureId }) => figureId)).toEqual(['port', 'starboard', 'stern']);
    expect(others).toHaveLength(3);
    // Three times the gain in two minutes, against once in one.
    expect((first?.gainPerMinute ?? NaN) / (others[0]?.gainPerMinute ?? NaN)).toBeCloseTo(1.5, 6);
  });

  it('counts no gain below what is enough', () => {
    const [option] = measureNext([figure('length', [1], [reads('walk', [1], 1e-6)], 1.96 / 2)], minutesOf);
    expect(option?.gain).toBeCloseTo(0.5, 9);
    expect(option?.narrows[0]?.plusMinusAfter).toBeLessThan(0.01);
  });
});

describe('a set that fits a time', () => {
  // Rim and width tell the same; the level tells the rest.
  const rim = reads('rim', [1, 0], 0.01);
  const width = reads('width', [1, 0], 0.0101);
  const level = reads('level', [0, 1], 0.01);

  it('does not take two that tell the same', () => {
    const set = measureSet([figure('length', [1, 1], [rim, width, level], 0.27)], minutesOf, 30);
    expect(set.steps.map(({ kind }) => kind).toSorted()).toEqual(['level', 'rim']);
    expect(set.minutes).toBe(3);
    expect(set.figures[0]?.plusMinusAfter).toBeCloseTo(1.96 * Math.sqrt(2 / 101), 6);
  });

  it('takes the one long measurement that does more than all short ones', () => {
    const short = reads('level', [0, 1], 0.01);
    const long = reads('walk', [1, 0.9], 0.001);
    const figures = [figure('length', [1, 0.9], [short, long], 0.05)];
    expect(measureSet(figures, minutesOf, 10).steps.map(({ kind }) => kind)).toEqual(['walk']);
    expect(measureSet(figures, minutesOf, 9).steps.map(({ kind }) => kind)).toEqual(['level']);
    expect(measureSet(figures, minutesOf, 0.5)).toMatchObject({ steps: [], minutes: 0 });
  });

  it('walks twice where that helps, and no third time', () => {
    const set = measureSet([figure('counter', [1], [reads('walk', [1], 1)])], minutesOf, 300);
    expect(set.steps.map(({ kind }) => kind)).toEqual(['walk', 'walk']);
    expect(set.figures[0]?.plusMinusAfter).toBeCloseTo(1.96 / Math.sqrt(3), 9);
  });
});

describe('the quickest way to a ± that is good enough', () => {
  const rim = reads('rim', [1, 0, 0], 0.01);
  const level = reads('level', [0, 1, 0], 0.01);
  const walk = reads('walk', [1, 1, 1], 0.001);

  it('is one walk where the short ones together do not reach it, though each is better for its minutes', () => {
    const asked = figure('counter', [1, 1, 1], [rim, level, walk], 0.2);
    expect(measureNext([asked], minutesOf)[0]?.kind).not.toBe('walk');
    expect(quickestTo(asked, minutesOf)?.map(({ kind }) => kind)).toEqual(['walk']);
  });

  it('is the shortest set of all that reach it; nothing where it is reached, and null where nothing does', () => {
    const asked = figure('counter', [1, 1, 0], [rim, level, walk], 0.5);
    expect(
      quickestTo(asked, minutesOf)
        ?.map(({ kind }) => kind)
        .toSorted(),
    ).toEqual(['level', 'rim']);
    expect(quickestTo({ ...asked, enough: 3 }, minutesOf)).toEqual([]);
    expect(quickestTo({ ...asked, enough: 0.001 }, minutesOf)).toBeNull();
  });
});
