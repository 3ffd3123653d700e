import type { ACT_REASONS } from '../core/reasons/acts';
import type { StepText } from '../core/joins/schools';
import type { WordsFor } from './dictionary';
import { stepWords } from './guide';

export const ACT_WORDS: WordsFor<typeof ACT_REASONS> = {
  'no-such-thing': ({ what }) => `There is no such ${what} on this boat.`,
  'changed-elsewhere':
    'Somebody changed this on another device in the meantime. Reload to see what they did; what you typed here is kept.',
  'key-used': 'That key was used for another request.',
  'others-built-on-it': 'Something that the whole boat uses was changed after it, on another rig: nothing is undone.',
  'undone-already': 'That is undone already.',
  'spool-used-since': ({ spool }) =>
    `Line has been taken from spool ${spool} since, and there is not enough left to put this back: nothing is changed.`,
  'stands-already': 'That stands here already.',
  'not-there-any-more': 'Something that this belongs to is not there any more. Reload the page.',
  'outside-what-is-kept': 'One of the figures is outside what can be kept.',
  'character-not-kept': 'There is a character in it that cannot be kept.',
  'boat-name-taken': ({ name }) => `There is a boat called ${name} already.`,
  'reel-carries-another-rig': 'That reel carries another rig already: one reel holds one line at a time.',
  'reel-in-use': ({ rig }) => `Rig ${rig} is on that reel: move it to another reel, or put it away first.`,
  'rests-on-it':
    'Something on record rests on it, so it cannot be taken out. Put it away: then it is not offered any more.',
  'virtual-stays': 'Its reel is the virtual one of the practice bench, which stays with this rig.',
  'same-reel': 'It is on that reel.',
  'not-a-line-of-this-boat': 'Choose a line of this boat.',
  'virtual-nothing-wound': 'Nothing is wound on the virtual reel yet.',
  'virtual-no-plan': 'Take a plan to the bench first.',
  'virtual-order': 'The segments go on in order, from the arbor outwards.',
  'virtual-no-spool': ({ segment }) => `The virtual bench has no spool of the line for ${segment}.`,
  'virtual-no-spool-of-one': 'The virtual bench has no spool of one of these lines.',
  'virtual-levels-impossible': 'The levels noted so far cannot be: take the last one back.',
  'virtual-not-that-segment': 'That segment is not the one that goes on now.',
  'wound-again-test': 'The line was wound again since this test: it says nothing about the new load.',
  'wound-again-first': 'The line was wound again since: test the new load first.',
  'wound-again-mark': 'The line was wound again since: mark the line that is on now.',
  'wound-again-water': 'The line was wound again since: note it with the load that is on now.',
  'wound-again-lever': 'The line was wound again since: pull at the load that is on now.',
  'finish-winding-first': 'Finish winding first.',
  'turns-need-spool-drive': 'Only a counter that the spool drives can be tested by turns of the spool.',
  'longer-than-wound': ({ lengthM }, say) => `There are only about ${say.length(lengthM)} on the spool.`,
  'no-counter-to-accept': 'This reel has no counter to accept.',
  'answer-first': 'A test of this counter contradicts everything else. Say first whether it is right.',
  'neither-walk-nor-log':
    'There is no walk of the line as it is now, and its winding was not logged: walk the tape once, then accept.',
  'practice-too-little-left': 'There would be less line left than the walk is long.',
  'no-lever': 'This reel has no lever.',
  'no-preset': 'This reel has no preset.',
  'load-before-drag': 'Load the reel first: drag depends on how full the spool is.',
  'basis-not-known': ({ because }, say) => `That basis is not known yet: ${say.reason(because)}.`,
  'towed-otherwise': 'It is towed with another lure or at another speed by now. Weigh that one.',
  'session-open': 'A scale session is open. Accept it, or call it off, before another one begins.',
  'setting-accepted-pull': 'This setting is accepted: start a new session to pull again.',
  'setting-accepted-already': 'This setting is accepted already.',
  'pulls-do-not-agree': 'The last three pulls do not agree with the target yet.',
  'only-arbor-is-marked': 'Only the arbor is marked: this join is between two lines.',
  'join-has-no-strength':
    'Neither line of this join has been pulled or has a label: there is nothing to hold it against.',
  'join-far-too-strong':
    'That is far more than the weaker line holds. Was the right line in the grips, in the right unit?',
  'photos-full': 'The photos of this boat take all the room there is for them: no more can be kept.',
  'not-a-jpeg': 'That is not a JPEG picture of up to two million pixels.',
  'no-figure-of-ones-own': 'That step has no figure of its own to put in: its pull follows from the lines.',
  'turns-are-whole': 'Turns are counted whole.',
  'longer-than-any-step': 'No step of a knot is longer than five metres.',
  'school-of-another-join': 'That school ties another join.',
  'step-left-out': ({ step }, say) => `A step was left out: ${stepWords(step as StepText, say)}`,
  'not-of-the-crew': 'Choose one of the crew.',
  'join-not-planned':
    'That place is not in the plan any more. Plan the line as it is first, and choose another join there.',
  'arbor-has-no-ends': 'Line is tied to the arbor itself: no loop is made there first.',
  'same-join': 'That is the join it has.',
  'wind-on-name-taken': 'There is one of that name already.',
  'wind-on-in-use': ({ rig }) => `It is on ${rig}: swap it off first.`,
  'wind-on-needs-load': 'Finish winding first: a ready leader goes on a loaded reel.',
  'top-not-looped': 'The outermost line of this rig is not joined loop to loop.',
  'not-a-wind-on': 'Choose one of the ready leaders.',
  'wind-on-is-on': 'That is the one that is on.',
  'wind-on-elsewhere': ({ name, rig }) => `${name} is on ${rig}.`,
  'less-left-than-lost': ({ leftM, segment }, say) => `Only ${say.length(leftM)} of ${segment} is left to lose.`,
  'added-over-the-rim': 'So much line does not fit: it would stand over the rim. What was added, and in which unit?',
  'end-noted-elsewhere': ({ segment }) =>
    `The end of ${segment} was noted meanwhile, by another hand. What you typed is kept here.`,
  'end-noted-elsewhere-at': ({ segment, reading }) =>
    `The end of ${segment} was noted meanwhile, at ${reading}. What you typed is kept here: say which is right.`,
  'log-closed': 'This load is finished: its winding log is closed.',
  'last-colour-at-join': ({ segment, colours }) => `${segment} has ${colours} colours: the last one ends at its join.`,
  'segment-all-on': ({ segment }) => `${segment} is all on already.`,
  'only-outermost-replaced': 'Only the outermost wound segment can be replaced.',
  'solved-too-long': ({ lengthM, segment }, say) =>
    `It would take ${say.length(lengthM)} of ${segment}: check the line's diameter and the reel's size.`,
  'stack-over-rim': ({ aboveRimM }, say) =>
    `This stack would stand ${say.small(aboveRimM)} above the rim and cannot fit. Leave the length of one segment to be worked out.`,
  'stack-over-rim-top': ({ aboveRimM, top }, say) =>
    `This stack would stand ${say.small(aboveRimM)} above the rim and cannot fit. Leave the length of one segment to be worked out, or take line off: ${top} is on top.`,
  'rig-being-wound': 'This rig is being wound: finish or abandon the winding before the stack is changed.',
  'segment-of-another-rig': 'That segment belongs to another rig of this boat.',
  'plan-first': 'Plan the line first: this rig has no segment yet.',
  'being-wound-already': 'This rig is being wound already.',
  'goes-on-first': ({ segment }) => `${segment} goes on first: note its end before this one.`,
  'reading-wanted': 'Type what the counter shows at the end of this segment.',
  'more-than-any-spool':
    'That is more line than a spool of this size holds, however tightly it lies. Was a digit too many typed?',
  'level-of-last-segment': 'A level belongs to the segment whose end has just gone on.',
  'level-too-late': 'Line came off or went on since this load was wound: its level cannot be measured any more.',
  'arbor-above-rim': 'The arbor would then be wider than the rim. Was it the diameter, in the right unit?',
  'deeper-than-spool': 'That is deeper than this spool is. Was it measured from the rim, in the right unit?',
  'counter-says-other-length': ({ segment, typedM, saidM }, say) =>
    `By the counter ${say.length(saidM)} of ${segment} are on, and ${say.length(typedM)} were typed. Say which it is: nothing is noted before.`,
  'turns-say-other-length': ({ segment, typedM, saidM }, say) =>
    `By the turns ${say.length(saidM)} of ${segment} are on, and ${say.length(typedM)} were typed. Say which it is: nothing is noted before.`,
  'level-over-rim':
    'With the lengths as they are the line would stand higher over the rim than it stays on. Agree to another length first.',
  'load-finished': 'This load is finished already.',
  'segment-not-on': ({ segment }) => `${segment} is not on yet: note its end first.`,
  'not-being-wound': 'This load is not being wound.',
  'pull-there-already': 'That pull is in this test already.',
  'spool-of-another-line': ({ spool }) => `${spool} holds another line than the one that was wound.`,
  'spool-has-less': ({ spool, remainingM, takenM }, say) =>
    `${spool} has ${say.length(remainingM)} left and cannot have given ${say.length(takenM)}. Choose another spool, or none.`,
};
