import type { STRENGTH_REASONS } from '../core/reasons/strength';
import { many, type WordsFor } from './dictionary';

export const STRENGTH_WORDS: WordsFor<typeof STRENGTH_REASONS> = {
  'one-size': 'Two sizes of a product show a pattern; so far there is one.',
  'no-pull': 'The gauge shows no force: is the line in both grips?',
  'not-broken-yet': 'The line had not broken when the trace ended: pull on until it does.',
  'no-break': 'The line had not broken when the trace ended: its peak is a pull, not a strength.',
  'trace-too-short': ({ samples, least }) => `A trace of ${samples} samples says nothing: ${least} at least.`,
  'negative-sign': 'The pull is recorded as a negative force: turn its sign round.',
  'negative-tare': 'The force goes far below zero: was the gauge tared under load?',
  'no-pulls': 'Nothing has been pulled yet.',
  'too-few': ({ more }) => `Not enough yet: ${many(more, 'more pull')} at least.`,
  'no-spread': 'All pulls are the same, which no line does: was the gauge read to fine enough steps?',
  'not-above-zero': 'Not enough yet: the pulls scatter so much that nothing can be promised.',
  'too-few-of-each': 'Two pulls of each at least: one says nothing of its scatter.',
  'expected-own-pulls': ({ n }) => `the mean of its ${n} earlier pulls`,
  'expected-pattern': ({ sizes, family }) => `the pattern of ${sizes} tested sizes of ${family}`,
  'expected-common-nylon': 'what plain nylon of that label commonly holds: a default, no test of yours',
  'expected-label': 'the label',
  'trace-no-columns': 'A trace needs a column of time and one of force.',
  'trace-other-unit': ({ unit }) => `The file says that its force is in ${unit}: choose that unit.`,
  'trace-units-mixed': ({ row, found, unit }) =>
    `Row ${row} is in ${found}, not in ${unit}: one unit for the whole file.`,
  'trace-not-a-number': ({ row, cells }) => `Row ${row} has no number where time and force should stand: "${cells}".`,
  'trace-no-stretch': ({ row }) => `Row ${row} has no number for the stretch.`,
  'trace-time-runs-back': ({ row }) => `Time runs backwards at row ${row}.`,
  'trace-too-long': ({ millions }) => `At most ${millions} million samples.`,
  'trace-empty': 'There are no samples in this file.',
};
