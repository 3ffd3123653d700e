import { flesch } from 'flesch';
import { syllable } from 'syllable';

export const wordsOf = (sentence: string): readonly string[] => sentence.match(/\p{L}[\p{L}'’-]*/gu) ?? [];

/** Sentences of a text that have at least four words: of fewer no measure says anything. */
export const sentencesOf = (text: string): readonly string[] =>
  text
    .split(/(?<=[.!?:;])\s+/)
    .map((each) => each.replaceAll(/[\d.,]*\d\s?(?:m|mm|kg|%|cm³)?/g, ' ten '))
    .filter((each) => wordsOf(each).length >= 4);

/** Reading ease of a sentence (Flesch 1948): 60 and more is plain English. */
export function easeOf(sentence: string): number {
  const words = wordsOf(sentence);
  const syllables = words.reduce((sum, word) => sum + Math.max(1, syllable(word)), 0);
  return flesch({ sentence: 1, word: words.length, syllable: syllables });
}

export const median = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
