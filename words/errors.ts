import type { ERROR_REASONS } from '../core/reasons/errors';
import type { WordsFor } from './dictionary';

export const ERROR_WORDS: WordsFor<typeof ERROR_REASONS> = {
  'error-arbor': "the spool's arbor",
  'error-load-repeat': 'how alike two windings pack',
  'error-mark': 'where the mark lies',
  'error-width': "the spool's width",
  'error-full-diameter': "the spool's full diameter",
  'error-counter-constant': "the counter's constant",
  'error-thickness': ({ of }) => `the thickness of ${of}`,
  'error-packing': ({ of }) => `the packing of ${of}`,
  'error-bulk': ({ of }) => `the bulk of ${of}`,
  'error-stretch': ({ of }) => `the stretch of ${of}`,
  'error-length': ({ of }) => `the length of ${of}`,
  'error-counts': ({ of }) => `the counts of ${of}`,
  'error-other-arbor': "the other reel's arbor",
  'error-other-width': "the other reel's width",
  'error-other-counter': "the other reel's counter",
  'error-turns': 'the turns counted',
  'error-outer-diameter': 'the outer diameter',
  'error-plain-length': 'the length wound',
  'error-tape': 'the tape',
  'error-plan': 'the plan',
  'error-diameter': 'the diameter',
  'error-maker-limit': "the maker's drag limit",
  'error-strength': 'how well the strength is known',
};
