import type { LOAD_REASONS } from '../core/reasons/load';
import type { WordsFor } from './dictionary';

export const LOAD_WORDS: WordsFor<typeof LOAD_REASONS> = {
  'longer-than-line': ({ leftM }, say) =>
    `Only ${say.length(leftM)} of line are on this rod, hook to arbor. Where all of it is gone, plan a new load.`,
  'thin-backing':
    'The backing is thinner than the line above it. That buys length, and asks for better line and a better knot, since only the largest fish ever pull on it.',
  'thin-backing-thicker': 'take backing as thick as the line above, or up to a tenth thicker',
  'thin-backing-keep': 'keep it, and test its knot',
  'thin-abrasion':
    'This backing is to stand coral and rock, and is thinner than the line above it: rock cuts the thinner one first.',
  'thin-abrasion-thicker': 'take one at least as thick as the line above, whatever length it costs',
  'thick-backing':
    'The backing is more than a tenth thicker than the line above it. It fills a big reel cheaply, and leaves less length behind a long run.',
  'bare-arbor': 'Braid does not grip a smooth arbor: a slipping spool feels exactly like a broken drag.',
  'bare-arbor-underlay': 'a nylon underlay: asks for a short length of nylon and one more join',
  'bare-arbor-tape': 'tape on the arbor: asks for a clean, dry arbor and tape that salt does not loosen',
  'bare-arbor-criss-cross':
    'criss-cross the first wraps and pack them hard: asks for a good arbor knot and real tension from the first turn',
  'retail-length': 'A top shot that is exactly one spool as it is sold is replaced without any arithmetic.',
  'retail-length-whole': 'make it the whole spool',
  'bulky-lead-core': 'Lead core fills most of this spool, and hardly any other line is left behind it.',
  'bulky-lead-core-fewer': 'a segment of fewer colours between thinner lines',
  'bulky-lead-core-larger': 'a larger reel',
  'overfull-fixed-spool': 'An overfilled fixed spool throws loops: wind-knots come from there.',
  'overfull-conventional':
    'An overfilled spool rubs the frame, and leaves no room for line that is rewound carelessly afloat.',
  'overfull-fly': 'A fly reel filled to the rim jams at the frame when line comes back in a hurry.',
  'overfull-leave-room': 'leave more room under the rim',
  'overfull-on-purpose': 'or keep it on purpose, where leader knots will soon take it off again',
  'loop-over-reel': 'Lines are changed loop to loop only if the backing’s loop passes over the whole reel.',
  'thick-join':
    'This join is thick (a guess from its lines): pull it through the smallest ring, and the level wind where there is one, before it goes on.',
  'kit-helper':
    'A helper, or a brake on the supply spool: braid has to go on so hard that a fingernail leaves no mark.',
  'kit-join': ({ segment }) => `the join to ${segment}`,
  'kit-arbor': ({ segment }) => `${segment} on a bare arbor slips`,
  'kit-tension': 'tension on braid while it is wound',
  'kit-lead': 'wash hands after handling lead',
  'kit-walk': 'the walk that tests the counter before the end is cut',
  'kit-level': 'the level under the rim, at three points',
  'top-shot-third-gone': 'more than a third of it is gone',
  'top-shot-counter-shifted': ({ share }, say) => `the counter has shifted by more than ${say.percent(share)}`,
  'top-shot-short': 'it is getting short; replace it before a third is gone',
  'top-shot-fresh': 'as good as new in length',
};
