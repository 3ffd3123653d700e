import { learnGear } from '../../../core/gear/gearFit';
import { PLUS_MINUS_SDS } from '../../../core/numerics/propagate';
import { row } from '../report';
import { estimateOf, linesToFit, loadToFit, note, reelToFit, type WhatIsNoted } from './observed';
import { percent, Tally } from './tally';
import { AS_MODELLED, FOOT_M, layLoad } from './world';
import { WALK_M, woundOutfit } from './wound';

/** One walk of three that was zeroed 2 m late: is it named first? */
export function benchLateWalk(rigs: number): void {
  for (const [name, walksM] of [
    ['at one length', [WALK_M, WALK_M, WALK_M]],
    ['at lengths 1 : 1.5 : 2.2', [60, 90, 132].map((feet) => feet * FOOT_M)],
  ] as const) {
    let [named, widened, cleared, asked] = [0, 0, 0, 0];
    for (let seed = 1; seed <= rigs; seed += 1) {
      const wound = woundOutfit(AS_MODELLED, seed * 109 + 17, seed % 3 === 0);
      if (!wound) continue;
      const { outfit, laid, meantM } = wound;
      const walk = seed % 3;
      const noted = note(outfit, laid, { walksM, stopped: true, late: { walk, byM: -2 } });
      const estimate = estimateOf(outfit, noted, meantM, { level: false, log: false });
      asked += 1;
      const [first] = estimate.conflicts;
      if (first?.observation.name === `walk ${walk + 1}`) named += 1;
      if (estimate.widened > 1) widened += 1;
      const honest = note(outfit, laid, { walksM, stopped: true });
      if (estimateOf(outfit, honest, meantM, { level: false, log: false }).conflicts.length === 0) cleared += 1;
    }
    row(
      `one of three walks 2 m late, ${name}: named first`,
      `${percent(named, asked)} of ${asked}, ± widened in ${percent(widened, asked)}`,
    );
    row(`three honest walks, ${name}: none named`, percent(cleared, asked));
  }
}

/** Four loads in a row, each walked and accepted: does the constant's ± still cover it? */
export function benchFourLoads(rigs: number): void {
  const tallies = [new Tally(), new Tally(), new Tally(), new Tally()];
  const plans: WhatIsNoted = { walksM: [60 * FOOT_M, WALK_M], stopped: true };
  for (let seed = 1; seed <= rigs; seed += 1) {
    const wound = woundOutfit(AS_MODELLED, seed * 113 + 19, seed % 3 === 0);
    if (!wound) continue;
    const { outfit, meantM } = wound;
    const loads = tallies.map((_, index) =>
      loadToFit(outfit, note(outfit, layLoad(outfit, meantM, seed + 100_000 * (index + 1)), plans), `load ${index}`),
    );
    tallies.forEach((tally, index) => {
      const { fit } = learnGear([reelToFit(outfit)], linesToFit(outfit), loads.slice(0, index + 1));
      const found = fit.reels[0]?.dimensions.find((each) => each.dimension === 'lengthPerTurnM');
      if (found) tally.add(found.value / outfit.truth.lengthPerTurnM - 1, PLUS_MINUS_SDS * found.relativeSd);
    });
  }
  tallies.forEach((tally, index) =>
    row(`constant after ${index + 1} accepted load${index > 0 ? 's' : ''}`, tally.text),
  );
}
