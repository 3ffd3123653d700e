import type { FiguresOf } from '../core/reasons';
import type { ReasonTable } from '../core/reasons/measures';
import type { Reason } from '../core/reasons';
import type { Formatter } from './format';

/** How figures are said: in the person's own units, and reasons within reasons too. */
export interface Speaker extends Formatter {
  reason(reason: Reason): string;
}

/** A sentence for every kind of reason of a table; one that is missing does not compile. */
export type WordsFor<T extends ReasonTable> = {
  readonly [K in keyof T]: string | ((figures: FiguresOf<T[K]>, say: Speaker) => string);
};

/** "1 turn", "3 turns". */
export function many(count: number, one: string, more = `${one}s`): string {
  return `${count} ${count === 1 ? one : more}`;
}
