import { ERRORS } from '../measurement/errors';
import { PLUS_MINUS_SDS, propagate } from '../numerics/propagate';
import type { Figure } from '../provenance/figure';
import type { CounterEstimate } from './estimateCounter';
import { countsAt, layerStepSd } from './observations';

/**
 * What the counter shows at true lengths paid off the spool, from zero, with a ±: the errors of the estimate, the
 * steps of real layers, and the whole count.
 *
 * @param estimate everything known of the counter on its load
 * @param paidOutsM lengths off the spool (m)
 * @returns unwrapped counts for each length
 */
export function correctionTable(estimate: CounterEstimate, paidOutsM: readonly number[]): readonly Figure[] {
  // Over a roller no layer steps.
  const stepsSd = estimate.counter.drive === 'roller' ? () => 0 : layerStepSd;
  const spread = propagate(
    estimate.unknowns,
    (unknowns) => {
      const load = estimate.realise(unknowns);
      return paidOutsM.map((paidOutM) => countsAt(load, paidOutM, estimate.counter.unitM));
    },
    estimate.correlation,
  );
  return spread.values.map((value, index) => ({
    value,
    plusMinus:
      PLUS_MINUS_SDS *
      Math.hypot(spread.sds[index] ?? NaN, value * stepsSd(paidOutsM[index] ?? NaN), ERRORS.wholeCount.sd),
    mainlyFrom: spread.largestContributors[index] ?? null,
  }));
}
