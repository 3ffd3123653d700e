import type { COUNT_REASONS } from '../core/reasons/count';
import type { Speaker, WordsFor } from './dictionary';

const tooMany = (off: number): string => `${Math.abs(off).toFixed(1)} counts too ${off > 0 ? 'many' : 'few'}`;

const otherSpool = (changeM: number, say: Speaker): string =>
  `this one would need the spool to be ${say.small(Math.abs(changeM))} ${changeM < 0 ? 'smaller' : 'larger'}`;

export const COUNT_WORDS: WordsFor<typeof COUNT_REASONS> = {
  'beyond-digits': ({ digits, most }) => `This counter has ${digits} digits: it shows at most ${most}.`,
  'off-by-a-factor':
    'That is off by more than a factor of two. Was the counter zeroed before the walk, and is the length in the right unit?',
  'several-readings': ({ wrap, readings }) =>
    `The display starts again at ${wrap}, so this may stand for ${readings.join(' or ')}: type the one that is meant.`,
  'already-true': 'The counter is true here to within its own whole count.',
  'top-too-short': 'Even without its whole top line this spool would still read low.',
  'past-the-rim': 'Adding that much line would overfill the spool: leave it and use the card.',
  'nothing-wound': 'Nothing is wound on this spool.',
  'top-is-fixed': ({ top }) =>
    `${top} is a fixed length: stripping it would lose what it was cut for. Use the table, or plan the fill anew.`,
  'beyond-the-line': ({ lengthM }, say) => `There are only about ${say.length(lengthM)} of line.`,
  'no-colours': 'That segment has no colours to go by.',
  'not-so-many-colours': ({ colours }) => `It has ${colours} colours.`,
  'no-free-segment': 'Every length of this stack is fixed: nothing can give way. Free the backing.',
  'cannot-be-true': ({ because }, say) => say.reason(because),
  'true-past-the-rim': 'It would be true only past the rim: the spool cannot be so full. Use the table.',
  'little-to-gain': 'Another fill would hardly be truer than this one over the working range.',
  'walk-longer-than-line': 'There is less line on the reel than the walk is long.',
  'strip-longer-than-line': 'The outermost line is shorter than what is to come off.',
  'level-misfits': ({ offM }, say) =>
    `the level would have to lie ${say.small(Math.abs(offM))} ${offM > 0 ? 'higher' : 'lower'} than was read: was it measured from the rim, and at three places?`,
  'turns-misfit': ({ off }) =>
    `${tooMany(off)} for so many turns: was a turn miscounted, or handle turns taken for spool turns?`,
  'wound-misfits': ({ off }) => `${tooMany(off)} while it went on: zeroed late, or not the length that was named?`,
  'walk-needs-other-spool': ({ diameterChangeM }, say) => otherSpool(diameterChangeM, say),
  'walk-zeroed-late': ({ diameterChangeM, zeroedLateM }, say) =>
    `${otherSpool(diameterChangeM, say)}: ${
      zeroedLateM > 0
        ? `zeroed when ${say.length(zeroedLateM)} had left already?`
        : `not zeroed, or ${say.length(-zeroedLateM)} more walked than was said?`
    }`,
  'measure-answer-trial': 'A walk is asked about: answer that first',
  'measure-answer-conflict': ({ of }) => `${of} does not fit the rest: answer that first`,
  'fleet-no-counter': 'it has no counter',
  'fleet-not-loaded': 'it is not loaded',
  'fleet-too-short': 'it has not so much line',
  'fleet-roller': 'a roller counts alike, however full the spool',
  'fleet-top-fixed': ({ top }) => `its ${top || 'top'} is a fixed length`,
  'fleet-overfull': 'it would be overfull',
  'fleet-top-short': 'its top line is too short',
};
