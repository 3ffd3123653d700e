import { dragEnvelope } from '../../core/drag/dragEnvelope';
import { USUAL_RUN } from '../../core/drag/waterPull';
import { buildLoadedLine, spoolStateAt } from '../../core/spool/loadedLine';
import { rigStrength } from '../../core/strength/rigStrength';
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
  const times = Array.from({ length: repeats }, () => {
    const from = performance.now();
    dragEnvelope(line, strength, { forceN: 70, plusMinusN: 2, lengthOutM: 0 }, USUAL_RUN, stations);
    return performance.now() - from;
  });
  row(
    `${segments} segments, ${stations} stations: share of a ${FRAME_MS} ms frame, median and 99th percentile`,
    `${((100 * percentile(times, 0.5)) / FRAME_MS).toFixed(0)} %, ${((100 * percentile(times, 0.99)) / FRAME_MS).toFixed(0)} %`,
  );
}
