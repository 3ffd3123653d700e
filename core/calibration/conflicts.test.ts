import { known as measured } from '../../tests/believedLoad';
import { estimateCounter } from './estimateCounter';
import type { BelievedLoad } from './loadModel';
import type { CounterObservation } from './observations';

const BELIEVED: BelievedLoad = {
  arborDiameterM: measured(0.0314, 0.006),
  widthM: measured(0.0286, 0.006),
  fullDiameterM: measured(0.0618, 0.003),
  constantM: measured(0.174, 0.04),
  counter: { unitM: 0.3048, display: 'rounds' },
  joint: null,
  segments: [
    {
      ...{ id: 's', name: 'nylon', lineId: 'nylon', lengthM: 250, lineDiameterM: 0.0004, packing: 0.68, wound: true },
      areaRelativeSd: 0.1,
      lengthRelativeSd: 0.003,
      windingStrain: { value: 0.02, sd: 0.012 },
    },
  ],
};
const walk = (reading: number, name: string): CounterObservation => ({
  ...{ kind: 'tape', name, trueLengthM: 30.48, lengthSdM: 0.05, reading, goneSinceM: [0] },
});
const estimate = (...readings: number[]) =>
  estimateCounter(
    BELIEVED,
    readings.map((reading, index) => walk(reading, `tape ${index + 1}`)),
  );

describe('walks that disagree', () => {
  it('leave every ± as it is where they agree', () => {
    const agreed = estimate(96, 96, 97);
    expect(agreed).toMatchObject({ conflicts: [], widened: 1, beyondBelief: [] });
  });

  it('widen every ±, by about what they disagree', () => {
    const [agreed, split] = [estimate(96, 96), estimate(90, 102)];
    expect(split.widened).toBeGreaterThan(3);
    const sd = (of: typeof agreed): number => of.constantM.sd / of.constantM.value;
    expect(sd(split)).toBeGreaterThan(2 * sd(agreed));
  });

  it('name the one that is odd, once, and not those that it disagrees with', () => {
    const { conflicts } = estimate(96, 97, 96, 80);
    expect(conflicts.map(({ observation, worst }) => [observation.name, worst])).toEqual([['tape 4', true]]);
    expect(Math.abs(conflicts[0]?.offBySds ?? 0)).toBeGreaterThan(5);
  });

  it('name two odd ones in their order, the worst alone as the worst', () => {
    const { conflicts } = estimate(96, 97, 96, 97, 80, 108);
    expect(conflicts.map(({ observation }) => observation.name).toSorted()).toEqual(['tape 5', 'tape 6']);
    expect(conflicts.map(({ worst }) => worst)).toEqual([true, false]);
  });

  it('say that it is one or the other, where nothing else tells which', () => {
    const [first] = estimate(98, 103).conflicts;
    expect([first?.observation.name, ...(first?.orElse ?? []).map(({ name }) => name)].toSorted()).toEqual([
      'tape 1',
      'tape 2',
    ]);
    expect(estimate(96, 97, 96, 80).conflicts[0]?.orElse).toEqual([]);
  });

  it('may stand alone against what was believed', () => {
    const alone = estimate(40);
    expect(alone.conflicts).toMatchObject([{ observation: { name: 'tape 1' }, worst: true }]);
    expect(alone.widened).toBeGreaterThan(3);
  });

  it('seldom do by chance: the studentised residual of honest walks beyond 3 SDs is rare', () => {
    // Each walk off by its own error only: rounding and 5 cm of tape, drawn on a grid of normal quantiles.
    const quantiles = [-1.5, -0.9, -0.4, 0, 0.4, 0.9, 1.5];
    const readings = quantiles.map((z) => Math.round(96 + 0.35 * z));
    expect(estimate(...readings).conflicts).toEqual([]);
  });
});
