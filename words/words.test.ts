import { ACT_REASONS, LOG_REASONS, REASONS, type RefusalReason } from '../core/reasons';
import type { Measure } from '../core/reasons/measures';
import { SCHOOLS } from '../core/joins/schools';
import { JOIN_KIND_NAMES } from '../core/joins/joinKinds';
import { wordsOf } from '.';
import { formatterFor } from './format';
import { joinPreparation, stepWords } from './guide';
import { refusalWords } from './refusals';

const FEET = formatterFor({ length: 'ft', smallLength: 'in', force: 'lb' });
const METRES = formatterFor({ length: 'm', smallLength: 'mm', force: 'kg' });

/** A figure with a unit behind it, as any sentence would have it. */
const withUnit = (units: string): RegExp => new RegExp(String.raw`\d\s?(${units})(?![\w³])`);
const IN_METRES = withUnit('m|mm|cm|cm³|kg|N');
const IN_FEET = withUnit('ft|yd|in|in³|lb|N');

const EXAMPLES: Readonly<Record<Measure, unknown>> = {
  length: 45.6,
  small: 0.0034,
  hand: 0.15,
  volume: 4.2e-5,
  force: 61.2,
  share: 0.275,
  number: 3,
  name: 'Top shot',
  names: ['Backing', 'Lead core'],
  reason: { reason: 'wound-as-planned', figures: {} },
};

/** Names that are codes of other tables. */
const CODES: Readonly<Record<string, string>> = {
  stroke: 'plait',
  next: 'hitch',
  side: 'over',
  step: 'second-one-about',
  school: 'plait-long',
};

const ALL = { ...REASONS, ...ACT_REASONS };
type Kind = keyof typeof ALL;

function exampleOf(kind: Kind): RefusalReason {
  const figures = Object.entries(ALL[kind] as Readonly<Record<string, Measure>>).map(([name, measure]) => [
    name,
    measure === 'name' ? (CODES[name] ?? EXAMPLES.name) : EXAMPLES[measure],
  ]);
  return { reason: kind, figures: Object.fromEntries(figures) as never } as RefusalReason;
}

/** Examples of what is printed on boxes, whatever units a person reads in. */
const AS_PRINTED: readonly Kind[] = ['rating-unreadable', 'rating-thickness-unreadable'];

const kinds = Object.keys(ALL) as Kind[];

describe('the dictionary', () => {
  it.each(kinds.filter((kind) => !AS_PRINTED.includes(kind)))('says %s in the reader’s own units', (kind) => {
    const example = exampleOf(kind);
    const [feet, metres] = [refusalWords(example, FEET), refusalWords(example, METRES)];
    expect(feet).not.toMatch(IN_METRES);
    expect(metres).not.toMatch(IN_FEET);
    for (const said of [feet, metres]) {
      expect(said.length).toBeGreaterThan(3);
      expect(said).not.toMatch(/undefined|NaN|\[object|\$\{/);
    }
    const measures = Object.values(ALL[kind] as Readonly<Record<string, Measure>>);
    // The knot is as long in either unit; a figure that is measured and shown reads otherwise.
    if (/\d/.test(feet) && measures.some((each) => ['length', 'small', 'hand', 'volume', 'force'].includes(each))) {
      expect(feet).not.toBe(metres);
    }
  });

  it('has every kind of the log, each worded', () => {
    expect(Object.keys(LOG_REASONS).every((kind) => kind in REASONS)).toBe(true);
    expect(wordsOf({ reason: 'drag-set', figures: { forceN: 61.2 } }, FEET)).toBe(
      'Drag set with a scale to 13.8 lb at the tip.',
    );
    expect(
      wordsOf({ reason: 'line-lost', figures: { segment: 'Top shot', lengthM: 14, note: 'On a snag.' } }, METRES),
    ).toBe('Top shot: 14.0 m lost. On a snag.');
  });

  it('says a reason within a reason', () => {
    const because = { reason: 'beyond-the-line', figures: { lengthM: 30.48 } } as const;
    expect(wordsOf({ reason: 'cannot-be-true', figures: { because } }, FEET)).toBe(
      'There are only about 100 ft of line.',
    );
  });

  it('says every step of every school, and how each join is made ready', () => {
    const said = (format: typeof FEET): readonly string[] => [
      ...SCHOOLS.flatMap(({ steps }) => steps.map((step) => stepWords(step.says, format))),
      ...JOIN_KIND_NAMES.map((kind) => joinPreparation(kind, format)),
    ];
    for (const words of said(FEET)) expect(words).not.toMatch(IN_METRES);
    for (const words of said(METRES)) expect(words).not.toMatch(IN_FEET);
    expect(said(FEET)).not.toEqual(said(METRES));
  });
});

describe('every kind of reason', () => {
  it('stands in one table only', () => {
    // Spreading tables would let a later one hide an earlier one.
    const tables = [
      'spool',
      'count',
      'strength',
      'drag',
      'load',
      'joins',
      'stations',
      'tow',
      'typed',
      'errors',
      'acts',
      'log',
    ];
    const all = tables.flatMap((name) =>
      Object.keys(Object.values(jest.requireActual<object>(`../core/reasons/${name}`))[0] as object),
    );
    expect(new Set(all).size).toBe(all.length);
    expect(all).toHaveLength(kinds.length);
  });
});
