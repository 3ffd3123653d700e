import { LAID_BY, type LaidBy } from '@/core/load/tension';

/** By what the tension comes while line is wound on. */
export const LAID_BY_WORDS: Readonly<Record<LaidBy, string>> = {
  'reel drag': "another reel's drag",
  brake: 'a brake on the winder',
  cloth: 'a folded cloth',
  helper: 'a helper with a rod through the spool',
  machine: 'a winding machine',
  other: 'some other way',
};

/** The same to choose from; nothing is assumed. */
export const LAID_BY_OPTIONS: readonly { readonly value: LaidBy | ''; readonly text: string }[] = [
  { value: '', text: 'not noted' },
  ...LAID_BY.map((value) => ({ value, text: LAID_BY_WORDS[value] })),
];
