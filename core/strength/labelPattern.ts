import { failure, requirePositive, success, type Outcome } from '../result';
import { toSi } from '../units/units';

/** One size of a product: what its label says and what it was pulled to. */
export interface TestedSize {
  readonly labelN: number;
  readonly meanN: number;
  readonly n: number;
}

/** Label against true over the sizes of one product: the ratio never rises with size. */
export interface LabelPattern {
  /** By label, lightest first. */
  readonly sizes: readonly { readonly labelN: number; readonly ratio: number; readonly fitted: number }[];
  /** Relative SD by which single sizes depart from the pattern. */
  readonly relativeSd: number;
}

/** Sizes depart from a pattern by so much at least (from memory). */
const LEAST_SD = 0.04;
/** Relative SD of a size beyond those that were tested (from memory). */
const BEYOND_SD = 0.1;

/**
 * The pattern of a product's labels: least squares among ratios that never rise with the size (light lines exceed their
 * label more), by pooling neighbours that do not keep to it.
 *
 * @param sizes tested ones, in any order
 * @returns 'one-size' below two sizes
 */
export function labelPattern(sizes: readonly TestedSize[]): Outcome<LabelPattern, 'one-size'> {
  for (const { labelN, meanN } of sizes) requirePositive('labelPattern', { labelN, meanN });
  const sorted = sizes.toSorted((a, b) => a.labelN - b.labelN);
  if (new Set(sorted.map((size) => size.labelN)).size < 2) {
    return failure('one-size');
  }
  const pools: { ratio: number; weight: number; count: number }[] = [];
  for (const { labelN, meanN, n } of sorted) {
    let pool = { ratio: meanN / labelN, weight: n, count: 1 };
    while (pools.length > 0 && (pools.at(-1)?.ratio ?? 0) < pool.ratio) {
      const before = pools.pop();
      if (!before) break;
      const weight = before.weight + pool.weight;
      const ratio = (before.ratio * before.weight + pool.ratio * pool.weight) / weight;
      pool = { ratio, weight, count: before.count + pool.count };
    }
    pools.push(pool);
  }
  const fitted = pools.flatMap((pool) => Array.from({ length: pool.count }, () => pool.ratio));
  const rows = sorted.map((size, index) => ({
    labelN: size.labelN,
    ratio: size.meanN / size.labelN,
    fitted: fitted[index] ?? NaN,
  }));
  const squares = rows.reduce((sum, row) => sum + (row.ratio / row.fitted - 1) ** 2, 0);
  return success({ sizes: rows, relativeSd: Math.max(LEAST_SD, Math.sqrt(squares / rows.length)) });
}

/**
 * What an untested size of the product should hold: the pattern between its neighbours, on the logarithm of the label;
 * beyond the tested sizes that of the nearest, with a wider spread.
 *
 * @param labelN what the label of the untested size says (N)
 */
export function predictedBreak(pattern: LabelPattern, labelN: number): { readonly value: number; readonly sd: number } {
  requirePositive('predictedBreak', { labelN });
  const { sizes } = pattern;
  const [first, last] = [sizes[0], sizes.at(-1)];
  if (!first || !last) throw new RangeError('predictedBreak: a pattern has sizes');
  const above = sizes.findIndex((size) => size.labelN >= labelN);
  const [low, high] = [sizes[above - 1] ?? first, sizes[above] ?? last];
  const span = Math.log(high.labelN / low.labelN);
  const share = span > 0 ? Math.min(1, Math.max(0, Math.log(labelN / low.labelN) / span)) : 0;
  const ratio = low.fitted + share * (high.fitted - low.fitted);
  const isBeyond = labelN < first.labelN || labelN > last.labelN;
  const value = ratio * labelN;
  return { value, sd: value * Math.hypot(pattern.relativeSd, isBeyond ? BEYOND_SD : 0) };
}

/**
 * How far plain nylon commonly exceeds its label: half again up to 20 lb, 36 % from 25 to 50 lb, a quarter from 60 lb
 * (common practice, no source; single pulls of the heaviest showed 17 to 26 %). Between the groups on a straight line.
 *
 * @param labelN strength on the label (N)
 * @returns true ÷ label
 */
export function commonNylonRatio(labelN: number): number {
  requirePositive('commonNylonRatio', { labelN });
  const knots = [
    { atN: toSi('force', 20, 'lb'), ratio: 1.5 },
    { atN: toSi('force', 25, 'lb'), ratio: 1.36 },
    { atN: toSi('force', 50, 'lb'), ratio: 1.36 },
    { atN: toSi('force', 60, 'lb'), ratio: 1.25 },
  ];
  const above = knots.findIndex((knot) => knot.atN >= labelN);
  const [low, high] = [knots[above - 1], above < 0 ? knots.at(-1) : knots[above]];
  if (!high) throw new RangeError('commonNylonRatio: there are knots');
  if (!low || above < 0) return high.ratio;
  return low.ratio + ((labelN - low.atN) / (high.atN - low.atN)) * (high.ratio - low.ratio);
}
