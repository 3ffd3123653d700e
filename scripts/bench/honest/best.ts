import { Matrix, solve } from 'ml-matrix';
import { correctionTable } from '../../../core/calibration/correctionTable';
import { PLUS_MINUS_SDS } from '../../../core/numerics/propagate';
import { percentile, row } from '../report';
import { estimateOf, note, type Noted } from './observed';
import { AS_MODELLED, layLoad, outfitLike, shown } from './world';
import { stationsOf, WALKS_M, woundOutfit } from './wound';

/** Outfits that look alike before anything is noted: enough for a regression on ten pieces of evidence. */
const ALIKE = 400;
/** Of those, how many the product judges. */
const JUDGED = 12;

const EVIDENCE = {
  'two walks, log and level': { level: true, log: true, walks: [0, 1] },
  'one walk alone': { level: false, log: false, walks: [1] },
} as const;

/**
 * The product's ± over the best that is to be had: by an estimator that knows the truth model, which here is the regression of what is
 * asked on all that was noted, over outfits that look alike beforehand.
 */
export function benchBest(rigs: number): void {
  for (const [name, use] of Object.entries(EVIDENCE)) {
    const ratios: { readonly constant: number[]; readonly reading: number[] } = { constant: [], reading: [] };
    for (let seed = 1; seed <= rigs; seed += 1) {
      const wound = woundOutfit(AS_MODELLED, seed * 127 + 23, seed % 3 === 0);
      if (!wound) continue;
      const { meantM, laid: first } = wound;
      const stationsM = stationsOf(first);
      const drawn = Array.from({ length: ALIKE }, (_, index) => {
        const outfit = outfitLike(wound.outfit, seed * 1_000_003 + index);
        const lengthsM = meantM.map((each, at) => (at === 0 ? each * (1 + 0.05 * (outfit.random() - 0.5)) : each));
        const laid = layLoad(outfit, lengthsM, seed * 7919 + index);
        const all = note(outfit, laid, { walksM: WALKS_M.slice(0, 2), stopped: true });
        const noted: Noted = { ...all, walks: use.walks.flatMap((at) => all.walks[at] ?? []) };
        return {
          ...{ outfit, noted },
          seen: [
            Math.log(outfit.statedM),
            ...noted.walks.map(({ reading }) => Math.log(reading)),
            ...(use.log ? noted.counts.map((counts) => Math.log(counts)) : []),
            ...(use.level ? [noted.levelBelowRimM] : []),
            ...noted.lengthsM.flatMap((each) => (each === null ? [] : [Math.log(each)])),
          ],
          asked: [outfit.truth.lengthPerTurnM, ...stationsM.map((each) => shown(outfit, laid.counts(each)))].map(
            Math.log,
          ),
        };
      });
      const best = unexplained(
        drawn.map(({ seen }) => seen),
        drawn.map(({ asked }) => asked),
      );
      for (const { outfit, noted } of drawn.slice(0, JUDGED)) {
        const estimate = estimateOf(outfit, noted, meantM, use);
        ratios.constant.push(estimate.constantM.sd / estimate.constantM.value / (best[0] ?? NaN));
        correctionTable(estimate, stationsM).forEach(({ value, plusMinus }, at) =>
          ratios.reading.push(plusMinus / PLUS_MINUS_SDS / value / (best[at + 1] ?? NaN)),
        );
      }
    }
    for (const [what, all] of Object.entries(ratios)) {
      row(`± of the ${what} over the best: ${name}, median`, percentile(all, 0.5).toFixed(2));
    }
  }
}

/** SD of each column of what is asked that a straight line through all that was seen leaves. */
function unexplained(seen: readonly (readonly number[])[], asked: readonly (readonly number[])[]): readonly number[] {
  const means = column(seen, (all) => all.reduce((sum, each) => sum + each, 0) / all.length);
  const spreads = column(seen, (all, at) =>
    Math.sqrt(all.reduce((sum, each) => sum + (each - (means[at] ?? 0)) ** 2, 0)),
  );
  const told = means.map((_, at) => at).filter((at) => (spreads[at] ?? 0) > 1e-12);
  const x = new Matrix(
    seen.map((each) => [1, ...told.map((at) => ((each[at] ?? NaN) - (means[at] ?? NaN)) / (spreads[at] ?? NaN))]),
  );
  const y = new Matrix(asked.map((each) => [...each]));
  const left = Matrix.sub(y, x.mmul(solve(x, y, true)));
  return Array.from({ length: y.columns }, (_, at) =>
    Math.sqrt(left.getColumn(at).reduce((sum, each) => sum + each ** 2, 0) / (y.rows - x.columns)),
  );
}

function column(
  of: readonly (readonly number[])[],
  by: (all: readonly number[], at: number) => number,
): readonly number[] {
  return (of[0] ?? []).map((_, at) =>
    by(
      of.map((each) => each[at] ?? NaN),
      at,
    ),
  );
}
