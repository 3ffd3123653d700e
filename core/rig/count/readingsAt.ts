import { lapsOf, shownReading } from '../../counter/counter';
import { knownCounter } from '../line/counterOf';
import type { RigView } from '../view/rigView';
import { countMarks } from './countMarks';

/** What a counter shows with a length out, and how often it has come round. */
export interface ReadingThere {
  readonly shown: number;
  readonly laps: number;
  readonly plusMinus: number;
  /** False on a reel without a counter: then it is turns of the spool. */
  readonly isCounter: boolean;
}

/**
 * What to read with so much line out.
 *
 * @param lengthsM lengths out (m from the hook), within the line
 */
export function readingsAt(view: RigView, lengthsM: readonly number[]): readonly ReadingThere[] {
  const counter = view.counter ? knownCounter(view.record) : null;
  const marks = countMarks(view, lengthsM).filter(({ kind }) => kind === 'length');
  return marks.map(({ reading: { value, plusMinus } }) => ({
    shown: counter
      ? shownReading(value, { ...counter, lengthPerTurnM: counter.lengthPerTurnM.value })
      : Math.round(value),
    laps: counter ? lapsOf(Math.max(value, 0), counter) : 0,
    plusMinus,
    isCounter: counter !== null,
  }));
}
