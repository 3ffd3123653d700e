import { requirePositive } from '../result';

/**
 * What long line holds of what a short sample did, as a what-if: the weakest of many pieces breaks first. For strengths
 * that scatter as Weibull says, with shape m, the factor is (L₀/L)^(1/m), and m is about 1.2 ÷ CV.
 *
 * @param sampleM length between the grips (m)
 * @param lengthM length of line in question (m)
 * @param cv scatter of the pulls, SD ÷ mean
 * @returns a share, at most 1
 */
export function lengthFactor(sampleM: number, lengthM: number, cv: number): number {
  requirePositive('lengthFactor', { sampleM, lengthM, cv });
  return Math.min(1, (sampleM / lengthM) ** (cv / 1.2));
}
