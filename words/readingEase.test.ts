import { SCHOOLS } from '../core/joins/schools';
import { ACT_REASONS, REASONS, type RefusalReason } from '../core/reasons';
import type { Measure } from '../core/reasons/measures';
import { easeOf, median, sentencesOf, wordsOf } from '../tests/readingEase';
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
