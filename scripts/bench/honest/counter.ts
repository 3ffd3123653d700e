import { correctionTable } from '../../../core/calibration/correctionTable';
import type { CounterEstimate } from '../../../core/calibration/estimateCounter';
import { PLUS_MINUS_SDS } from '../../../core/numerics/propagate';
import { row } from '../report';
import { estimateOf, note, type Noted } from './observed';
import { percent, Tally } from './tally';
import { shown, type World } from './world';
import { stationsOf, WALKS_M, woundOutfit, type Wound } from './wound';

interface Judged {
  readonly constant: Tally;
  readonly reading: Tally;
  flagged: number;
  rigs: number;
}

const judged = (): Judged => ({ constant: new Tally(), reading: new Tally(), flagged: 0, rigs: 0 });

function judge(estimate: CounterEstimate, { outfit, laid }: Wound, into: Judged): void {
  into.rigs += 1;
  if (estimate.conflicts.length > 0) into.flagged += 1;
  into.constant.add(
    estimate.constantM.value / outfit.truth.lengthPerTurnM - 1,
    (PLUS_MINUS_SDS * estimate.constantM.sd) / estimate.constantM.value,
  );
  const stationsM = stationsOf(laid);
  correctionTable(estimate, stationsM).forEach((figure, index) => {
    const counts = shown(outfit, laid.counts(stationsM[index] ?? NaN));
    into.reading.add((figure.value - counts) / counts, figure.plusMinus / counts);
  });
}

export function benchCounter(world: World, rigs: number): void {
  const [rich, alone] = [judged(), judged()];
  for (let seed = 1; seed <= rigs; seed += 1) {
    const wound = woundOutfit(world, seed * 101 + 7, seed % 3 === 0);
    if (!wound) continue;
    const { outfit, laid, meantM } = wound;
    const noted = note(outfit, laid, { walksM: WALKS_M.slice(0, 2), stopped: true });
    judge(estimateOf(outfit, noted, meantM, { level: true, log: true }), wound, rich);
    const one: Noted = { ...noted, walks: noted.walks.slice(1, 2) };
    judge(estimateOf(outfit, one, meantM, { level: false, log: false }), wound, alone);
  }
  row('constant: two walks, log and level', rich.constant.text);
  row('reading at six lengths: two walks, log and level', rich.reading.text);
  row('  rigs in which a piece is named', percent(rich.flagged, rich.rigs));
  row('constant: one walk alone', alone.constant.text);
  row('reading at six lengths: one walk alone', alone.reading.text);
}
