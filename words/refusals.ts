import type { RefusalReason } from '../core/reasons';
import { wordsOf } from '.';
import { ACT_WORDS } from './acts';
import type { Speaker } from './dictionary';
import type { Formatter } from './format';

/** Says why an act was refused, in the units of `format`. */
export function refusalWords(why: RefusalReason, format: Formatter): string {
  if (!isOfActs(why)) return wordsOf(why, format);
  const words = ACT_WORDS[why.reason];
  if (typeof words === 'string') return words;
  const say: Speaker = { ...format, reason: (inner) => wordsOf(inner, format) };
  // The table ties each kind to its own figures; TypeScript cannot follow that through a union.
  return (words as (figures: RefusalReason['figures'], say: Speaker) => string)(why.figures, say);
}

type ActReason = Extract<RefusalReason, { readonly reason: keyof typeof ACT_WORDS }>;

const isOfActs = (why: RefusalReason): why is ActReason => Object.hasOwn(ACT_WORDS, why.reason);
