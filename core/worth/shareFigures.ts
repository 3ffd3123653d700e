import { studentQuantile } from '../numerics/studentQuantile';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import { ERRORS } from '../measurement/errors';
import { noiseThatLeaves, type Belief, type Reading } from './belief';
import { PULLS, type Measurement } from './measurement';

/** One factor of a figure that is a product: its relative SD, and what could be done about it. */
export interface Factor {
  readonly relativeSd: number;
  readonly measurement: Measurement | null;
  /** Relative SD that the measurement would leave. */
  readonly relativeSdAfter: number;
}

/** What a product's factors leave open of it, and what could be measured for it. */
export function productFigure(
  value: number,
  factors: readonly Factor[],
): {
  readonly belief: Belief;
  readonly measurements: readonly (Measurement & { readonly readings: readonly Reading[] })[];
} {
  const only = (index: number, of: number): readonly number[] => factors.map((_, other) => (other === index ? of : 0));
  return {
    belief: {
      slopes: factors.map(() => value),
      covariance: factors.map(({ relativeSd }, index) => only(index, relativeSd ** 2)),
      ownVariance: 0,
    },
    measurements: factors.flatMap(({ measurement, relativeSd, relativeSdAfter }, index) => {
      const noiseVariance = noiseThatLeaves(relativeSd ** 2, relativeSdAfter ** 2);
      if (!measurement || !Number.isFinite(noiseVariance)) return [];
      return [{ ...measurement, readings: [{ slopes: only(index, 1), noiseVariance }] }];
    }),
  };
}

/** How breaks of one thing scatter: as its own pulls had it, else as is usual. */
export interface Scatter {
  readonly pulls: number;
  /** SD of single pulls ÷ mean; null where none is known. */
  readonly cv: number | null;
}

/** Relative SD of a mean, as the ± of a small sample has it, after three more pulls. */
export function meanSdAfterPulls({ pulls, cv }: Scatter): number {
  const n = pulls + PULLS;
  const scatter = cv ?? ERRORS.breakScatterShare.sd;
  return (studentQuantile(0.975, n - 1) * scatter) / Math.sqrt(n) / PLUS_MINUS_SDS;
}
