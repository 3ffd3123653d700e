import type { LOG_REASONS } from '../core/reasons/log';
import { many, type WordsFor } from './dictionary';
import { schoolName } from './hands';

/** What can be taken back, by the names under which the records know it. */
const WITHDRAWN: Readonly<Record<string, string>> = {
  winding: 'A noted winding reading',
  level: 'A measured level',
  colour: 'A noted colour change',
  reverseFill: 'A reverse fill',
  tie: 'A tied join',
  joinPull: 'A join pulled to the break',
  lineMark: 'A mark on the line',
  trial: 'A walk along the tape',
  strengthPull: 'A strength pull',
  leverPoint: 'A pull at the lever',
  planerLook: 'A look at the planer',
  dragPull: 'A drag pull',
  waterMark: 'An entry of the water log',
};

const withNote = (words: string, note: string): string => (note ? `${words} ${note}` : words);

const turned = (turns: number): string => `${many(Math.abs(turns), 'turn')} ${turns > 0 ? 'tighter' : 'looser'}`;

export const LOG_WORDS: WordsFor<typeof LOG_REASONS> = {
  noted: ({ text }) => text,
  'counter-accepted': 'Counter accepted as true.',
  'counter-left': 'Counter left as it is; corrected by card.',
  'line-marked': ({ mark, looks }) => `Mark ${mark} on the line: ${looks}.`,
  loaded: ({ segments }) => `Loaded: ${segments.join(', ')}.`,
  'length-agreed': ({ segment, fromM, toM }, say) =>
    `${segment}: ${say.length(fromM)} becomes ${say.length(toM)}, as agreed.`,
  'winding-abandoned': 'Winding given up; the spool was emptied.',
  'winding-cancelled': 'Winding called off; what was on before is on.',
  'session-dropped': 'Scale session called off; the drag stays as it was accepted before.',
  'line-stripped': ({ segment, lengthM, note }, say) => withNote(`${segment}: ${say.length(lengthM)} stripped.`, note),
  'line-lost': ({ segment, lengthM, note }, say) => withNote(`${segment}: ${say.length(lengthM)} lost.`, note),
  'line-added': ({ segment, lengthM, note }, say) => withNote(`${segment}: ${say.length(lengthM)} added.`, note),
  'line-kept': ({ segment, lengthM, note }, say) =>
    withNote(`${segment}: ${say.length(lengthM)} pulled off and kept on a spool.`, note),
  'line-turned': ({ segment, lengthM }, say) => `${segment} turned end for end: ${say.length(lengthM)}.`,
  'line-replaced': ({ segment, lengthM, product, note }, say) =>
    withNote(`${segment} replaced: ${say.length(lengthM)} of ${product}.`, note),
  'ready-leader-on': ({ segment, lengthM, product, leader }, say) =>
    `${segment} replaced: ${say.length(lengthM)} of ${product}. Ready leader ${leader}.`,
  'rod-changed': ({ from, to }) => `Reel and line went from rod ${from} to rod ${to}.`,
  'reel-changed': ({ from, to }) => `Moved from reel ${from} to reel ${to}: the plan came along.`,
  'acts-undone': ({ acts }) => `${many(acts, 'act')} undone.`,
  answered: ({ what }) => `${WITHDRAWN[what] ?? what} that was asked about is right: it counts.`,
  withdrawn: ({ what, why }) => `${WITHDRAWN[what] ?? what} was withdrawn: ${why}.`,
  'lever-to-free': 'Lever back to free spool.',
  'lever-into-gear': 'Lever into gear.',
  'preset-turned': ({ turns }) => `Preset turned ${turned(turns)} in free spool.`,
  'preset-turned-in-gear': ({ turns }) => `Preset was turned ${turned(turns)} in gear: to be undone.`,
  'drag-set': ({ forceN }, say) => `Drag set with a scale to ${say.force(forceN)} at the tip.`,
  'slip-looked-at': ({ found }, say) => `Mark at the arbor looked at: ${say.reason(found)}`,
  'join-broken': ({ share }, say) => `Join pulled to the break: ${say.percent(share)} of the weaker line.`,
  'fish-fought': 'A fish was fought on it.',
  tied: ({ outer, school }) => `Tied below ${outer}: ${schoolName(school)}.`,
};
