import { bisect } from '../numerics/bisect';
import { PLUS_MINUS_SDS, propagate } from '../numerics/propagate';
import { failure, requirePositive, success, type Outcome } from '../result';
import { spoolStateAt, type LoadedLine } from '../spool/loadedLine';
import { reshaped } from '../spool/reshaped';
import type { Figure } from '../provenance/figure';
import { constantFromTape, TAPE_SD_M, WHOLE_COUNT_SD, withTopStripped, type TapeTrial } from './counterConstant';

export interface TopAdjustment {
  /** Plain line to take off (m); negative means add. */
  readonly stripM: Figure;
  /** What the counter should show at the same true length afterwards, in counts. */
  readonly expectedReading: number;
}

export type AdviceProblem = 'top-too-short' | 'past-the-rim' | 'already-true';

export interface AdviceOptions {
  /** Wound diameter that must not be passed (m). */
  readonly limitDiameterM: number;
  /** SD of the wound diameter (m). */
  readonly diameterSdM: number;
  /** Relative SD of the space that the top line takes per metre. */
  readonly areaRelativeSd: number;
}

/** Counts within which a reading cannot be told from true. */
const TRUE_WITHIN_COUNTS = 0.5;

/** Length to strip so that `trueLengthM` takes the turns that the counter calls by its right name. */
function stripForTurns(line: LoadedLine, trueLengthM: number, turnsWanted: number): Outcome<number, AdviceProblem> {
  const top = line.segments.findLast((segment) => segment.wound);
  if (!top) return failure('top-too-short', 'Nothing is wound on this spool.');
  const missing = (stripM: number): number =>
    spoolStateAt(withTopStripped(line, stripM), trueLengthM).turns - turnsWanted;
  // Stripping may use the top segment up to its last centimetre, but never more than leaves the walk
  // its length; adding may triple the line.
  const most = Math.min(top.lengthM - 0.01, line.woundLengthM - trueLengthM);
  const root = bisect(missing, -2 * line.woundLengthM, Math.max(most, 0), 1e-4);
  if (root.ok) return success(root.value.root);
  return failure('top-too-short', 'Even without its whole top line this spool would still read low.', { most });
}

/**
 * First advice from one tape test: how much plain line to take off or put on at the top so that the
 * counter tells the truth at that length. Reading low means that the spool is too full (each turn
 * takes too much): strip. Reading high: add.
 *
 * The ± comes from the tape, the whole count, the wound diameter and the line's space per metre. The
 * constant is re-derived from the reading for every one of them, so an error in the spool's size
 * largely cancels and an error in the line's thickness does not.
 *
 * @param line the line as loaded, before the adjustment
 * @param unitM length of one count (m)
 * @param trial the walk
 * @param options the rim, and how well things are known
 * @returns the adjustment; or why there is none: 'already-true', 'top-too-short' (the top shot would
 *   be lost: use the card) or 'past-the-rim' (figures: `mostM`, what can be added, and
 *   `readingAtRim`)
 */
export function firstAdvice(
  line: LoadedLine,
  unitM: number,
  trial: TapeTrial,
  options: AdviceOptions,
): Outcome<TopAdjustment, AdviceProblem> {
  requirePositive('firstAdvice', { unitM, trueLengthM: trial.trueLengthM, reading: trial.reading });
  const trueCounts = trial.trueLengthM / unitM;
  if (Math.abs(trial.reading - trueCounts) <= TRUE_WITHIN_COUNTS) {
    return failure('already-true', 'The counter is true here to within its own whole count.', { trueCounts });
  }
  const solve = (t: number, r: number, diameterFactor: number, areaFactor: number): Outcome<number, AdviceProblem> => {
    const scaled = reshaped(
      line,
      diameterFactor,
      line.segments.map(() => areaFactor),
    );
    const constantM = constantFromTape(scaled, unitM, { ...trial, trueLengthM: t, reading: r }).value;
    return stripForTurns(scaled, trial.trueLengthM, trial.trueLengthM / constantM);
  };
  const best = solve(trial.trueLengthM, trial.reading, 1, 1);
  if (!best.ok) return best;
  const spread = propagate(
    [
      { name: 'the tape', value: trial.trueLengthM, sd: TAPE_SD_M },
      { name: 'reading to a whole count', value: trial.reading, sd: WHOLE_COUNT_SD },
      { name: "the spool's diameter", value: 1, sd: options.diameterSdM / line.fullDiameterM },
      { name: "the line's thickness and packing", value: 1, sd: options.areaRelativeSd },
    ],
    ([t = 0, r = 0, d = 1, a = 1]) => {
      const outcome = solve(t, r, d, a);
      return [outcome.ok ? outcome.value : best.value];
    },
  );
  const stripM: Figure = {
    value: best.value,
    plusMinus: PLUS_MINUS_SDS * (spread.sds[0] ?? NaN),
    mainlyFrom: spread.largestContributors[0] ?? null,
  };
  const after = withTopStripped(line, best.value);
  if (after.fullDiameterM > options.limitDiameterM) return pastTheRim(line, unitM, trial, options, best.value);
  return success({ stripM, expectedReading: trueCounts });
}

function pastTheRim(
  line: LoadedLine,
  unitM: number,
  trial: TapeTrial,
  options: AdviceOptions,
  wantedStripM: number,
): Outcome<TopAdjustment, AdviceProblem> {
  const room = bisect(
    (addM) => withTopStripped(line, -addM).fullDiameterM - options.limitDiameterM,
    0,
    Math.max(-wantedStripM, 1e-3),
    1e-3,
  );
  const mostM = room.ok ? room.value.root : 0;
  const constantM = constantFromTape(line, unitM, trial).value;
  const turnsAtRim = spoolStateAt(withTopStripped(line, -mostM), trial.trueLengthM).turns;
  return failure('past-the-rim', 'Adding that much line would overfill the spool: leave it and use the card.', {
    mostM,
    wantedM: -wantedStripM,
    readingAtRim: (turnsAtRim * constantM) / unitM,
  });
}
