import { believedLoad, shownAt, walkOf } from '../../tests/believedLoad';
import { drawUnknowns } from '../../tests/drawUnknowns';
import { normalDeviate, seededRandom } from '../../instruments/random';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import { buildLoadedLine } from '../spool/loadedLine';
import { estimateCounter } from './estimateCounter';
import { trialAgainstKnown } from './farTrial';
import { predicted, sdOf, type CounterObservation } from './observations';

const line = () =>
  buildLoadedLine({ arborDiameterM: 0.032, widthM: 0.029 }, [
    { id: 'nylon', name: 'nylon', lengthM: 220, lineDiameterM: 0.0004, packing: 0.68, wound: true },
  ]);
const known = (display: 'rounds' | 'truncates' = 'rounds') => {
  const load = line();
  const believed = believedLoad(load, { counter: { unitM: 0.3048, display } });
  return estimateCounter(believed, [walkOf(shownAt(load, 0.18, 30.48)), walkOf(shownAt(load, 0.18, 45.72), 45.72)]);
};

describe('a new test of a counter against what was known', () => {
  it('is expected where the estimate has it, within what plain draws of it and of the walk itself give', () => {
    const estimate = known();
    const walk = walkOf(180, 60.96);
    const found = trialAgainstKnown(estimate, walk);
    if (!found) throw new Error('it can be reckoned');
    expect(found.expected).toBeCloseTo(predicted(walk, estimate.best, 0.3048), 9);
    const random = seededRandom(3);
    const draw = drawUnknowns(estimate, random);
    const own = sdOf(walk, estimate.counter);
    const drawn = Array.from({ length: 600 }, () => {
      return predicted(walk, estimate.realise(draw()), 0.3048) + own * normalDeviate(random);
    });
    const mean = drawn.reduce((sum, each) => sum + each, 0) / drawn.length;
    const sd = Math.sqrt(drawn.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (drawn.length - 1));
    // 600 draws tell an SD to 3 %.
    expect(found.plusMinus / PLUS_MINUS_SDS / sd).toBeGreaterThan(0.9);
    expect(found.plusMinus / PLUS_MINUS_SDS / sd).toBeLessThan(1.1);
    expect(found.offSds).toBeCloseTo((180 - found.expected) / (found.plusMinus / PLUS_MINUS_SDS), 9);
    expect(found.offSds).toBeLessThan(0);
  });

  it('takes a truncating display for half a count more', () => {
    const rounds = trialAgainstKnown(known(), walkOf(200, 60.96));
    const truncates = trialAgainstKnown(known('truncates'), walkOf(200, 60.96));
    const off = (found: typeof rounds): number =>
      ((found?.offSds ?? NaN) * (found?.plusMinus ?? NaN)) / PLUS_MINUS_SDS + (found?.expected ?? NaN);
    expect(off(rounds)).toBeCloseTo(200, 6);
    expect(off(truncates)).toBeCloseTo(200.5, 6);
  });

  it('cannot be told of a segment that the line has not', () => {
    const log: CounterObservation = {
      ...{ kind: 'wound', name: 'log', segment: 7, fromShare: 0, toShare: 1, reading: 300, goneSinceM: [0] },
    };
    expect(trialAgainstKnown(known(), log)).toBeNull();
  });
});
