import { dragEnvelope, type EnvelopePoint } from '../../core/drag/dragEnvelope';
import { riskAlong } from '../../core/drag/riskAlong';
import type { PlaceAtRisk, PullAtRisk } from '../../core/drag/risk';
import { USUAL_RUN } from '../../core/drag/waterPull';
import { buildLoadedLine, spoolStateAt } from '../../core/spool/loadedLine';
import { rigStrength, type RigStrength } from '../../core/strength/rigStrength';
import { seededRandom } from '../../instruments/random';
import { layReel } from '../../instruments/virtual/layReel';
import { randomStack } from '../../tests/randomStack';
import { percentile, row } from './report';

/**
 * How many times harder the same drag pulls once line has left, against the mean diameter of the reel laid turn by turn
 * with what is left on it: seeded random stacks, five lengths each.
 */
export function benchDragFactor(stacks: number): void {
  const off: number[] = [];
  let within = 0;
  for (let seed = 1; seed <= stacks; seed += 1) {
    const { spool, segments, random, truth } = randomStack(seed);
    const line = buildLoadedLine(spool, segments);
    const fullM = layReel(
      truth,
      segments.map((segment) => ({ ...segment, strain: 0 })),
    ).meanDiameterM;
    for (let k = 0; k < 5; k += 1) {
      const outM = line.woundLengthM * (0.02 + 0.9 * random());
      const { diameterM, segment } = spoolStateAt(line, outM);
      let leftM = line.woundLengthM - outM;
      const left = segments.flatMap((each) => {
        const lengthM = Math.min(each.lengthM, leftM);
        leftM -= lengthM;
        return lengthM > 0.01 ? [{ ...each, lengthM, strain: 0 }] : [];
      });
      const truthFactor = fullM / layReel(truth, left).meanDiameterM;
      const error = Math.abs(line.fullDiameterM / diameterM / truthFactor - 1);
      off.push(error);
      if (error <= segment.lineDiameterM / diameterM) within += 1;
    }
  }
  const share = off.filter((each) => each <= 0.005).length / off.length;
  row('within 0.5 % of the layer-averaged reel', `${(100 * share).toFixed(1)} % of ${off.length}`);
  row(
    'off in the median, at the 99th percentile',
    `${(100 * percentile(off, 0.5)).toFixed(2)} %, ${(100 * percentile(off, 0.99)).toFixed(2)} %`,
  );
  row('within the step of a layer that the ± has', `${((100 * within) / off.length).toFixed(1)} %`);
}

/** One frame of a screen (ms). */
const FRAME_MS = 16;

const DRAWS = 200;

/** Every line pulled five times, every join as often. */
function atRisk({ places }: RigStrength): readonly PlaceAtRisk[] {
  const pulled = { pulls: 5, cv: 0.05, degrees: 4, beliefRelativeSd: 0.1 };
  return places.map(({ id, name, kind, fromHookM, toHookM }) => ({
    ...{ id, name, fromHookM, toHookM, waterN: 0 },
    lines: [{ key: `line at ${fromHookM}`, mean: 300, lotRelativeSd: 0.03, gaugeLengthM: 0.5, ...pulled }],
    keeps: kind === 'join' ? { key: id, mean: 0.85, lotRelativeSd: 0, gaugeLengthM: null, ...pulled } : null,
  }));
}

const pullOf = (points: readonly EnvelopePoint[]): PullAtRisk => ({
  stations: points.map((point) => ({
    ...{ lengthOutM: point.lengthOutM, tipN: point.tipForceN, growthRelativeSd: 0.02, surgeN: 0 },
    waterN: point.fishForceN - point.tipForceN,
  })),
  ...{ setRelativeSd: 0.0255, waterRelativeSd: 0.17, surgeRelativeSd: 0 },
});

/** The envelope of a rig of many segments, as share of a frame. */
export function benchEnvelope(segments: number, stations: number, repeats: number): void {
  const line = buildLoadedLine(
    { arborDiameterM: 0.04, widthM: 0.04 },
    Array.from({ length: segments }, (_, index) => ({
      id: String(index),
      name: `line ${index}`,
      lengthM: 40,
      lineDiameterM: 0.0004 + 0.00002 * index,
      packing: 0.65,
      wound: true,
    })),
  );
  const holds = { value: 300, sd: 6, source: 'measured' as const };
  const strength = rigStrength(
    line.segments.map(({ id, name, lengthM }) => ({ segmentId: id, name, lengthM, strengthN: holds, boundN: 250 })),
    line.segments.map(({ id }, index) => ({
      joinId: `join ${id}`,
      name: `join ${id}`,
      innerSegmentId: index === 0 ? null : String(index - 1),
      outerSegmentId: id,
      efficiency: { value: 0.85, sd: 0.03, source: 'measured' as const },
      boundShare: 0.7,
    })),
  );
  const timed = (count: number, work: () => void): readonly number[] =>
    Array.from({ length: count }, () => {
      const from = performance.now();
      work();
      return performance.now() - from;
    });
  const set = { forceN: 70, plusMinusN: 2, lengthOutM: 0 };
  const times = timed(repeats, () => dragEnvelope(line, strength, set, USUAL_RUN, stations));
  const { points } = dragEnvelope(line, strength, set, USUAL_RUN, stations);
  const chances = timed(5, () => riskAlong(atRisk(strength), pullOf(points), seededRandom(1), DRAWS));
  const ratio = percentile(chances, 0.5) / percentile(times, 0.5);
  row(
    `${segments} segments, ${stations} stations, ${DRAWS} draws: the chance of breaking ÷ the plain envelope`,
    `${ratio.toFixed(0)} (${percentile(chances, 0.5).toFixed(0)} ms in this run)`,
  );
  row(
    `${segments} segments, ${stations} stations: share of a ${FRAME_MS} ms frame, median and 99th percentile`,
    `${((100 * percentile(times, 0.5)) / FRAME_MS).toFixed(0)} %, ${((100 * percentile(times, 0.99)) / FRAME_MS).toFixed(0)} %`,
  );
}
