import { dragFactorSd } from '../../../core/calibration/dragFactorSd';
import type { CounterEstimate } from '../../../core/calibration/estimateCounter';
import { envelopeAt } from '../../../core/drag/dragEnvelope';
import { USUAL_RUN } from '../../../core/drag/waterPull';
import type { LoadedLine } from '../../../core/spool/loadedLine';
import { rigStrength } from '../../../core/strength/rigStrength';
import { row } from '../report';
import { estimateOf, note } from './observed';
import { Tally } from './tally';
import type { Laid, World } from './world';
import { stationsOf, WALKS_M, woundOutfit } from './wound';

/** The wound diameter that the turn with a length off the spool lies on (m), the line as stretched as it lies there. */
function diameterAt({ reel, lengthsM, strains }: Laid, lengthOutM: number): number {
  let leftM = lengthOutM;
  for (const turn of reel.laid.toReversed()) {
    if (turn.lengthM >= leftM && turn.turns > 0.5)
      return ((turn.lengthM / turn.turns) * (1 + strainAt(lengthsM, strains, lengthOutM))) / Math.PI;
    leftM -= turn.lengthM;
  }
  return NaN;
}

function strainAt(lengthsM: readonly number[], strains: readonly number[], lengthOutM: number): number {
  let leftM = lengthOutM;
  for (let line = lengthsM.length - 1; line >= 0; line -= 1) {
    leftM -= lengthsM[line] ?? 0;
    if (leftM <= 0) return strains[line] ?? 0;
  }
  return strains[0] ?? 0;
}

/** Line that the pulls take while the drag is set (m). */
const SET_OVER_M = 2;

/** Pulls and strengths that do not matter here. */
const SET = { forceN: 1, plusMinusN: 0, lengthOutM: 0 };
const STILL = { ...USUAL_RUN, speedMS: 0 };
const endless = ({ segments }: LoadedLine) =>
  rigStrength(
    segments.map(({ id, name, lengthM }) => ({
      ...{ segmentId: id, name, lengthM, boundN: null },
      strengthN: { value: 1000, sd: 0, source: 'measured' },
    })),
    [],
  );

function judge(estimate: CounterEstimate, laid: Laid, into: Tally): void {
  const { line } = estimate.best;
  const at = envelopeAt(line, endless(line), SET, STILL, dragFactorSd(estimate, 0));
  const steps = Array.from({ length: 8 }, (_, index) => diameterAt(laid, ((index + 0.5) * SET_OVER_M) / 8));
  const setM = steps.reduce((sum, each) => sum + each, 0) / steps.length;
  for (const lengthOutM of stationsOf(laid)) {
    const { dragFactor, factorPlusMinusShare } = at(lengthOutM);
    into.add(dragFactor - setM / diameterAt(laid, lengthOutM), dragFactor * factorPlusMinusShare);
  }
}

/** The growth of the drag as line leaves, against the turn that lies there on the reel laid turn by turn. */
export function benchEnvelopeCover(world: World, rigs: number): void {
  const [label, level, rich] = [new Tally(), new Tally(), new Tally()];
  for (let seed = 1; seed <= rigs; seed += 1) {
    const wound = woundOutfit(world, seed * 131 + 3, seed % 3 === 0);
    if (!wound) continue;
    const { outfit, laid, meantM } = wound;
    const noted = note(outfit, laid, { walksM: WALKS_M.slice(0, 2), stopped: false });
    judge(estimateOf(outfit, { ...noted, walks: [] }, meantM, { level: false, log: false }), laid, label);
    judge(estimateOf(outfit, { ...noted, walks: [] }, meantM, { level: true, log: false }), laid, level);
    judge(estimateOf(outfit, noted, meantM, { level: true, log: true }), laid, rich);
  }
  row('growth of the drag at six lengths: caliper and label', label.text);
  row('growth of the drag at six lengths: with the level', level.text);
  row('growth of the drag at six lengths: two walks, log and level', rich.text);
}
