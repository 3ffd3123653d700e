import { countsForLine } from '../counter/counter';
import { PLUS_MINUS_SDS, propagate } from '../numerics/propagate';
import { spoolStateAt } from '../spool/loadedLine';
import { turnSpreadSd } from '../spool/turnSpread';
import type { CounterEstimate } from './estimateCounter';
import { layerStepSd } from './observations';

/** Half of the 95 % interval of each figure of a payout row. */
export interface PayoutPlusMinus {
  readonly turns: number;
  /** Without the rounding of a display, as the rows have it. */
  readonly reading: number;
  readonly diameterM: number;
  readonly dragFactor: number;
}

const PER_ROW = 4;

/**
 * The ± of a loaded spool's figures at lengths paid off it, from everything that may be otherwise about spool, line and counter, and
 * from the steps of real layers.
 *
 * @param estimate of the counter, or of the spool's turns
 * @param trueLengthsM lengths paid off the spool (m), each between 0 and what is wound
 */
export function payoutPlusMinus(
  estimate: CounterEstimate,
  trueLengthsM: readonly number[],
): readonly PayoutPlusMinus[] {
  const { unitM } = estimate.counter;
  const spread = propagate(
    estimate.unknowns,
    (unknowns) => {
      const { line, constantM, drive } = estimate.realise(unknowns);
      return trueLengthsM.flatMap((lengthM) => {
        const { turns, diameterM } = spoolStateAt(line, Math.min(lengthM, line.woundLengthM));
        const reading = countsForLine({ turns, lengthM }, { lengthPerTurnM: constantM, unitM, drive });
        return [turns, reading, diameterM, line.fullDiameterM / diameterM];
      });
    },
    estimate.correlation,
  );
  return trueLengthsM.map((lengthM, row) => {
    const of = (at: number, steps = 0): number => {
      const index = PER_ROW * row + at;
      return PLUS_MINUS_SDS * Math.hypot(spread.sds[index] ?? NaN, (spread.values[index] ?? NaN) * steps);
    };
    const steps = layerStepSd(lengthM);
    const { line } = estimate.best;
    const paidOutM = Math.min(lengthM, line.woundLengthM);
    const { lineDiameterM } = spoolStateAt(line, paidOutM).segment;
    // The turns of both places, where it is set and where it is now, lie as they lie.
    const turns = PLUS_MINUS_SDS * Math.hypot(turnSpreadSd(line, 0), turnSpreadSd(line, paidOutM));
    return {
      turns: of(0, steps),
      reading: of(1, estimate.counter.drive === 'roller' ? 0 : steps),
      diameterM: Math.hypot(of(2), lineDiameterM),
      dragFactor: Math.hypot(of(3), (spread.values[PER_ROW * row + 3] ?? NaN) * turns),
    };
  });
}
