import { PLUS_MINUS_SDS } from '../numerics/propagate';
import { studentQuantile } from '../numerics/studentQuantile';
import type { Known } from '../provenance/source';
import { censoredNormal } from '../strength/censoredNormal';
import { lowerBound } from '../strength/lowerBound';
import { summarisePulls } from '../strength/summarisePulls';
import { DEFAULT_EFFICIENCY_SD, JOIN_KINDS, type JoinKind } from './joinKinds';

/** One join pulled to the break: its peak, and what the weaker line was taken to hold (N). */
export interface JoinPull {
  readonly peakN: number;
  readonly weakerN: number;
  /** At a grip it says only that the join holds at least so much. */
  readonly brokeAt: 'join' | 'line' | 'grip';
}

/** Pulls from which a join's own figure stands instead of its default. */
export const PULLS_FOR_EFFICIENCY = 3;

/**
 * Share of the weaker line's strength that a join keeps: the mean of its pulls from three on, else the default of its
 * kind, said to be one. A break of the plain line means that the join held at least so much, and is reckoned with as that; where no two
 * pulls broke the join itself, it counts as that share, which the join at least has.
 *
 * @param kind of join
 * @param pulls to the break, in any order; those that broke at a grip are left out
 * @returns value with the SD of its mean
 */
export function joinEfficiencyOf(kind: JoinKind, pulls: readonly JoinPull[]): Known {
  const shares = sharesOf(pulls);
  const n = shares.length;
  if (n < PULLS_FOR_EFFICIENCY) {
    return { value: JOIN_KINDS[kind].efficiency, sd: DEFAULT_EFFICIENCY_SD, source: 'default' };
  }
  const censored = censoredNormal(
    pulls
      .filter((pull) => pull.brokeAt !== 'grip')
      .map((pull) => ({ value: pull.peakN / pull.weakerN, isAtLeast: pull.brokeAt === 'line' })),
  );
  const mean = censored?.mean ?? shares.reduce((sum, share) => sum + share, 0) / n;
  const sd = censored?.sd ?? Math.sqrt(shares.reduce((sum, share) => sum + (share - mean) ** 2, 0) / (n - 1));
  const known = censored?.seen ?? n;
  // Half of the 95 % interval of a small sample's mean, as the SD that stands for it.
  return {
    // No join is taken to be stronger than its line.
    value: Math.min(mean, Math.max(1, ...shares)),
    sd: Math.max((studentQuantile(0.975, known - 1) * sd) / Math.sqrt(known) / PLUS_MINUS_SDS, 0.005),
    source: 'measured',
  };
}

/** The mean share of several pulls, with the SD that stands for its 95 % interval. */
export function meanShare({
  mean,
  sd,
  pulls,
}: {
  readonly mean: number;
  readonly sd: number;
  readonly pulls: number;
}): Known {
  return {
    value: mean,
    sd: Math.max((studentQuantile(0.975, pulls - 1) * sd) / Math.sqrt(pulls) / PLUS_MINUS_SDS, 0.005),
    source: 'measured',
  };
}

/** What each pull that counts kept of the weaker line. */
export function sharesOf(pulls: readonly JoinPull[]): readonly number[] {
  return pulls.filter((pull) => pull.brokeAt !== 'grip').map((pull) => pull.peakN / pull.weakerN);
}

/** The share that 95 of 100 such joins keep, with 95 % confidence; null while there are not enough breaks. */
export function joinBoundShare(pulls: readonly JoinPull[]): number | null {
  const summary = summarisePulls(sharesOf(pulls), null);
  const bound = summary.ok ? lowerBound(summary.value) : summary;
  return bound.ok ? bound.value.boundN : null;
}
