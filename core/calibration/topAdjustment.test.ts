import { believedLoad, shownAt, walkOf } from '../../tests/believedLoad';
import { drawUnknowns } from '../../tests/drawUnknowns';
import { normalDeviate, seededRandom } from '../../instruments/random';
import { buildLoadedLine, type LoadedLine } from '../spool/loadedLine';
import { solveSegment } from '../spool/solveSegment';
import { estimateCounter } from './estimateCounter';
import { countsAt, layerStepSd, withTopStripped } from './observations';
import { topAdjustment } from './topAdjustment';

const WALK_M = 30.48;

function plainLoad(arborM: number, fullM: number, widthM: number, areaFactor = 1): LoadedLine {
  const lineDiameterM = 0.00042 * Math.sqrt(areaFactor);
  const row = { id: 'plain', name: 'plain', lengthM: null, lineDiameterM, packing: 0.67, wound: true };
  const solved = solveSegment({ arborDiameterM: arborM, widthM }, [row], fullM);
  if (!solved.ok) throw new Error(solved.reason);
  return solved.value.line;
}

/** The constant that makes a line read a share of the truth at the walk. */
const constantFor = (line: LoadedLine, share: number): number => (share * 100) / shownAt(line, 1, WALK_M);

/** Geometry known exactly: then the advice must be exact too. */
const exactly = (line: LoadedLine, reading: number) => {
  const sure = { value: 0, sd: 0 };
  const believed = believedLoad(line, { areaRelativeSd: 1e-9, lengthRelativeSd: 1e-9 });
  return estimateCounter(
    {
      ...believed,
      arborDiameterM: { ...believed.arborDiameterM, sd: 1e-12 },
      widthM: { ...believed.widthM, sd: 1e-12 },
      constantM: { value: 0.18, sd: 0.09, source: 'maker' },
      segments: believed.segments.map((segment) => ({ ...segment, windingStrain: sure })),
    },
    [walkOf(reading)],
  );
};

