import { fTail } from '../numerics/fTail';
import { toleranceFactor } from '../numerics/toleranceFactor';
import { failure, requirePositive, type Outcome } from '../result';
import { aboveZero, CONFIDENCE, CONTENT, type LowerBound, type NoBound } from './lowerBound';

/** Chance of like spools below which they are taken as unlike: the usual level for pooling batches of a material. */
const UNLIKE_BELOW = 0.25;

/** What several spools of one line scatter, within a spool and from one to the next. */
interface LotScatter {
  readonly mean: number;
  /** Mean squares between spools, and within them. */
  readonly between: number;
  readonly within: number;
  /** Pulls of a spool, as the mean that the expected mean squares ask for. */
  readonly each: number;
  readonly pulls: number;
}

/**
 * One-sided lower tolerance bound of a line of which several spools were pulled: what a share of all pieces, of whatever spool,
 * should hold. Spools are a random effect; where nothing speaks for their being unlike, their pulls are taken as one sample.
 * Source: Composite Materials Handbook CMH-17, volume 1, chapter 8, the analysis-of-variance method for between-batch variability.
 *
 * @param lotsN pulls of each spool (N), at least two spools with at least one pull, and three pulls in all
 * @param content share of pieces
 * @param confidence with which it is said
 * @returns the bound; or why there is none, as of one sample
 */
export function lotBound(
  lotsN: readonly (readonly number[])[],
  content = CONTENT,
  confidence = CONFIDENCE,
): Outcome<LowerBound, NoBound> {
  const lots = lotsN.filter((lot) => lot.length > 0);
  if (lots.length < 2) throw new RangeError('lotBound: at least two spools with pulls are needed');
  lots.forEach((lot, at) => requirePositive('lotBound', Object.fromEntries(lot.map((n, i) => [`lot ${at}[${i}]`, n]))));
  const scatter = scatterOf(lots);
  const { mean, between, within, each, pulls } = scatter;
  if (pulls < 3) return failure('too-few', { more: 3 - pulls });
  if (between === 0 && within === 0) return failure('no-spread');
  const whole = toleranceFactor(pulls, content, confidence);
  const isAlike = within > 0 && fTail(between / within, lots.length - 1, pulls - lots.length) > UNLIKE_BELOW;
  if (isAlike) {
    const sd = Math.sqrt(((lots.length - 1) * between + (pulls - lots.length) * within) / (pulls - 1));
    return aboveZero(mean - whole * sd, whole, 'lots', pulls);
  }
  const ofLots = toleranceFactor(lots.length, content, confidence);
  const sd = Math.sqrt(between / each + ((each - 1) / each) * within);
  const factor = each - 1 < 1e-9 || within === 0 ? ofLots : mixed(whole, ofLots, between / within, each);
  return aboveZero(mean - factor * sd, factor, 'lots', pulls);
}

/** Factor between that of all pulls, where spools are alike, and that of as many pulls as there are spools, where they are all. */
function mixed(whole: number, ofLots: number, ratio: number, each: number): number {
  const u = Math.max(1, ratio);
  const w = Math.sqrt(u / (u + each - 1));
  const root = 1 / Math.sqrt(each);
  return (whole - ofLots * root + (ofLots - whole) * w) / (1 - root);
}

function scatterOf(lots: readonly (readonly number[])[]): LotScatter {
  const pulls = lots.reduce((sum, lot) => sum + lot.length, 0);
  const sumOf = (lot: readonly number[]): number => lot.reduce((sum, pull) => sum + pull, 0);
  const mean = lots.reduce((sum, lot) => sum + sumOf(lot), 0) / pulls;
  let [between, within, squares] = [0, 0, 0];
  for (const lot of lots) {
    const ofLot = sumOf(lot) / lot.length;
    between += lot.length * (ofLot - mean) ** 2;
    within += lot.reduce((sum, pull) => sum + (pull - ofLot) ** 2, 0);
    squares += lot.length ** 2;
  }
  const degrees = pulls - lots.length;
  return {
    mean,
    between: between / (lots.length - 1),
    within: degrees > 0 ? within / degrees : 0,
    each: (pulls - squares / pulls) / (lots.length - 1),
    pulls,
  };
}
