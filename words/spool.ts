import type { SPOOL_REASONS } from '../core/reasons/spool';
import type { WordsFor } from './dictionary';

export const SPOOL_WORDS: WordsFor<typeof SPOOL_REASONS> = {
  'does-not-fit': ({ takenVolumeM3, availableVolumeM3, solved, last, excessLastLengthM, lastLengthM }, say) =>
    `The other segments alone take ${say.volume(takenVolumeM3)} and the spool holds ${say.volume(Math.max(availableVolumeM3, 0))} ` +
    `up to the fill asked for, so nothing is left for ${solved}. ` +
    (last === ''
      ? 'The full diameter must be above the arbor.'
      : excessLastLengthM < lastLengthM
        ? `It would fit with ${say.length(excessLastLengthM)} less of ${last}, and no ${solved}.`
        : `Even without ${last} it would not fit: shorten what lies under it, take thinner line, or a larger reel.`),
  'no-sign-change': 'The value sought is not reached between the two ends.',
  'below-the-arbor': 'That fill would end below the arbor: nothing would be on the spool.',
  'no-counter': 'This reel has no counter that could be made true.',
  'roller-driven':
    'A roller counts the line itself: how full the spool is changes nothing, so neither stripping, adding nor another fill helps.',
  'range-longer-than-line': 'The working range is longer than the line that this reel holds.',
  'reads-high-above-the-rim':
    'Even far above the rim this counter would read high: its constant is too large for this reel.',
  'reads-low-with-the-least-line':
    'Even with the least line this counter would read low: its constant is too small for this reel.',
  'no-arbor':
    'These three cannot belong together: was the length true, and were spool turns counted and not turns of the handle?',
  // Examples of what is printed on boxes, whatever units a person reads in.
  'rating-unreadable': 'Write it like 0.40 mm / 300 m, or 20 lb / 250 yd.',
  'rating-length-unreadable': ({ typed, because }, say) =>
    `The length "${typed}" cannot be read. ${say.reason(because)}`,
  'rating-thickness-unreadable': ({ typed }) =>
    `"${typed}" is neither a thickness like 0.40 mm nor a strength like 20 lb.`,
  'not-enough': ({ missingM }, say) => `${say.length(missingM)} are missing on the shelf.`,
  'no-segments': 'There is no line here yet.',
  'nothing-left': 'Nothing is left on this spool: load it anew, or take back what was noted as gone.',
  'nothing-on-the-spool': 'No line of this rig goes on the spool: it is all let out by hand.',
};
