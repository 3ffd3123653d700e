import type { LoadedLine } from '../spool/loadedLine';
import { spoolStateAt } from '../spool/loadedLine';
import { countsForLine, type Counter } from './counter';

export interface PayoutRow {
  readonly trueLengthM: number;
  readonly turns: number;
  /** Counts, neither wrapped nor rounded; null without a counter. */
  readonly reading: number | null;
  readonly diameterM: number;
  /** Diameter with nothing out ÷ diameter here: how much the same drag torque pulls harder. */
  readonly dragFactor: number;
}

/**
 * The loaded spool at given lengths paid off it.
 *
 * @param line the loaded line
 * @param counter its counter, zeroed with nothing out, or null
 * @param trueLengthsM lengths paid off the spool (m), each between 0 and what is wound
 */
export function payoutTable(
  line: LoadedLine,
  counter: Counter | null,
  trueLengthsM: readonly number[],
): readonly PayoutRow[] {
  return trueLengthsM.map((trueLengthM) => {
    const state = spoolStateAt(line, trueLengthM);
    return {
      trueLengthM,
      turns: state.turns,
      reading: counter ? countsForLine({ turns: state.turns, lengthM: trueLengthM }, counter) : null,
      diameterM: state.diameterM,
      dragFactor: line.fullDiameterM / state.diameterM,
    };
  });
}
