import { fitToEvidence } from '../numerics/fitToEvidence';
import { withTails } from '../worth/belief';
import { depthUnknowns, towOf, type DepthBelief } from './depthBelief';
import { FOLLOW_TOLERANCE, followLengths, type LeftNear } from './followLengths';
import { leavesFor } from './leavesOver';
import type { SeenDepth } from './seenDepth';
import { sectionsOf } from './towStack';
import { underWater } from './underWater';

/** What depths that were seen have taught of a rig. */
export interface LearnedDepth {
  /** Unknowns of {@link depthUnknowns} in SDs, and the covariance of their errors. */
  readonly values: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** Marks that lie beyond three SDs of what the others say, farthest first. */
  readonly conflicts: readonly { readonly id: string; readonly sds: number }[];
  /** How many count. */
  readonly seen: number;
  /**
   * Correlation of what is known of the line's sinking against its drag with what is known of the lure's pull: near ±1 they are told together
   * only, and another length or speed tells them apart. Null without marks.
   */
  readonly correlation: number | null;
  /** False where the fit did not come to rest. */
  readonly settled: boolean;
}

/** Depths are held against each other as seen depths: a mark's own speed is read anew each time, to so much of itself. */
const SPEED_READ_SHARE = 0.02;
/** A depth goes with the speed to about this power (models of a plain lure: −1.06 to −1.28). */
const DEPTH_BY_SPEED = 1.2;
const CONFLICT_SDS = 3;
/** Tails of marks: a slip of the eye or a bump in the bottom is more likely than a normal law has it (Lange, Little and Taylor 1989). */
const TAILS = 8;

/** Depth with a length out at a speed (m): 0 where the tip lifts the lure out. */
export function depthWith(
  belief: DepthBelief,
  speedMS: number,
  lengthsM: readonly number[],
  unknowns: readonly number[],
): readonly number[] {
  const tow = towOf(belief, speedMS, unknowns);
  const run = underWater(tow, sectionsOf(tow), FOLLOW_TOLERANCE);
  return leavesFor(tow, run, lengthsM).map((immersedM) => (immersedM === null ? 0 : Math.max(run.at(immersedM).zM, 0)));
}

/** Where a length leaves the water, and how deep the lure is then. */
export type LeavesDeep = LeftNear & { readonly depthM: number };

/** The same, each sought from where a tow nearly like this one left; null where the tip lifts the lure out. */
export function leavesNear(
  belief: DepthBelief,
  speedMS: number,
  lengthsM: readonly number[],
  unknowns: readonly number[],
  beside: readonly (LeftNear | null)[],
): readonly (LeavesDeep | null)[] {
  const tow = towOf(belief, speedMS, unknowns);
  const run = underWater(tow, sectionsOf(tow), FOLLOW_TOLERANCE);
  return lengthsM.map((lengthM, index) => {
    const immersedM = run.end === 'slack' ? null : followLengths(tow, run, beside[index] ?? null)(lengthM);
    return immersedM === null ? null : { lengthM, immersedM, depthM: Math.max(run.at(immersedM).zM, 0) };
  });
}

/** What a seen depth is off by against the line's own (m): the eye's, the reading's, and that of the speed at that moment. */
export function markSdM({ depthM, depthSdM, lengthOutM, lengthSdM }: Omit<SeenDepth, 'id' | 'speedMS'>): number {
  const bySpeed = DEPTH_BY_SPEED * SPEED_READ_SHARE * depthM;
  return Math.hypot(depthSdM, bySpeed, (depthM / Math.max(lengthOutM, 1)) * lengthSdM);
}

/** Variance of a mark's errors with what their tails cost (m²). */
export const markNoise = (mark: Omit<SeenDepth, 'id' | 'speedMS'>): number => withTails(markSdM(mark) ** 2, TAILS);

/**
 * Tunes what is open of a rig's depth to depths that were seen with it: the drag across the line, the lure's pull, the speed's own error, each
 * line's weight and thickness, together.
 *
 * @param marks of this line with this lure; none: what is believed beforehand
 */
export function learnDepth(belief: DepthBelief, marks: readonly SeenDepth[]): LearnedDepth {
  const count = depthUnknowns(belief).length;
  // Each mark is sought from where it was found last: the fit moves by little.
  const left: (LeftNear | null)[] = marks.map(() => null);
  const fit = fitToEvidence(
    Array.from({ length: count }, () => 1),
    marks.map((mark) => ({
      name: mark.id,
      value: mark.depthM,
      sd: markSdM(mark),
      tails: TAILS,
    })),
    (unknowns) =>
      marks.map(({ speedMS, lengthOutM }, index) => {
        const [leaves = null] = leavesNear(belief, speedMS, [lengthOutM], unknowns, [left[index] ?? null]);
        if (leaves) left[index] = leaves;
        return leaves?.depthM ?? 0;
      }),
  );
  const identity = Array.from({ length: count }, (_, row) =>
    Array.from({ length: count }, (__, column) => (row === column ? 1 : 0)),
  );
  const covariance = marks.length > 0 ? fit.covariance : identity;
  const conflicts = marks
    .map(({ id }, index) => ({ id, sds: fit.residuals[index] ?? 0 }))
    .filter(({ sds }) => Math.abs(sds) > CONFLICT_SDS)
    .toSorted((a, b) => Math.abs(b.sds) - Math.abs(a.sds));
  return {
    values: marks.length > 0 ? fit.values : identity.map(() => 0),
    covariance,
    conflicts,
    seen: marks.length,
    correlation: marks.length > 0 ? sinkAgainstLure(belief, covariance) : null,
    settled: marks.length === 0 || fit.settled,
  };
}

/** Sinking over drag is all lines' weight less the drag across them; the lure's pull is one unknown. */
function sinkAgainstLure(belief: DepthBelief, covariance: readonly (readonly number[])[]): number {
  const lines = (depthUnknowns(belief).length - 3) / 2;
  const sink = covariance.map((_, index) => (index === 0 ? -1 : index >= 3 && index < 3 + lines ? 1 : 0));
  const lure = covariance.map((_, index) => (index === 1 ? 1 : 0));
  const between = (a: readonly number[], b: readonly number[]): number =>
    covariance.reduce(
      (sum, row, at) => sum + (a[at] ?? 0) * row.reduce((inner, each, other) => inner + each * (b[other] ?? 0), 0),
      0,
    );
  return between(sink, lure) / Math.sqrt(between(sink, sink) * between(lure, lure));
}
