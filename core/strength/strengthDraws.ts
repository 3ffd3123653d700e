import gammaln from '@stdlib/math-base-special-gammaln';
import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { ERRORS } from '../measurement/errors';
import { tabled } from '../numerics/tabled';
import { requirePositive } from '../result';

/** Numbers from 0 (included) to 1 (excluded): chance is passed in. */
export type Chance = () => number;

/** How strengths of single pieces scatter. */
export type StrengthLaw = 'normal' | 'weibull';

/**
 * A strength, or the share that a kind of join keeps, as far as it is known: the mean of so many pulls of single pieces, or what is
 * believed where there are none.
 */
export interface StrengthKnown {
  /** One spool of a line, or one kind of join: whatever has the same key has the same mean and scatter in each draw. */
  readonly key: string;
  readonly mean: number;
  /** Relative SD of the mean where nothing was pulled; of pulls it follows from their scatter. */
  readonly beliefRelativeSd: number;
  readonly pulls: number;
  /** SD of those pulls ÷ their mean; null below two of them, and where another line's scatter is not lent. */
  readonly cv: number | null;
  /** Degrees of freedom behind the scatter. */
  readonly degrees: number;
  /** Relative SD between spools; 0 for what is not bought by the spool. */
  readonly lotRelativeSd: number;
  /** Length of the pieces that were pulled (m); null for joins. */
  readonly gaugeLengthM: number | null;
}

/** One draw of a strength: the mean of pieces of the pulled length, their scatter, and how far length weakens it (0 to 1). */
export interface StrengthDraw {
  readonly mean: number;
  readonly scatter: Scatter;
  readonly lengthShare: number;
}

/**
 * Degrees of freedom with which the usual scatter of breaks stands beside a few pulls: lines of one kind scatter alike within a factor
 * of two or so (from memory).
 */
const USUAL_DEGREES = 8;
/** Median of χ² with those degrees, over them: the usual scatter is as often too small as too large. */
const USUAL_MEDIAN = 7.344 / USUAL_DEGREES;
const BELIEVABLE = { least: 0.005, most: 0.6 } as const;
/** No draw of a mean is taken to be under this share of what is believed. */
const LEAST_SHARE = 0.05;

/** Sum of squares of so many normal deviates: each two of them are an exponential one. */
function chiSquare(degrees: number, chance: Chance): number {
  let sum = degrees % 2 === 1 ? deviateAt(chance()) ** 2 : 0;
  for (let pair = 1; pair <= degrees / 2; pair += 1) sum -= 2 * Math.log(1 - chance());
  return sum;
}

/** A normal deviate at a share of its distribution. */
export const deviateAt = (share: number): number => normalQuantile(Math.min(Math.max(share, 1e-15), 1 - 1e-15), 0, 1);

/**
 * One draw of a strength from what is known of it: the scatter from its scaled inverse χ², with the usual scatter beside the pulls' own;
 * the mean, given that scatter, with the spool that is on beside the one that was pulled.
 *
 * @param meanAt where the mean is drawn, as a share of its distribution: spread evenly over many draws it tells rare ones sooner
 */
export function drawStrength(known: StrengthKnown, chance: Chance, meanAt: number): StrengthDraw {
  const { mean, pulls, cv, degrees, lotRelativeSd, beliefRelativeSd } = known;
  const usual = ERRORS.breakScatterShare.sd;
  const own = cv === null ? 0 : Math.max(0, Math.round(degrees));
  const scale = (USUAL_DEGREES * USUAL_MEDIAN * usual ** 2 + own * (cv ?? 0) ** 2) / (USUAL_DEGREES + own);
  const drawn = Math.sqrt((scale * (USUAL_DEGREES + own)) / chiSquare(USUAL_DEGREES + own, chance));
  const scatter = Math.min(Math.max(drawn, BELIEVABLE.least), BELIEVABLE.most);
  const at = deviateAt(meanAt);
  // Of a spool that was pulled another one is on: both differ from what spools are on average, so what is drawn is a ratio.
  const share =
    pulls > 0
      ? Math.exp(Math.hypot(scatter / Math.sqrt(pulls), lotRelativeSd * Math.SQRT2) * at)
      : 1 + beliefRelativeSd * at;
  return {
    mean: mean * Math.max(share, LEAST_SHARE),
    scatter: scatterOf(scatter),
    lengthShare: chance(),
  };
}

/** A scatter, with what Weibull's law makes of it: worked out once for many tensions. */
export interface Scatter {
  /** SD of single pieces ÷ their mean. */
  readonly cv: number;
  readonly shape: number;
  /** ln Γ(1 + 1/shape): the logarithm of the mean over the scale. */
  readonly lnMean: number;
}

/** Steps to the shape at most; each leaves a tenth of what it was off by, or less where pieces scatter as lines do. */
const STEPS = 60;
const NEAR = 1e-10;

/** The scatter of a Weibull law with a CV: Γ(1 + 2/k) / Γ(1 + 1/k)² = 1 + CV². */
export function scatterOf(cv: number): Scatter {
  requirePositive('scatterOf', { cv });
  const wanted = Math.log1p(cv ** 2);
  // The left side is about (π²/6)/k²: what is missing of it, as a share, is what its root must grow by.
  let inverse = (cv * Math.sqrt(6)) / Math.PI;
  for (let step = 0; step < STEPS; step += 1) {
    const share = Math.sqrt(wanted / (gammaln(1 + 2 * inverse) - 2 * gammaln(1 + inverse)));
    inverse *= share;
    if (Math.abs(share - 1) < NEAR) break;
  }
  return { cv, shape: 1 / inverse, lnMean: gammaln(1 + inverse) };
}

/** Chance of a normal deviate under z, and of one that breaks by Weibull's law under e to the x times its scale to the shape. */
const normalUnder = tabled(
  (z) => normalCdf(z, 0, 1),
  (z) => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI),
  -8,
  8,
);
const weibullUnder = tabled(
  (x) => -Math.expm1(-Math.exp(x)),
  (x) => Math.exp(x - Math.exp(x)),
  -20,
  5,
);

/**
 * Chance that a piece breaks under a tension.
 *
 * @param tensionN the largest tension on it (N)
 * @param meanN mean strength of such a piece (N)
 */
export function breakChance(law: StrengthLaw, tensionN: number, meanN: number, { cv, shape, lnMean }: Scatter): number {
  if (tensionN <= 0) return 0;
  if (law === 'normal') return normalUnder((tensionN / meanN - 1) / cv);
  return weibullUnder(shape * (Math.log(tensionN / meanN) + lnMean));
}

/**
 * What a draw's mean is over a length: the weakest of many pieces breaks first, so far as weak places lie along the line by chance.
 *
 * @param lengthM length under tension (m)
 * @param gaugeLengthM of the pieces that were pulled (m)
 */
export function meanOverLength(draw: StrengthDraw, lengthM: number, gaugeLengthM: number): number {
  // Asked for each place of each draw: the check is spelled out.
  if (!(gaugeLengthM > 0)) requirePositive('meanOverLength', { gaugeLengthM });
  if (lengthM <= gaugeLengthM) return draw.mean;
  return draw.mean * (gaugeLengthM / lengthM) ** (draw.lengthShare / draw.scatter.shape);
}
