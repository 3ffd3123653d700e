import { fitToEvidence, type Fit } from '../numerics/fitToEvidence';
import { distance, type Observation } from '../numerics/borderedProblem';

/** A piece of evidence that disagrees with all the others and with what was believed beforehand. */
export interface Conflict {
  /** Its place among the observations. */
  readonly index: number;
  /** How far it lies from what everything else says, in SDs of both together. */
  readonly offBySds: number;
  /** True for the one that is named first. */
  readonly worst: boolean;
  /** Places of those that may just as well be the odd one: without them, the rest agrees about as well as without this one. */
  readonly orElse: readonly number[];
}

/** From here on a piece conflicts with the rest: 1 in 370 by chance. */
const CONFLICT_SDS = 3;

/** Without which of two pieces the rest agrees better cannot be told within so many SDs squared: two SDs. */
const AS_GOOD = 4;
/** With more pieces than this there is always a majority. */
const MOST_TO_ASK = 8;

/** Step of a derivative, in prior SDs: small against what the unknowns move, large against rounding. */
const STEP = 1e-4;

type Predict = (unknowns: readonly number[]) => readonly number[];

/**
 * The pieces that conflict, the worst first. Each is held against what all the others and the prior say without it (its studentised
 * residual, Cook and Weisberg 1982); the worst is set aside, and the rest are looked at again, so that one bad piece does not put
 * the blame on those that it disagrees with.
 *
 * @param priorSds SD of each unknown beforehand
 * @param observations what was measured; `slack` is how far it may lie off with nothing wrong, such as the count that a display of
 *   whole counts may differ by, in its own unit
 * @param predict all unknowns → what each observation would be
 * @param fit of all of them
 */
export function conflictsOf(
  priorSds: readonly number[],
  observations: readonly (Observation & { readonly slack: number })[],
  predict: Predict,
  fit: Fit,
): readonly Conflict[] {
  const found: Omit<Conflict, 'worst'>[] = [];
  let left = observations.map((_, index) => index);
  let now = fit;
  while (left.length > 0) {
    const of = left;
    const offs = studentised(
      now,
      of.flatMap((index) => observations[index] ?? []),
      (unknowns) => {
        const all = predict(unknowns);
        return of.map((index) => all[index] ?? NaN);
      },
    );
    const tells = offs.map(({ bySds, offSds }, index) => {
      const { sd = NaN, slack = 0 } = observations[of[index] ?? -1] ?? {};
      return Math.abs(offSds * sd) > slack ? bySds : 0;
    });
    const at = tells.reduce((worst, off, index) => (Math.abs(off) > Math.abs(tells[worst] ?? 0) ? index : worst), 0);
    const offBySds = tells[at] ?? 0;
    if (!(Math.abs(offBySds) > CONFLICT_SDS)) break;
    const without = (place: number): { readonly fit: Fit; readonly misfit: number } => {
      const rest = of.toSpliced(place, 1);
      const kept = rest.flatMap((index) => observations[index] ?? []);
      const fitted = fitToEvidence(priorSds, kept, (unknowns) => {
        const all = predict(unknowns);
        return rest.map((index) => all[index] ?? NaN);
      });
      return { fit: fitted, misfit: misfitOf(fitted, kept, priorSds) };
    };
    const { fit: rest, misfit } = without(at);
    // Only of the worst it is asked whether it could be another: it is the one that is named.
    const orElse =
      found.length > 0 || of.length > MOST_TO_ASK
        ? []
        : of.filter((_, place) => place !== at && without(place).misfit < misfit + AS_GOOD);
    found.push({ index: of[at] ?? -1, offBySds, orElse });
    left = of.toSpliced(at, 1);
    now = rest;
  }
  return found.map((each, place) => ({ ...each, worst: place === 0 }));
}

/** Squared distance of a fit from observations and prior, in their SDs, as the tails have it. */
function misfitOf({ values, residuals }: Fit, of: readonly Observation[], priorSds: readonly number[]): number {
  const prior = values.reduce((sum, value, index) => sum + (value / (priorSds[index] ?? 1)) ** 2, 0);
  return residuals.reduce((sum, residual, index) => sum + distance(residual, of[index]?.tails), prior);
}

/** How far each observation lies from what everything else says without it: in SDs of both together, and in SDs of its own. */
function studentised(
  { values, covariance, residuals }: Fit,
  observations: readonly Observation[],
  predict: Predict,
): readonly { readonly bySds: number; readonly offSds: number }[] {
  const gradients = values.map((_, unknown) => {
    const moved = (by: number): readonly number[] =>
      predict(values.map((value, index) => (index === unknown ? value + by : value)));
    const [up, down] = [moved(STEP), moved(-STEP)];
    return up.map((each, index) => (each - (down[index] ?? NaN)) / (2 * STEP));
  });
  return residuals.map((residual, index) => {
    const { sd = NaN, tails = Infinity } = observations[index] ?? {};
    const gradient = gradients.map((each) => (each[index] ?? 0) / sd);
    const known = gradient.reduce(
      (sum, a, i) => sum + gradient.reduce((inner, b, j) => inner + a * b * (covariance[i]?.[j] ?? 0), 0),
      0,
    );
    // A piece with tails has pulled with its weight only: so much less of the fit goes when it does.
    const open = Math.max(1 - known / (1 + residual ** 2 / tails), 1e-6);
    return { bySds: residual / open / Math.sqrt(1 + known / open), offSds: residual / open };
  });
}

/** Chance below which the disagreement of all pieces together is no chance: 1 in 100, as a normal deviate. */
const NO_CHANCE = 2.326;

/**
 * By how much every ± is widened because the pieces disagree: the Birge ratio (Birge 1932) of their squared residuals and of how far
 * the unknowns went from what was believed, over the number of pieces; 1 while that can be chance (χ² by Wilson and Hilferty 1931).
 */
export function widening({ values, residuals }: Fit, priorSds: readonly number[]): number {
  const n = residuals.length;
  if (n === 0) return 1;
  const moved = values.reduce((sum, value, index) => sum + (value / (priorSds[index] ?? 1)) ** 2, 0);
  const chi2 = residuals.reduce((sum, residual) => sum + residual ** 2, moved);
  const spread = 2 / (9 * n);
  const deviate = (Math.cbrt(chi2 / n) - (1 - spread)) / Math.sqrt(spread);
  return deviate > NO_CHANCE ? Math.sqrt(chi2 / n) : 1;
}
