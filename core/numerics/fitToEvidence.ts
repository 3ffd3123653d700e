import { borderedFit } from './borderedFit';
import type { Observation } from './borderedProblem';

export interface Fit {
  /** Best values of the unknowns, in prior SDs of each are 0 ± 1. */
  readonly values: readonly number[];
  /** Covariance of their errors. */
  readonly covariance: readonly (readonly number[])[];
  /** For each observation (observed − fitted) ÷ SD: beyond about 3 it does not fit. */
  readonly residuals: readonly number[];
  /** False when the rounds ended before the answer stood still. */
  readonly settled: boolean;
  readonly iterations: number;
}

/**
 * Weighted least squares with a prior: unknowns that are 0 ± prior SD before anything is measured, and observations that
 * depend on them. It is the fit with a border, of one block and no border: its rounds are told there. The covariance is the
 * inverse of the normal matrix at the end, so it holds as far as the observations are linear over their own errors.
 *
 * @param priorSds SD of each unknown before the observations, all above 0
 * @param observations what was measured
 * @param predict all unknowns → what each observation would be; not finite where it cannot be
 * @throws RangeError when an SD is not positive, or what is believed beforehand cannot be predicted
 */
export function fitToEvidence(
  priorSds: readonly number[],
  observations: readonly Observation[],
  predict: (unknowns: readonly number[]) => readonly number[],
): Fit {
  const groups = observations.length > 0 ? [{ border: [], observations, predict }] : [];
  const block = { priorSds, groups };
  const { settled, iterations, blocks } = borderedFit({ sds: [] }, priorSds.length > 0 ? [block] : []);
  const [fitted] = blocks;
  return {
    values: fitted?.values ?? [],
    covariance: fitted?.covariance ?? [],
    residuals: fitted?.residuals ?? [],
    settled,
    iterations,
  };
}
