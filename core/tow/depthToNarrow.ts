import { noiseThatLeaves, sdAfter, type Belief, type Reading } from '../worth/belief';
import { thicknessSdAfter } from '../worth/loadMeasurements';
import type { Measurement } from '../worth/measurement';
import { depthUnknowns, linesOnce, LURE_UNKNOWN, pullLnSd, PULLED_LN_SD, type DepthBelief } from './depthBelief';
import { depthWith, leavesNear, markNoise, type LearnedDepth } from './learnDepth';
import { seenSdM } from './seenDepth';
import { weighedSdNPerM, weightOf } from './sinking';

/** A depth, what is open of it, and what could be measured for it. */
export interface DepthToNarrow {
  /** Depth (m) with so much line out (m). */
  readonly value: number;
  readonly atM: number;
  readonly belief: Belief;
  readonly measurements: readonly (Measurement & { readonly readings: readonly Reading[] })[];
}

/** Shares of the length whose depth is wanted at which a mark could be taken. */
const TRIED = [0.5, 0.75, 1] as const;
/** By so many SDs an unknown is moved to see what hangs on it. */
const STEP = 0.25;

/**
 * How deep the lure swims with a length out, and all that would narrow that: a depth seen where it tells most, the lure on a scale, ten
 * metres of a line on a scale, a line's thickness. Linear-Gaussian, on what is known now.
 *
 * @param learned what marks have left of the unknowns
 * @param rig whose depth it is
 * @param speedMS through the water, as it is read (m/s)
 * @param atM the length out (m), above 0
 */
export function depthToNarrow(
  belief: DepthBelief,
  { values, covariance }: Pick<LearnedDepth, 'values' | 'covariance'>,
  rig: { readonly id: string; readonly name: string },
  speedMS: number,
  atM: number,
): DepthToNarrow {
  const lengthsM = TRIED.map((share) => share * atM);
  const slopes = depthSlopes(belief, values, speedMS, lengthsM);
  const depthsM = depthWith(belief, speedMS, lengthsM, values);
  const marks = lengthsM.map((lengthOutM, index) => {
    const depthM = depthsM[index] ?? 0;
    const noiseVariance = markNoise({ depthM, lengthOutM, lengthSdM: 0, depthSdM: seenSdM(depthM) });
    return { atM: lengthOutM, readings: [{ slopes: slopes[index] ?? [], noiseVariance }] };
  });
  const value = depthsM.at(-1) ?? 0;
  const of: Belief = { slopes: slopes.at(-1) ?? [], covariance, ownVariance: 0 };
  const left = ({ readings: [reading] }: (typeof marks)[number]): number => (reading ? sdAfter(of, reading) : Infinity);
  const best = marks.toSorted((a, b) => left(a) - left(b)).slice(0, 1);
  return {
    ...{ value, atM, belief: of },
    measurements: [
      ...best.map((mark) => ({ kind: 'water-mark' as const, of: rig.id, name: rig.name, ...mark })),
      ...ofLure(belief, rig),
      ...ofLines(belief),
    ],
  };
}

/** Change of the depth at each of some lengths with each unknown (m for one SD): one row for each length. */
export function depthSlopes(
  belief: DepthBelief,
  values: readonly number[],
  speedMS: number,
  lengthsM: readonly number[],
): readonly (readonly number[])[] {
  const from = leavesNear(belief, speedMS, lengthsM, values, []);
  const moved = values.map((value, index) => {
    const [up, down] = [value + STEP, value - STEP].map((to) =>
      leavesNear(belief, speedMS, lengthsM, values.with(index, to), from).map((leaves) => leaves?.depthM ?? 0),
    );
    return lengthsM.map((__, which) => ((up?.[which] ?? 0) - (down?.[which] ?? 0)) / (2 * STEP));
  });
  return lengthsM.map((_, which) => moved.map((each) => each[which] ?? 0));
}

/** A reading of one unknown alone, in its SDs. */
function only(belief: DepthBelief, index: number, noiseVariance: number): readonly Reading[] {
  return [{ slopes: depthUnknowns(belief).map((_, other) => (other === index ? 1 : 0)), noiseVariance }];
}

function ofLure(belief: DepthBelief, { id, name }: { readonly id: string; readonly name: string }) {
  if (belief.lurePull !== null) return [];
  const noise = (PULLED_LN_SD / pullLnSd(belief)) ** 2;
  return [{ kind: 'lure-pull' as const, of: id, name, atM: null, readings: only(belief, LURE_UNKNOWN, noise) }];
}

function ofLines(belief: DepthBelief): DepthToNarrow['measurements'] {
  const once = linesOnce(belief.lines);
  return once.flatMap(({ key, name, diameterM, isSoft, sinks }, index) => {
    const of = { of: key, name, atM: null };
    const kind = isSoft ? 'wraps' : 'line-caliper';
    const left = (thicknessSdAfter(kind, diameterM.value) * diameterM.value) / diameterM.sd;
    const thickness = noiseThatLeaves(1, left ** 2);
    const perSd =
      weightOf(sinks, diameterM.value, belief.water.densityKgM3, 1).submergedWeightNPerM -
      weightOf(sinks, diameterM.value, belief.water.densityKgM3).submergedWeightNPerM;
    const weighed = weighedSdNPerM(sinks, diameterM.value, belief.water.densityKgM3);
    const weight = weighed === null ? Infinity : noiseThatLeaves(1, (weighed / perSd) ** 2);
    return [
      ...(Number.isFinite(weight)
        ? [{ kind: 'ten-metres' as const, ...of, readings: only(belief, 3 + index, weight) }]
        : []),
      ...(Number.isFinite(thickness)
        ? [{ kind, ...of, readings: only(belief, 3 + once.length + index, thickness) } as const]
        : []),
    ];
  });
}
