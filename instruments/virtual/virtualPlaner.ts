import type { Creep, TowingWater } from '../../core/drag/planerBracket';
import { normalDeviate, type Random } from '../random';

/** A planer as it really is in tow. */
export interface PlanerTruth {
  /** Mean pull at the reference speed in reference water (N). */
  readonly pullN: number;
  readonly atSpeedMS: number;
  /** How much more each kind of water makes it pull, as a share. */
  readonly waterBias: Readonly<Record<TowingWater, number>>;
  /** Share by which waves raise the pull at their peaks. */
  readonly gust: number;
  /** Relative SD of everything else about one look: the lever, the speed, this very patch of sea. */
  readonly scatter: number;
}

/**
 * Tows the planer for a while and looks at the spool.
 *
 * @param truth the planer
 * @param holdsN what the drag is believed to hold (N)
 * @param speedMS what the speed is believed to be (m/s)
 * @returns what a person sees of the line
 */
export function towVirtualPlaner(
  truth: PlanerTruth,
  holdsN: number,
  speedMS: number,
  water: TowingWater,
  random: Random,
): Creep {
  const pullN = truth.pullN * (1 + truth.waterBias[water]) * (speedMS / truth.atSpeedMS) ** 2;
  const really = holdsN * Math.exp(truth.scatter * normalDeviate(random));
  if (really < pullN) return 'much';
  return really < pullN * Math.exp(truth.gust) ? 'some' : 'none';
}
