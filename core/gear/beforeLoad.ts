import { borderedFit, type BorderedFit } from '../numerics/borderedFit';
import type { Block } from '../numerics/borderedProblem';
import { dimensionsOf, shownPlaces, type GearFit } from './fittedGear';
import { ownPriorSds, type LineToFit, type ReelToFit, type Seen } from './gearEvidence';
import { groupOf, type HeldOut } from './whatAgrees';

/** One reel fitted anew alone, without a load, under what everything but this reel says of the lines that its loads name. */
export function beforeLoad(
  place: number,
  reel: ReelToFit,
  lines: readonly LineToFit[],
  seen: readonly Seen[],
  heldOut: HeldOut,
  without: string,
  fit: BorderedFit,
): GearFit {
  const tape = lines.length;
  const ofLines = [...new Set(seen.flatMap((each) => each.border))].filter((at) => at !== tape);
  const touched = [...ofLines, tape];
  const others = fit.without(place, touched);
  const root = lowerRoot(others.covariance);
  // The lines as everybody else knows them: independent steps of one SD along the root of their covariance.
  const linesAt = (steps: readonly number[]): readonly number[] => {
    const border = [...fit.border];
    touched.forEach((at, row) => {
      border[at] =
        (others.values[row] ?? 0) + (root[row] ?? []).reduce((sum, each, k) => sum + each * (steps[k] ?? 0), 0);
    });
    return border;
  };
  const own = ownPriorSds(reel);
  const rest = seen.filter((each) => each.loadId !== without);
  const block: Block = {
    priorSds: [...own, ...touched.map(() => 1)],
    groups: rest.flatMap((each) =>
      groupOf(each, heldOut).map((group) => ({
        ...group,
        border: [],
        predict: (all: readonly number[], _: readonly number[], inner: readonly number[]) =>
          group.predict(all.slice(0, own.length), linesAt(all.slice(own.length)), inner),
      })),
    ),
  };
  const [alone] = borderedFit({ sds: [] }, [block]).blocks;
  if (!alone) throw new RangeError(`gearFit: reel ${reel.id} is not given`);
  const steps = alone.values.slice(own.length);
  const stepsTo = (row: number): readonly number[] => root[row] ?? [];
  const covariance = (i: number, j: number): number => alone.covariance[i]?.[j] ?? NaN;
  const withLine = (i: number, row: number): number =>
    stepsTo(row).reduce((sum, each, k) => sum + each * covariance(i, own.length + k), 0);
  const sharedCovariance = touched.map((_, a) =>
    touched.map((__, b) =>
      stepsTo(a).reduce(
        (sum, each, k) =>
          sum +
          each * stepsTo(b).reduce((inner, other, l) => inner + other * covariance(own.length + k, own.length + l), 0),
        0,
      ),
    ),
  );
  const border = linesAt(steps);
  const places = shownPlaces(reel);
  return {
    lines: ofLines.map((at, row) => ({
      lineId: lines[at]?.id ?? '',
      value: Math.exp(border[at] ?? 0),
      relativeSd: Math.sqrt(sharedCovariance[row]?.[row] ?? NaN),
      relativeSdBefore: lines[at]?.relativeSd ?? NaN,
    })),
    tapeShare: border[tape] ?? 0,
    sharedCovariance,
    reels: [
      {
        reelId: reel.id,
        dimensions: dimensionsOf(reel, alone.values, alone.covariance),
        covariance: places.map((i) => places.map((j) => covariance(i, j))),
        withShared: places.map((i) => touched.map((_, row) => withLine(i, row))),
      },
    ],
    evidence: [],
  };
}

/** Lower triangular root of a covariance (Cholesky); a direction that is known exactly has none. */
function lowerRoot(covariance: readonly (readonly number[])[]): readonly (readonly number[])[] {
  const root: number[][] = covariance.map((row) => row.map(() => 0));
  covariance.forEach((row, i) => {
    for (let j = 0; j <= i; j += 1) {
      let sum = row[j] ?? 0;
      for (let k = 0; k < j; k += 1) sum -= (root[i]?.[k] ?? 0) * (root[j]?.[k] ?? 0);
      const diagonal = root[j]?.[j] ?? 0;
      const target = root[i];
      if (!target) continue;
      target[j] = i === j ? Math.sqrt(Math.max(sum, 0)) : diagonal > 0 ? sum / diagonal : 0;
    }
  });
  return root;
}
