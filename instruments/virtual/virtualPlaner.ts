import { KNOT_MS } from '../../core/units/units';
import type { Creep, TowingWater } from '../../core/drag/planer/planerLooks';
import { normalDeviate, seededRandom, type Random } from '../random';

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

/** Planers of the virtual bench pull so much at 6 kn, from the least to the greatest (N). */
const PULLS_N = [70, 260] as const;
const SIX_KNOTS_MS = 6 * KNOT_MS;

/** The planer that goes by a name on a rig's virtual bench: always the same one. */
export function virtualPlaner(name: string, seed: number): PlanerTruth {
  const letters = [...name.toLowerCase()].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 100_003, 7);
  const random = seededRandom(seed * 17 + letters);
  const [least, greatest] = PULLS_N;
  return {
    pullN: least * (greatest / least) ** random(),
    atSpeedMS: SIX_KNOTS_MS,
    waterBias: { ordinary: 0.06 * normalDeviate(random), hard: 0.1 + 0.1 * normalDeviate(random) },
    gust: 0.15,
    scatter: 0.1,
  };
}