describe('topAdjustment', () => {
  const line = plainLoad(0.032, 0.062, 0.029);

  it('makes the counter true when it is followed to the letter', () => {
    for (const share of [0.9, 0.93, 0.97]) {
      const constantM = constantFor(line, share);
      const advice = topAdjustment(exactly(line, 100 * share), WALK_M, 0.07);
      expect(advice.ok).toBe(true);
      if (!advice.ok) continue;
      expect(advice.value.stripM.value).toBeGreaterThan(0);
      expect(shownAt(withTopStripped(line, advice.value.stripM.value), constantM, WALK_M)).toBeCloseTo(100, 1);
      expect(advice.value.expectedReading).toBeCloseTo(100, 9);
    }
  });

  it('wants 16 to 22 % of a plain load off when it reads 7 % low (common practice, no source)', () => {
    for (const ratio of [1.7, 1.9, 2.1, 2.2]) {
      const load = plainLoad(0.062 / ratio, 0.062, 0.029);
      const advice = topAdjustment(exactly(load, 93), WALK_M, 0.07);
      const share = advice.ok ? advice.value.stripM.value / load.woundLengthM : NaN;
      expect(share).toBeGreaterThan(0.16);
      expect(share).toBeLessThan(0.225);
    }
  });

  it('adds when it reads high and there is room, and says so when there is none', () => {
    const estimate = exactly(line, 104);
    const roomy = topAdjustment(estimate, WALK_M, 0.075);
    expect(roomy.ok && roomy.value.stripM.value).toBeLessThan(0);
    const full = topAdjustment(estimate, WALK_M, 0.0625);
    if (full.ok || full.reason !== 'past-the-rim') throw new Error('a full spool takes no more');
    const filled = withTopStripped(line, -full.figures.mostM);
    expect(filled.fullDiameterM).toBeCloseTo(0.0625, 4);
    expect(full.figures.readingAtRim).toBeCloseTo(shownAt(filled, constantFor(line, 1.04), WALK_M), 1);
  });

  it('leaves a true counter alone, and a top shot that is too short', () => {
    expect(topAdjustment(exactly(line, 100.3), WALK_M, 0.07)).toMatchObject({ ok: false, reason: 'already-true' });
    const stack = buildLoadedLine(line.spool, [
      { id: 'lead', name: 'lead', lengthM: 90, lineDiameterM: 0.0008, packing: 0.62, wound: true },
      { id: 'top', name: 'top', lengthM: 5, lineDiameterM: 0.00035, packing: 0.68, wound: true },
    ]);
    expect(topAdjustment(exactly(stack, 90), WALK_M, 0.07)).toMatchObject({ ok: false, reason: 'top-too-short' });
  });

  it('can aim at another reading, so that rods agree', () => {
    const advice = topAdjustment(exactly(line, 93), WALK_M, 0.07, 96);
    const whole = topAdjustment(exactly(line, 93), WALK_M, 0.07);
    expect(advice.ok && whole.ok && advice.value.stripM.value < whole.value.stripM.value).toBe(true);
    expect(() => topAdjustment(exactly(line, 93), 0, 0.07)).toThrow(/topAdjustment/);
  });

  it('has a ± that covers the truth when the line is thicker than believed', () => {
    const random = seededRandom(77);
    let covered = 0;
    const runs = 60;
    const believed = plainLoad(0.032, 0.062, 0.029);
    for (let run = 0; run < runs; run += 1) {
      // A sum of twelve uniforms less six: near enough a normal deviate for this.
      const deviate = Array.from({ length: 12 }, random).reduce((sum, value) => sum + value, -6);
      const truth = plainLoad(0.032, 0.062, 0.029, 1 + 0.05 * deviate);
      const constantM = constantFor(truth, 0.94);
      const needed = topAdjustment(exactly(truth, 94), WALK_M, 0.07);
      const reading = Math.round(shownAt(truth, constantM, WALK_M));
      const unsure = believedLoad(believed, {
        lengthRelativeSd: 0.2,
        constantM: { value: 0.18, sd: 0.02, source: 'maker' },
      });
      const level = {
        kind: 'level',
        name: 'level',
        afterSegment: 0,
        levelBelowRimM: 0.002,
        levelSdM: 0.0003,
        goneSinceM: [],
      } as const;
      const advice = topAdjustment(estimateCounter(unsure, [walkOf(reading), level]), WALK_M, 0.07);
      if (!advice.ok || !needed.ok) throw new Error('both must give advice');
      if (Math.abs(advice.value.stripM.value - needed.value.stripM.value) <= advice.value.stripM.plusMinus)
        covered += 1;
    }
    expect(covered / runs).toBeGreaterThan(0.88);
  });

  it('says what it was to read where it does already, and nothing for a roller', () => {
    const already = topAdjustment(exactly(line, 95.3), WALK_M, 0.07, 95);
    expect(already).toMatchObject({ reason: 'already-true', figures: { wantedCounts: 95 } });
    const estimate = exactly(line, 93);
    const roller = { ...estimate, counter: { ...estimate.counter, drive: 'roller' as const } };
    expect(topAdjustment(roller, WALK_M, 0.07)).toMatchObject({ ok: false, reason: 'roller-driven' });
    const full = topAdjustment(exactly(line, 104), WALK_M, 0.0625);
    if (full.ok || full.reason !== 'past-the-rim') throw new Error('a full spool takes no more');
    expect(full.figures.wantedM).toBeGreaterThan(full.figures.mostM);
  });

  it('states its own chance of being true afterwards, as plain draws of everything unknown have it', () => {
    const unsure = believedLoad(line, {
      lengthRelativeSd: 0.1,
      constantM: { value: 0.18, sd: 0.02, source: 'maker' },
    });
    const estimate = estimateCounter(unsure, [walkOf(95)]);
    const advice = topAdjustment(estimate, WALK_M, 0.075);
    if (!advice.ok) throw new Error(advice.reason);
    const { stripM, chanceWithinOnePercent } = advice.value;
    expect(stripM.mainlyFrom).not.toBeNull();
    const random = seededRandom(8);
    const draw = drawUnknowns(estimate, random);
    let within = 0;
    const draws = 1500;
    for (let made = 0; made < draws; made += 1) {
      const load = estimate.realise(draw());
      const then = countsAt({ ...load, line: withTopStripped(load.line, stripM.value) }, WALK_M, 0.3048);
      const shown = (then / 100) * (1 + layerStepSd(WALK_M) * normalDeviate(random));
      if (Math.abs(shown - 1) <= 0.01) within += 1;
    }
    expect(Math.abs(chanceWithinOnePercent - within / draws)).toBeLessThan(0.05);
    expect(chanceWithinOnePercent).toBeGreaterThan(0.2);
    expect(chanceWithinOnePercent).toBeLessThan(0.98);
  });
});
