import type { JointErrors } from '../load/planLoad';
import type { Known, Source } from '../provenance/source';
import { PACKING_REPEAT_RELATIVE_SD, type FittedUnknown, type GearFit } from './gearFit';
import type { ReelShape } from './reelShape';

/** What a fit says of one reel and of the lines that may go on it. */
export interface LearnedReel extends ReelShape {
  readonly lengthPerTurnM: Known | null;
  /** Factor on the space that each line was believed to take, by the line's id. */
  readonly lineFactors: Readonly<Record<string, number>>;
  readonly joint: JointErrors;
}

/**
 * Reads one reel out of a fit of all gear. The errors of the lines are widened by what packing differs from load to
 * load, since the next load is another one.
 *
 * @param source where the reel's figures now come from
 * @throws RangeError when the fit does not hold the reel
 */
export function learnedReel(fit: GearFit, reelId: string, source: Source): LearnedReel {
  const rows = fit.unknowns.flatMap((unknown, index) => {
    if ('lineId' in unknown.of)
      return [{ key: unknown.of.lineId, unknown, index, repeatSd: PACKING_REPEAT_RELATIVE_SD }];
    return unknown.of.reelId === reelId ? [{ key: unknown.of.dimension as string, unknown, index, repeatSd: 0 }] : [];
  });
  const known = (key: string): Known | null => {
    const row = rows.find((candidate) => candidate.key === key);
    return row ? knownOf(row.unknown, source) : null;
  };
  const required = (key: string): Known => {
    const found = known(key);
    if (!found) throw new RangeError(`learnedReel: the fit does not hold ${key} of reel ${reelId}`);
    return found;
  };
  const sdOf = (row: (typeof rows)[number]): number => Math.hypot(row.unknown.relativeSd, row.repeatSd);
  return {
    arborDiameterM: required('arborDiameterM'),
    widthM: required('widthM'),
    fullDiameterM: required('fullDiameterM'),
    lengthPerTurnM: known('lengthPerTurnM'),
    lineFactors: Object.fromEntries(
      rows.flatMap(({ unknown }) => ('lineId' in unknown.of ? [[unknown.of.lineId, unknown.value]] : [])),
    ),
    joint: {
      // A counter's constant goes into plans under its own name.
      keys: rows.map((row) => (row.key === 'lengthPerTurnM' ? 'counter' : row.key)),
      relativeSds: rows.map(sdOf),
      correlation: rows.map((a) =>
        rows.map((b) =>
          a === b
            ? 1
            : ((fit.correlation[a.index]?.[b.index] ?? NaN) * a.unknown.relativeSd * b.unknown.relativeSd) /
              (sdOf(a) * sdOf(b)),
        ),
      ),
    },
  };
}

function knownOf(unknown: FittedUnknown, source: Source): Known {
  return { value: unknown.value, sd: unknown.value * unknown.relativeSd, source };
}
