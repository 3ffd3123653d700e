import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { bracketedRoot } from '../numerics/bracketedRoot';
import { PLUS_MINUS_SDS, propagate } from '../numerics/propagate';
import type { Figure } from '../provenance/figure';
import { failure, requirePositive, success, type Outcome } from '../result';
import type { CounterEstimate } from './estimateCounter';
import { countsAt, layerStepSd, withTopStripped } from './observations';

export interface TopAdjustment {
  /** Plain line to take off (m); negative means add. */
  readonly stripM: Figure;
  /** What the counter should show at the same true length afterwards, in counts. */
  readonly expectedReading: number;
  /** Chance that the counter is then true at that length to within 1 %, by what is known now. */
  readonly chanceWithinOnePercent: number;
}

export type AdviceProblem = 'roller-driven' | 'top-too-short' | 'past-the-rim' | 'already-true';

/** What counts as true: 1 % at the length that was asked for. */
const TRUE_SHARE = 0.01;
/** Counts within which a reading cannot be told from true. */
const TRUE_WITHIN_COUNTS = 0.5;

/**
 * How much plain line to take off or put on at the top so that the counter tells the truth at a length. Reading low
 * means that the spool is too full (each turn takes too much): strip. Reading high: add.
 *
 * The ± is that of the estimate behind it: with one walk, an error in the spool's size largely cancels and one in
 * the line's thickness does not; each further walk narrows both.
 *
 * @param estimate everything known of the counter on the line as it is now
 * @param lengthM true length at which it is to be true (m off the spool)
 * @param limitDiameterM wound diameter that must not be passed (m)
 * @param wantedCounts what it is to read there; the truth unless reels are to agree on something else
 * @returns the adjustment; or why there is none: 'already-true', 'top-too-short' (the top shot would be lost: use
 *   the card) or 'past-the-rim' (figures: `mostM`, what can be added, and `readingAtRim`)
 */
export function topAdjustment(
  estimate: CounterEstimate,
  lengthM: number,
  limitDiameterM: number,
  wantedCounts = lengthM / estimate.counter.unitM,
): Outcome<TopAdjustment, AdviceProblem> {
  requirePositive('topAdjustment', { lengthM, limitDiameterM, wantedCounts });
  const { unitM } = estimate.counter;
  if (Math.abs(countsAt(estimate.best, lengthM, unitM) - wantedCounts) <= TRUE_WITHIN_COUNTS) {
    return failure('already-true', { wantedCounts });
  }
  if (estimate.counter.drive === 'roller') {
    return failure('roller-driven');
  }
  const solve = (unknowns: readonly number[]): Outcome<number, AdviceProblem> => {
    const load = estimate.realise(unknowns);
    const { line } = load;
    const top = line.segments.findLast((segment) => segment.wound);
    // Stripping may use the top segment up to its last centimetre, but never more than leaves the walk its length;
    // adding may triple the line.
    // (A share too: of a line as long as a misread counter makes it, a centimetre is below the last digit.)
    const most = Math.min((top?.lengthM ?? 0) * (1 - 1e-9) - 0.01, line.woundLengthM - lengthM);
    const off = (stripM: number): number =>
      countsAt({ ...load, line: withTopStripped(line, stripM) }, lengthM, unitM) - wantedCounts;
    const root = bracketedRoot(off, -2 * line.woundLengthM, Math.max(most, 0), 1e-4);
    return root.ok ? success(root.value.root) : failure('top-too-short');
  };
  const answer = solve(estimate.unknowns.map((unknown) => unknown.value));
  if (!answer.ok) return answer;
  const stripM = answer.value;
  if (withTopStripped(estimate.best.line, stripM).fullDiameterM > limitDiameterM) {
    return pastTheRim(estimate, lengthM, limitDiameterM, stripM);
  }
  const spread = propagate(
    estimate.unknowns,
    (unknowns) => {
      const outcome = solve(unknowns);
      const load = estimate.realise(unknowns);
      // Where the line is so short that the strip would take it all, it stays as it is.
      const isLeft = stripM < (load.line.segments.findLast((segment) => segment.wound)?.lengthM ?? 0);
      const line = isLeft ? withTopStripped(load.line, stripM) : load.line;
      return [outcome.ok ? outcome.value : stripM, countsAt({ ...load, line }, lengthM, unitM)];
    },
    estimate.correlation,
  );
  return success({
    stripM: {
      value: stripM,
      plusMinus: PLUS_MINUS_SDS * (spread.sds[0] ?? NaN),
      mainlyFrom: spread.largestContributors[0] ?? null,
    },
    expectedReading: wantedCounts,
    chanceWithinOnePercent: chanceWithin(Math.hypot((spread.sds[1] ?? NaN) / wantedCounts, layerStepSd(lengthM))),
  });
}

/** Chance that what has this relative SD about the truth is true enough. */
const chanceWithin = (relativeSd: number): number => 1 - 2 * normalCdf(-TRUE_SHARE / relativeSd, 0, 1);

function pastTheRim(
  { best, counter }: CounterEstimate,
  lengthM: number,
  limitDiameterM: number,
  wantedStripM: number,
): Outcome<TopAdjustment, AdviceProblem> {
  const room = bracketedRoot(
    (addM) => withTopStripped(best.line, -addM).fullDiameterM - limitDiameterM,
    0,
    Math.max(-wantedStripM, 1e-3),
    1e-3,
  );
  const mostM = room.ok ? room.value.root : 0;
  return failure('past-the-rim', {
    mostM,
    wantedM: -wantedStripM,
    readingAtRim: countsAt({ ...best, line: withTopStripped(best.line, -mostM) }, lengthM, counter.unitM),
  });
}
