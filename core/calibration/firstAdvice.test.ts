import { seededRandom } from '../../instruments/random';
import { buildLoadedLine, spoolStateAt, type LoadedLine } from '../spool/loadedLine';
import { solveSegment } from '../spool/solveSegment';
import { withTopStripped, type TapeTrial } from './counterConstant';
import { firstAdvice } from './firstAdvice';

const WALK_M = 30.48;
const UNIT_M = 0.3048;

function plainLoad(arborM: number, fullM: number, widthM: number): LoadedLine {
  const row = { id: 'plain', name: 'plain', lengthM: null, lineDiameterM: 0.00042, packing: 0.67, wound: true };
  const solved = solveSegment({ arborDiameterM: arborM, widthM }, [row], fullM);
  if (!solved.ok) throw new Error(solved.message);
  return solved.value.line;
}

function readingOf(line: LoadedLine, constantM: number): number {
  return (spoolStateAt(line, WALK_M).turns * constantM) / UNIT_M;
}

/** The constant that makes a line read a share of the truth at the walk. */
function constantFor(line: LoadedLine, share: number): number {
  return (WALK_M * share) / spoolStateAt(line, WALK_M).turns;
}

const options = (line: LoadedLine, limitDiameterM = line.fullDiameterM) => ({
  limitDiameterM,
  diameterSdM: 0.0003,
  areaRelativeSd: 0.05,
});

const walk = (reading: number): TapeTrial => ({ trueLengthM: WALK_M, reading, strippedBeforeM: 0 });

describe('firstAdvice', () => {
  const line = plainLoad(0.032, 0.062, 0.029);

  it('makes the counter true when it is followed to the letter', () => {
    for (const share of [0.9, 0.93, 0.97]) {
      const constantM = constantFor(line, share);
      const advice = firstAdvice(line, UNIT_M, walk(readingOf(line, constantM)), options(line));
      expect(advice.ok).toBe(true);
      if (!advice.ok) continue;
      expect(advice.value.stripM.value).toBeGreaterThan(0);
      const after = withTopStripped(line, advice.value.stripM.value);
      expect(readingOf(after, constantM)).toBeCloseTo(advice.value.expectedReading, 3);
      expect(advice.value.expectedReading).toBeCloseTo(100, 9);
    }
  });

  it('wants 16 to 22 % of a plain load off when it reads 7 % low (common practice, no source)', () => {
    for (const ratio of [1.7, 1.9, 2.1, 2.2]) {
      const load = plainLoad(0.062 / ratio, 0.062, 0.029);
      const advice = firstAdvice(load, UNIT_M, walk(93), options(load));
      const share = advice.ok ? advice.value.stripM.value / load.woundLengthM : NaN;
      expect(share).toBeGreaterThan(0.16);
      expect(share).toBeLessThan(0.225);
    }
  });

  it('adds when it reads high and there is room, and says so when there is none', () => {
    const constantM = constantFor(line, 1.04);
    const trial = walk(readingOf(line, constantM));
    const roomy = firstAdvice(line, UNIT_M, trial, options(line, 0.075));
    expect(roomy.ok && roomy.value.stripM.value).toBeLessThan(0);
    const full = firstAdvice(line, UNIT_M, trial, options(line, 0.0625));
    expect(full).toMatchObject({ ok: false, reason: 'past-the-rim' });
    if (full.ok) return;
    const filled = withTopStripped(line, -(full.figures.mostM ?? NaN));
    expect(filled.fullDiameterM).toBeCloseTo(0.0625, 4);
    expect(full.figures.readingAtRim).toBeCloseTo(readingOf(filled, constantM), 6);
  });

  it('leaves a true counter alone, and a top shot that is too short', () => {
    expect(firstAdvice(line, UNIT_M, walk(100.3), options(line))).toMatchObject({ ok: false, reason: 'already-true' });
    const stack = buildLoadedLine(line.spool, [
      { id: 'lead', name: 'lead', lengthM: 90, lineDiameterM: 0.0008, packing: 0.62, wound: true },
      { id: 'top', name: 'top', lengthM: 5, lineDiameterM: 0.00035, packing: 0.68, wound: true },
    ]);
    expect(firstAdvice(stack, UNIT_M, walk(90), options(stack))).toMatchObject({ ok: false, reason: 'top-too-short' });
  });

  it('has a ± that covers the truth when the line is thicker than believed', () => {
    const random = seededRandom(77);
    let covered = 0;
    const runs = 60;
    for (let run = 0; run < runs; run += 1) {
      // A sum of twelve uniforms less six: near enough a normal deviate for this.
      const deviate = Array.from({ length: 12 }, random).reduce((sum, value) => sum + value, -6);
      const believed = plainLoad(0.032, 0.062, 0.029);
      const areaFactor = 1 + 0.05 * deviate;
      const truth = solveSegment(
        believed.spool,
        [
          {
            id: 'plain',
            name: 'plain',
            lengthM: null,
            lineDiameterM: 0.00042 * Math.sqrt(areaFactor),
            packing: 0.67,
            wound: true,
          },
        ],
        0.062,
      );
      if (!truth.ok) throw new Error(truth.message);
      const constantM = constantFor(truth.value.line, 0.94);
      const needed = firstAdvice(truth.value.line, UNIT_M, walk(94), {
        ...options(truth.value.line),
        areaRelativeSd: 0,
      });
      const advice = firstAdvice(
        believed,
        UNIT_M,
        walk(Math.round(readingOf(truth.value.line, constantM))),
        options(believed),
      );
      if (!advice.ok || !needed.ok) throw new Error('both must give advice');
      if (Math.abs(advice.value.stripM.value - needed.value.stripM.value) <= advice.value.stripM.plusMinus)
        covered += 1;
    }
    expect(covered / runs).toBeGreaterThan(0.88);
  });
});
