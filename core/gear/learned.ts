import type { JointErrors } from '../load/planLoad';
import type { Known, Source } from '../provenance/source';
import { TAPE_KEY } from '../calibration/loadModel';
import { ERRORS } from '../measurement/errors';
import type { DimensionKey, FittedReel, GearFit } from './fittedGear';
import type { ReelShape } from './reelShape';

/** What a fit says of one reel and of the lines that may go on it. */
export interface LearnedReel extends ReelShape {
  readonly lengthPerTurnM: Known | null;
  /** Factor on the space that each line was believed to take, by the line's id. */
  readonly lineFactors: Readonly<Record<string, number>>;
  /** By how much lengths are longer than the outfit's tape says. */
  readonly tapeShare: number;
  readonly joint: JointErrors;
}

/** Correlations and SDs are kept to so many digits: what was learned is stored, and nobody plans by the seventh. */
const DIGITS = 7;

/**
 * Reads one reel out of a fit of all gear. The errors of the lines are widened by what packing differs from load to
 * load, since the next load is another one.
 *
 * @param source where the reel's figures now come from
 * @throws RangeError when the fit does not hold the reel
 */
export function learnedReel(
  fit: Pick<GearFit, 'lines' | 'tapeShare' | 'sharedCovariance'> & { readonly reels: readonly FittedReel[] },
  reelId: string,
  source: Source,
): LearnedReel {
  const reel = fit.reels.find((candidate) => candidate.reelId === reelId);
  if (!reel) throw new RangeError(`learnedReel: the fit does not hold reel ${reelId}`);
  const known = (dimension: DimensionKey): Known | null => {
    const found = reel.dimensions.find((each) => each.dimension === dimension);
    return found ? { value: found.value, sd: found.value * found.relativeSd, source } : null;
  };
  const required = (dimension: DimensionKey): Known => {
    const found = known(dimension);
    if (!found) throw new RangeError(`learnedReel: the fit does not hold ${dimension} of reel ${reelId}`);
    return found;
  };
  const own = reel.dimensions.length;
  const covarianceAt = (i: number, j: number): number => {
    if (i < own) return (j < own ? reel.covariance[i]?.[j] : reel.withShared[i]?.[j - own]) ?? NaN;
    return (j < own ? reel.withShared[j]?.[i - own] : fit.sharedCovariance[i - own]?.[j - own]) ?? NaN;
  };
  const sds = [
    ...reel.dimensions.map((each) => each.relativeSd),
    ...fit.lines.map((line) => Math.hypot(line.relativeSd, ERRORS.packingRepeatShare.sd)),
    Math.sqrt(fit.sharedCovariance[fit.lines.length]?.[fit.lines.length] ?? NaN),
  ];
  const rounded = (value: number): number => Number(value.toPrecision(DIGITS));
  return {
    arborDiameterM: required('arborDiameterM'),
    widthM: required('widthM'),
    fullDiameterM: required('fullDiameterM'),
    lengthPerTurnM: known('lengthPerTurnM'),
    lineFactors: Object.fromEntries(fit.lines.map((line) => [line.lineId, line.value])),
    tapeShare: fit.tapeShare,
    joint: {
      // A counter's constant goes into plans under its own name.
      keys: [
        ...reel.dimensions.map(({ dimension }) => (dimension === 'lengthPerTurnM' ? 'counter' : dimension)),
        ...fit.lines.map((line) => line.lineId),
        TAPE_KEY,
      ],
      relativeSds: sds.map(rounded),
      correlation: sds.map((a, i) => sds.map((b, j) => (i === j ? 1 : rounded(covarianceAt(i, j) / (a * b))))),
    },
  };
}
