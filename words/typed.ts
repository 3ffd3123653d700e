import type { TYPED_REASONS } from '../core/reasons/typed';
import type { WordsFor } from './dictionary';

export const TYPED_WORDS: WordsFor<typeof TYPED_REASONS> = {
  'nothing-typed': 'Nothing is typed here yet.',
  'not-a-quantity': ({ typed, unit }) => `"${typed}" is not a number with a unit, such as 45 ${unit}.`,
  'not-a-number': ({ typed }) => `"${typed}" is not a number.`,
  'unknown-unit': ({ typed, units }) => `"${typed}" is not a unit for this: use ${units.join(', ')}.`,
  'too-small': 'That is less than anything that can be meant here.',
  'too-large': 'That is more than anything that can be meant here.',
};
