import { flesch } from 'flesch';
import { syllable } from 'syllable';
import { SCHOOLS } from '../core/joins/schools';
import { ACT_REASONS, REASONS, type RefusalReason } from '../core/reasons';
import type { Measure } from '../core/reasons/measures';
import { formatterFor } from './format';
import { GLOSSARY } from './glossary';
import { stepWords } from './guide';
import { refusalWords } from './refusals';

const METRES = formatterFor({ length: 'm', smallLength: 'mm', force: 'kg' });
const EXAMPLES: Readonly<Record<Measure, unknown>> = {
  ...{ length: 45, small: 0.003, hand: 0.15, volume: 4e-5, force: 60, share: 0.25, number: 3, name: 'Top shot' },
  ...{ names: ['Backing'], reason: { reason: 'wound-as-planned', figures: {} } },
};
const CODES: Readonly<Record<string, string>> = {
  ...{ stroke: 'plait', next: 'hitch', side: 'over', step: 'second-one-about', school: 'plait-long' },
};

/** Sentences of a text that have at least four words: of fewer no measure says anything. */
const sentencesOf = (text: string): readonly string[] =>
  text
    .split(/(?<=[.!?:;])\s+/)
    .map((each) => each.replaceAll(/[\d.,]*\d\s?(?:m|mm|kg|%|cm³)?/g, ' ten '))
    .filter((each) => wordsOf(each).length >= 4);
const wordsOf = (sentence: string): readonly string[] => sentence.match(/\p{L}[\p{L}'’-]*/gu) ?? [];

/** Reading ease of a sentence (Flesch 1948): 60 and more is plain English. */
function easeOf(sentence: string): number {
  const words = wordsOf(sentence);
  const syllables = words.reduce((sum, word) => sum + Math.max(1, syllable(word)), 0);
  return flesch({ sentence: 1, word: words.length, syllable: syllables });
}

const median = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

const ALL = { ...REASONS, ...ACT_REASONS };
const reasons = (Object.keys(ALL) as (keyof typeof ALL)[]).map((kind) => {
  const figures = Object.entries(ALL[kind] as Readonly<Record<string, Measure>>).map(([name, measure]) => [
    name,
    measure === 'name' ? (CODES[name] ?? EXAMPLES.name) : EXAMPLES[measure],
  ]);
  return refusalWords({ reason: kind, figures: Object.fromEntries(figures) } as RefusalReason, METRES);
});
const steps = SCHOOLS.flatMap((school) => school.steps.map((step) => stepWords(step.says, METRES)));

describe('reading ease', () => {
  test('is measured as the published example has it: "The cat sat on the mat." is 116', () => {
    expect(easeOf('The cat sat on the mat.')).toBeCloseTo(116.1, 0);
  });

  test.each([
    ['the dictionary', reasons],
    ['the steps at the bench', steps],
    ['the glossary', GLOSSARY.map(({ meaning }) => meaning)],
  ])('of %s is plain English in the median', (_, texts) => {
    const eases = texts.flatMap(sentencesOf).map(easeOf);
    console.info(`sentences ${eases.length}, median reading ease ${median(eases).toFixed(0)}`);
    expect(median(eases)).toBeGreaterThanOrEqual(60);
  });

  test('no step at the bench is longer than twenty words', () => {
    const long = steps.flatMap(sentencesOf).filter((sentence) => wordsOf(sentence).length > 20);
    expect(long).toEqual([]);
  });
});
