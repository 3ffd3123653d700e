import type { Counter } from '../../counter/counter';
import type { CounterRecord, RigRecord } from '../../record/record';

/** What counts on a reel without a counter: the person, one by one, the turns of the spool. */
export const TURNS_BY_HAND: CounterRecord = {
  drive: 'spool',
  unitM: 1,
  digits: 6,
  display: 'rounds',
  lengthPerTurnM: { value: 1, sd: 0, source: 'measured' },
};

/**
 * The reel's counter with the best knowledge of its constant: by all tests and winding logs of the reel, on whatever line, since it
 * belongs to the reel and not to the line; else the maker's statement. An accepted test is one of them, and no more.
 */
export function knownCounter(record: RigRecord): CounterRecord | null {
  const { counter } = record.reel;
  return (
    counter && {
      ...counter,
      lengthPerTurnM: record.knowledge.lengthPerTurnM ?? counter.lengthPerTurnM,
    }
  );
}

/** What counts length on this reel: its counter, or turns of the spool. */
export function rulerOf(record: RigRecord): CounterRecord {
  return knownCounter(record) ?? TURNS_BY_HAND;
}

/** The reel's counter with the best value of its constant. */
export function counterOf(record: RigRecord): Counter | null {
  const counter = knownCounter(record);
  return counter && { ...counter, lengthPerTurnM: counter.lengthPerTurnM.value };
}
