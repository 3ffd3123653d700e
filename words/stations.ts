import type { STATION_REASONS } from '../core/reasons/stations';
import type { WordsFor } from './dictionary';

export const STATION_WORDS: WordsFor<typeof STATION_REASONS> = {
  'changed-since': ({ what }) => `changed since: ${what.join('; ')}`,
  'no-line-planned': 'no line planned yet',
  'planned-not-wound': 'planned, not wound yet',
  'winding-so-far': ({ noted, wound }) => `winding: ${noted} of ${wound} segments on`,
  'wound-as-planned': 'wound as planned',
  'wound-otherwise': ({ segment, byM, others }, say) =>
    `${segment} ${say.length(Math.abs(byM))} ${byM < 0 ? 'short of' : 'over'} plan${others > 0 ? `, ${others} more` : ''}`,
  'wound-to-other-level': ({ byM }, say) => `level ${say.small(Math.abs(byM))} ${byM < 0 ? 'above' : 'under'} plan`,
  'reel-without-counter': 'this reel has no counter',
  'load-first': 'load the reel first',
  'no-test-accepted': 'no test of this load accepted yet',
  'made-true': 'made true and accepted',
  'left-with-card': 'left as it is, with a card',
  'lines-pulled': ({ tested, lines, times }) => `${tested} of ${lines} lines pulled ${times} times`,
  'all-lines-pulled': ({ lines, times }) =>
    `${lines === 1 ? 'its line' : `all ${lines} lines`} pulled ${times} times or more`,
  'scale-not-finished': 'scale session not finished',
  'drag-turned-since':
    'the drag was turned in the session that is open: finish it, or turn it back and call the session off',
  'successor-in-the-making': 'a new load is planned at the bench; what is on stays until its first segment is on',
  'scale-not-used': 'not set with a scale yet',
  'strength-unknown': 'the strength of the rig is no longer known',
  'set-days-ago': ({ days }) => `set ${days} days ago: pull it with a scale before the next trip`,
  'set-with-scale': 'set with a scale',
  'joins-due-again': ({ due, joins }) => `${due} of ${joins} due for retying`,
  'joins-under-seated': ({ underSeated, joins }) => `${underSeated} of ${joins} under-seated: pull again`,
  'joins-not-tied': ({ missing, joins }) => `${missing} of ${joins} not noted as tied`,
  'joins-not-pulled': ({ missing, joins }) => `${missing} of ${joins} never pull-tested`,
  'not-towed': 'Say how it is towed to see how deep it swims.',
  'depth-unseen': ({ seen }) =>
    seen === 0 ? 'No depth was seen with this line yet.' : 'One depth was seen: one more at another length or speed.',
  'depth-seen': ({ seen }) => `Held against ${seen} depths that were seen.`,
  'joins-done': 'all tied and pulled',
};
