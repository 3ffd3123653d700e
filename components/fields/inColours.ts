import type { Outcome } from '@/core/result';
import { COLOUR_LENGTH_M, saysColours } from '@/core/units/parseQuantity';
import type { Formatter } from '@/words/format';
import type { Typed } from './typedQuantity';

/** What a length that was typed in colours comes to; undefined where none was. */
export function inColours(typed: Typed | null, read: Outcome<number | null>, format: Formatter): string | undefined {
  if (!typed || !saysColours(typed.text) || !read.ok || read.value === null) return undefined;
  return `${format.length(read.value)}, at ${format.length(typed.colourM ?? COLOUR_LENGTH_M)} a colour`;
}
