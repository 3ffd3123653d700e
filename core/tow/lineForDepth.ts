import { failure, requireNotNegative, success, type Outcome } from '../result';
import { throughAir } from './throughAir';
import { profileAt, TOW_TOLERANCE, type TowProfile } from './towProfile';
import { lengthOfPieces, sectionsOf, type Tow } from './towStack';
import { underWater, type UnderWater } from './underWater';

/** What is wanted: a depth of the lure, or how far it swims behind the tip (m). */
export type TowGoal = { readonly depthM: number } | { readonly setbackM: number };

/** Line to let out for it. */
export interface LineForDepth {
  /** Of the outermost piece (m), from the tip to where the next one begins. */
  readonly lengthM: number;
  /** Of all line out (m). */
  readonly lengthOutM: number;
  readonly profile: TowProfile;
}

export type LineForDepthReason = 'goal-too-deep' | 'goal-too-near' | 'goal-floats' | 'goal-slack';

/** Lengths of the outermost piece that are tried, one after the other (m). */
const TRIED_M = [60, 240, 1000, 4000] as const;

/**
 * How much of the outermost piece must be out for a depth or a setback: the equations are followed up from the lure until it is met, so
 * nothing is searched but the place itself.
 *
 * @param tow its outermost piece's length does not count
 * @returns a reason where no length does it: it floats first, it is passed before any of the outermost piece is out, or it lies deeper
 * than 4,000 m of line bring it
 */
export function lineForDepth(
  tow: Tow,
  goal: TowGoal,
  tolerance = TOW_TOLERANCE,
): Outcome<LineForDepth, LineForDepthReason> {
  requireNotNegative('lineForDepth', { ...goal });
  const inner = tow.pieces.slice(0, -1);
  const innerM = lengthOfPieces(inner);
  const last = tow.pieces.at(-1);
  if (!last) throw new RangeError('lineForDepth: there is no line');
  for (const triedM of TRIED_M) {
    const tried: Tow = { ...tow, pieces: [...inner, { ...last, lengthM: triedM }] };
    const run = underWater(tried, sectionsOf(tried), tolerance);
    if (run.end === 'slack') return failure('goal-slack');
    const lengthOutM = lengthFor(tow, run, goal, tolerance);
    if (lengthOutM === null) {
      if (run.end === 'surface') return failure('goal-floats', { atM: Math.max(run.at(run.endM).zM, 0) });
      continue;
    }
    const lengthM = lengthOutM - innerM;
    if (lengthM < 0) return failure('goal-too-near', { shortByM: -lengthM });
    const whole: Tow = { ...tow, pieces: lengthM > 0 ? [...inner, { ...last, lengthM }] : inner };
    const found = profileAt(whole, run, lengthOutM, tolerance);
    return success({ lengthM, lengthOutM, profile: found });
  }
  return failure('goal-too-deep', { mostM: TRIED_M.at(-1) ?? 0 });
}

/** All line out for a goal (m); null where the line that was followed does not come to it. */
function lengthFor(tow: Tow, run: UnderWater, goal: TowGoal, tolerance: number): number | null {
  const { tipHeightM } = tow;
  const airFrom = (sM: number) =>
    throughAir(run.sections, run.at(sM), tipHeightM, 10 * run.endM + tipHeightM, tolerance);
  const over =
    'depthM' in goal
      ? (sM: number): number => run.at(sM).zM - goal.depthM
      : (sM: number): number => airFrom(sM).tip.xM - goal.setbackM;
  if (!(over(run.endM) >= 0)) return null;
  let [low, high] = [0, run.endM];
  // The first place where it is met, however the line bends after it.
  const passed = 'depthM' in goal ? run.nodes.find(({ zM }) => zM >= goal.depthM) : undefined;
  if (passed) [low, high] = [run.nodes[run.nodes.indexOf(passed) - 1]?.sM ?? 0, passed.sM];
  for (let round = 0; round < 80 && high - low > 1e-11 * Math.max(1, high); round += 1) {
    const mid = (low + high) / 2;
    if (over(mid) >= 0) high = mid;
    else low = mid;
  }
  const air = airFrom(high);
  return Number.isFinite(air.lengthM) ? high + air.lengthM : null;
}
