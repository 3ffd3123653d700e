import { planLoad } from '../../../core/load/planLoad';
import { row } from '../report';
import { believedLine, learnedFrom, loadToFit, materialOf, note, strainOf } from './observed';
import { Tally } from './tally';
import { FOOT_M, layLoad, type World } from './world';
import { WALK_M, woundOutfit } from './wound';

/** The next load's plan of a reel that was loaded once, against that load as it comes to lie. */
export function benchPlans(world: World, rigs: number): void {
  const [level, counts, label] = [new Tally(), new Tally(), new Tally()];
  for (let seed = 1; seed <= rigs; seed += 1) {
    const wound = woundOutfit(world, seed * 103 + 11, seed % 3 === 0);
    if (!wound) continue;
    const { outfit, laid, meantM } = wound;
    const noted = note(outfit, laid, { walksM: [WALK_M], stopped: false });
    const next = layLoad(outfit, meantM, seed + 700_000);
    const planned = (loads: Parameters<typeof learnedFrom>[1]) => {
      const learned = learnedFrom(outfit, loads);
      const { lengthPerTurnM } = learned;
      return planLoad(
        learned,
        outfit.lines.map((line, index) => {
          const { lineDiameterM, packing } = believedLine(line);
          const value = meantM[index] ?? NaN;
          return {
            ...{
              id: line.id,
              name: line.id,
              lineId: line.id,
              wound: true,
              lineDiameterM,
              windingStrain: strainOf(line),
              labelOf: materialOf(line),
            },
            packing: { ...packing, value: packing.value / (learned.lineFactors[line.id] ?? 1) },
            lengthM: { value, sd: 0.003 * value, source: 'measured' },
          };
        }),
        lengthPerTurnM && { unitM: FOOT_M, digits: 4, display: 'rounds', lengthPerTurnM },
        0.002,
        learned.joint,
      );
    };
    const plan = planned([loadToFit(outfit, noted, 'load')]);
    const first = planned([]);
    if (!plan.ok || !first.ok) continue;
    const isM = (outfit.truth.rimDiameterM - next.reel.meanDiameterM) / 2;
    level.add(plan.value.levelBelowRimM.value - isM, plan.value.levelBelowRimM.plusMinus);
    label.add(first.value.levelBelowRimM.value - isM, first.value.levelBelowRimM.plusMinus);
    plan.value.segments.forEach((segment, index) => {
      const exact = next.countsOn[index] ?? NaN;
      counts.add(((segment.counts?.value ?? NaN) - exact) / exact, (segment.counts?.plusMinus ?? NaN) / exact);
    });
  }
  row('level of the next load, by one load', level.text);
  row('stops of the next load, by one load', counts.text);
  row('level by labels and caliper alone', label.text);
}
