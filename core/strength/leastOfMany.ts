import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import type { Known } from '../provenance/source';

/** Share of the least figure from which its bias as the least of many is worth a word. */
export const WORTH_SAYING = 0.01;

/** Steps of the integral over what the least may be: its error is far below a figure's last digit. */
const STEPS = 400;
/** SDs on either side that are looked at. */
const REACH_SDS = 8;

/**
 * How far the least of several figures, each with its own error, lies below the least of their best values on average: whichever
 * happens to be low is taken for the least. E[min] = ∫ Π P(each > x) dx, for independent normal errors.
 *
 * @param figures with their SDs, at least one
 * @returns 0 or above, in their unit
 * @throws RangeError without a figure
 */
export function leastOfMany(figures: readonly Pick<Known, 'value' | 'sd'>[]): number {
  const least = Math.min(...figures.map(({ value }) => value));
  if (!Number.isFinite(least)) throw new RangeError('leastOfMany: at least one figure is needed');
  const sure = figures.filter(({ sd }) => !(sd > 0));
  const ceiling = Math.min(Infinity, ...sure.map(({ value }) => value));
  const open = figures.filter(({ sd }) => sd > 0);
  if (open.length === 0) return 0;
  const from = Math.min(...open.map(({ value, sd }) => value - REACH_SDS * sd));
  const to = Math.min(ceiling, Math.max(...open.map(({ value, sd }) => value + REACH_SDS * sd)));
  if (to <= from) return 0;
  const step = (to - from) / STEPS;
  let sum = 0;
  for (let index = 0; index <= STEPS; index += 1) {
    const x = from + index * step;
    const all = open.reduce((product, { value, sd }) => product * (1 - normalCdf((x - value) / sd, 0, 1)), 1);
    sum += all * (index === 0 || index === STEPS ? 1 : index % 2 === 1 ? 4 : 2);
  }
  return Math.max(0, least - (from + (sum * step) / 3));
}
