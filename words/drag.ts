import type { DRAG_REASONS } from '../core/reasons/drag';
import { many, type WordsFor } from './dictionary';

export const DRAG_WORDS: WordsFor<typeof DRAG_REASONS> = {
  'fraction-out-of-range': ({ min, max }, say) =>
    `Drag is set between ${say.percent(min)} and ${say.percent(max)} of the strength.`,
  'above-weakest': ({ wantedN, weakestN, most }, say) =>
    wantedN >= weakestN
      ? `${say.force(wantedN)} is more than the weakest place that may be out holds (${say.force(weakestN)}): it would break first.`
      : `${say.force(wantedN)} is more than ${say.percent(most)} of what the weakest place that may be out holds (${say.force(weakestN)}): a fish that jerks breaks it.`,
  'above-bound': ({ wantedN, boundN }, say) =>
    `${say.force(wantedN)} is more than 95 of 100 such rigs hold (${say.force(boundN)}): take a smaller share.`,
  'too-few-places': ({ least }) => `A curve needs ${least} places of the lever: back, strike and forward at least.`,
  'free-not-free': ({ forceN }, say) =>
    `With the lever back it still holds ${say.force(forceN)}: free must be free. The preset is too tight.`,
  'not-monotone': ({ position, before }, say) =>
    `At ${say.percent(position)} of the sweep it pulls less than at ${say.percent(before)}: pull both again.`,
  'no-sweep': 'The lever changes nothing: is it connected, and was it moved?',
  'already-free': 'The lever is in free spool already.',
  'already-in-gear': 'The lever is in gear already.',
  'undo-first': ({ wrongTurns }) =>
    `Lever back to free, then turn the preset ${many(Math.abs(wrongTurns), 'turn')} ${wrongTurns > 0 ? 'looser' : 'tighter'}: where it stood before. Then set it again in free spool, and measure.`,
  'not-in-gear': 'The lever is in free spool: turn it and say so.',
  'in-gear':
    'Never turn the preset in gear: lever back to free first. If it was turned already, say so, and it is undone.',
  'too-many-turns': ({ most }) => `Between a hair and ${most} turns at once.`,
  'pull-too-short': 'The pull is too short to read: pull slowly for two seconds.',
  'mixed-sense': 'The scale shows pull and push in one trace: was it turned round, or tared under load?',
  'no-pull-on-scale': 'The scale shows no pull: is it hooked on, and was it tared slack?',
  'nothing-counts': 'No observation of a planer that was set yet: first see that it dives and holds.',
  'guide-below-one': ({ ratio }) =>
    `Through the bent rod it pulled ${ratio.toFixed(2)} times what it did straight off the reel. Guides only ever hold back: the two were mixed up, or the drag was turned between. Pull both again.`,
  'basis-weakest': 'the weakest place, joins included',
  'basis-weakest-unknown': 'a line has neither pulls nor a label, so the weakest place is unknown',
  'basis-tested': 'the weakest line as pulled, joins not counted',
  'basis-not-tested': 'not every line of this rig has been pulled three times',
  'basis-label': 'the weakest label on the rig, joins not counted',
  'basis-no-label': 'a line has no label strength',
  'creep-slow-down': 'Slow down.',
  'creep-slow-down-why': 'The pull goes with the square of the speed: at half of it a quarter is left.',
  'creep-hold-spool': 'Hold the spool: gloved hand or thumb flat on it, never round the line.',
  'creep-hold-spool-why': 'Free under tow with nobody on the spool overruns it: a nest of line, or all of it gone.',
  'creep-free': 'Only now the lever to free, the hand still on the spool.',
  'creep-free-why': 'The preset is turned in free spool only: in gear its figure is wrong.',
  'creep-preset': 'One or two turns of the preset, tighter.',
  'creep-preset-why': 'No more at once: full lever may be too much for the line or the reel afterwards.',
  'creep-in-gear': 'Lever back in gear, then take the hand away slowly.',
  'creep-in-gear-why': 'The drag has the load again before the hand lets go of it.',
  'creep-look-again': 'Back to speed, and look again.',
  'creep-look-again-why': 'Note the look: it says where the lever belongs now.',
  'creep-smaller-planer': 'A smaller planer.',
  'creep-smaller-planer-why': 'It pulls less at the same speed; it also swims less deep.',
  'creep-heading': 'Another heading.',
  'creep-heading-why': 'Into the waves with the current is easiest; a following sea or a head current pulls hardest.',
};
