import { Matrix } from 'ml-matrix';
import { borderedFit } from './borderedFit';
import { misfit, type Block, type Observation } from './borderedProblem';

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
 * @param from where to begin, as a fit of the very same ended; passed over where it says less than what is believed beforehand
 * @throws RangeError when an SD is not positive, or what is believed beforehand cannot be predicted
 */
export function fitToEvidence(
  priorSds: readonly number[],
  observations: readonly Observation[],
  predict: (unknowns: readonly number[]) => readonly number[],
  from?: readonly number[],
): Fit {
  const groups = observations.length > 0 ? [{ border: [], observations, predict }] : [];
  const block = { priorSds, groups };
  const begin = from && isBetter(block, from) ? { border: [], blocks: [{ values: from, inner: [] }] } : undefined;
  const { settled, iterations, blocks } = borderedFit({ sds: [] }, priorSds.length > 0 ? [block] : [], begin);
  const [fitted] = blocks;
  return {
    values: fitted?.values ?? [],
    covariance: fitted?.covariance ?? [],
    residuals: fitted?.residuals ?? [],
    settled,
    iterations,
  };
}

/** A start that came from elsewhere may be for other unknowns, or for evidence that was withdrawn. */
function isBetter(block: Block, from: readonly number[]): boolean {
  if (from.length !== block.priorSds.length || !from.every(Number.isFinite)) return false;
  const problem = { borderPriorSds: [], borderPrecision: Matrix.zeros(0, 0), blocks: [block] };
  const at = (own: readonly number[]): number => misfit(problem, { border: [], own: [own], inner: [[]] });
  return at(from) < at(block.priorSds.map(() => 0));
}
