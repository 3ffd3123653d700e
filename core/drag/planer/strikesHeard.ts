import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { requirePositive } from '../../result';
import { withSlips } from './planerPosterior';
import type { Range90 } from './planerBracket';

/** A strike on the bait behind a planer: noticed when it came, or found later. */
export interface StrikeLook {
  /** Share of the lever's sweep, above 0 to 1. */
  readonly position: number;
  readonly isHeard: boolean;
}

/** Before any strike: too tight to feel one about here, within a factor of five (a guess, wide on purpose). */
const PRIOR = { mean: Math.log(0.9), sd: 0.8 } as const;
/** How sharply hearing ends along the lever, on the logarithm (a guess). */
const EDGE_SD = 0.25;
const NODES = 240;
const SPAN_SDS = 4;

/**
 * The place of the lever above which strikes go unheard, from strikes that were heard and missed: its own threshold, which nothing
 * about creep tells.
 *
 * @returns share of the sweep; above 1 means that strikes are heard at every place; null without a strike: it is not known
 */
export function unheardAbove(strikes: readonly StrikeLook[]): Range90 | null {
  if (strikes.length === 0) return null;
  for (const { position } of strikes) requirePositive('unheardAbove', { position });
  const step = (2 * SPAN_SDS * PRIOR.sd) / (NODES - 1);
  const logs = Array.from({ length: NODES }, (_, index) => PRIOR.mean - SPAN_SDS * PRIOR.sd + index * step);
  const weights = logs.map((log) =>
    strikes.reduce(
      (product, { position, isHeard }) => {
        const heard = normalCdf((log - Math.log(position)) / EDGE_SD, 0, 1);
        return product * withSlips(isHeard ? heard : 1 - heard);
      },
      Math.exp(-0.5 * ((log - PRIOR.mean) / PRIOR.sd) ** 2),
    ),
  );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const quantile = (share: number): number => {
    let sum = 0;
    for (const [index, log] of logs.entries()) {
      const weight = (weights[index] ?? 0) / total;
      if (sum + weight >= share) return Math.exp(log + step * ((share - sum) / weight - 0.5));
      sum += weight;
    }
    return Math.exp(logs.at(-1) ?? 0);
  };
  return { low: quantile(0.05), mid: quantile(0.5), high: quantile(0.95) };
}
