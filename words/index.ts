import type { REASONS, Reason } from '../core/reasons';
import { COUNT_WORDS } from './count';
import type { Speaker, WordsFor } from './dictionary';
import { DRAG_WORDS } from './drag';
import { ERROR_WORDS } from './errors';
import type { Formatter } from './format';
import { JOIN_WORDS } from './joins';
import { LOAD_WORDS } from './load';
import { LOG_WORDS } from './log';
import { SPOOL_WORDS } from './spool';
import { STATION_WORDS } from './stations';
import { STRENGTH_WORDS } from './strength';
import { TOW_WORDS } from './tow';
import { TYPED_WORDS } from './typed';

const WORDS: WordsFor<typeof REASONS> = {
  ...SPOOL_WORDS,
  ...COUNT_WORDS,
  ...STRENGTH_WORDS,
  ...ERROR_WORDS,
  ...DRAG_WORDS,
  ...LOAD_WORDS,
  ...JOIN_WORDS,
  ...STATION_WORDS,
  ...TOW_WORDS,
  ...TYPED_WORDS,
  ...LOG_WORDS,
};

/** Says a reason in the units of `format`. */
export function wordsOf(reason: Reason, format: Formatter): string {
  const words = WORDS[reason.reason];
  if (typeof words === 'string') return words;
  const say: Speaker = { ...format, reason: (inner) => wordsOf(inner, format) };
  // The table ties each kind to its own figures; TypeScript cannot follow that through a union.
  return (words as (figures: Reason['figures'], say: Speaker) => string)(reason.figures, say);
}
