import { JOIN_KINDS, type JoinKind } from '../core/joins/joinKinds';
import type { ActRecord } from '../core/record/history';
import type { Formatter } from './format';
import { schoolName } from './hands';

/** What was asked for, as an act of the history keeps it: read with care, since an older version may have kept it. */
interface Asked {
  number(key: string): number | null;
  text(key: string): string;
  yes(key: string): boolean;
  /** Name of the segment or join that a key names. */
  place(key: string): string;
}

type Say = Formatter & { readonly asked: Asked };

/** Names of what acts point at, by id. */
export type NameOf = (id: string) => string | null;

const reading = (asked: Asked): string => {
  const shown = asked.number('reading');
  return shown === null ? '' : `, the counter at ${shown}`;
};

const length = (say: Say, key: string): string => {
  const valueM = say.asked.number(key);
  return valueM === null ? '' : say.length(valueM);
};

const force = (say: Say, key: string): string => {
  const valueN = say.asked.number(key);
  return valueN === null ? '' : say.force(valueN);
};

const CHANGES: Readonly<Record<string, string>> = { stripped: 'stripped from', lost: 'lost from', added: 'added to' };
const GONE: Readonly<Record<string, string>> = { stripped: 'cut back', lost: 'lost', kept: 'pulled off and kept,' };
const TRIALS: Readonly<Record<string, string>> = {
  tape: 'A walk along the tape',
  colour: 'A colour at the tip',
  turns: 'Turns of the spool counted',
};

/** Every act on a rig, in words; null for handlings of the virtual bench, which are no acts of the record. */
const ACTS: Readonly<Record<string, ((asked: Asked, say: Say) => string) | null>> = {
  undoActs: () => 'Undone',
  rename: (asked) => `Called ${asked.text('name')} from now on`,
  putAway: (asked) => (asked.yes('isAway') ? 'The rig was put away' : 'The rig was brought back'),
  moveRig: (asked) =>
    asked.text('to') === 'rod' ? `Its reel went on another rod: ${asked.text('name')}` : 'It was moved to another reel',
  answer: () => 'A figure that was asked about is right: it counts',
  withdraw: (asked) => `Taken back: ${asked.text('reason')}`,
  saveStack: () => 'The plan of the line was stored',
  beginWinding: () => 'A new load was taken to the bench',
  noteWinding: (asked) => `End of ${asked.place('segmentId')} noted${reading(asked)}`,
  noteColour: (asked) =>
    `Colour ${asked.number('coloursOn') ?? ''} of ${asked.place('segmentId')} noted${reading(asked)}`,
  noteLevel: (asked, say) => `Level after ${asked.place('segmentId')} measured: ${small(say)} under the rim`,
  finishWinding: (asked, say) =>
    asked.number('levelBelowRimM') === null
      ? 'The load was finished, its level not measured'
      : `The load was finished, its level ${small(say)} under the rim`,
  agreeLength: (asked, say) =>
    `${asked.place('segmentId')}: ${length(say, 'fromM')} becomes ${length(say, 'lengthM')}, as agreed`,
  cancelWinding: () => 'The winding was called off: what was on before is on',
  abandonWinding: () => 'The winding was given up: the spool is empty',
  loseLine: (asked, say) => `${length(say, 'lengthM')} ${GONE[asked.text('reason')] ?? 'lost'} from the hook`,
  turnSegment: (asked) => `${asked.place('segmentId')} turned end for end`,
  changeLength: (asked, say) =>
    `${length(say, 'changeM')} ${CHANGES[asked.text('reason')] ?? 'changed on'} ${asked.place('segmentId')}`,
  replaceSegment: (asked, say) => `${asked.place('segmentId')} replaced by ${length(say, 'lengthM')} of new line`,
  tieJoin: (asked) => `A join was tied: ${schoolName(asked.text('school'))}`,
  noteFish: () => 'A fish was fought',
  noteLurePull: (_, say) => `The lure pulls ${force(say, 'lurePullN')} by the scale`,
  noteTowed: () => 'How it is towed was noted',
  noteWaterMark: (asked, say) =>
    `${{ bottom: 'Bottom was touched', sonar: 'A depth was read off the sounder', strike: 'A strike' }[asked.text('kind')] ?? 'A depth was seen'}${asked.number('depthM') === null ? '' : ` at ${length(say, 'depthM')}`}${reading(asked)}`,
  noteOpening: () => 'The smallest opening that a join has to pass was noted',
  changeJoinKind: (asked) => `Another join was chosen: ${JOIN_KINDS[asked.text('kind') as JoinKind]?.name ?? ''}`,
  checkSlip: () => 'The mark at the arbor was looked at',
  breakJoin: (_, say) => `A join was pulled to the break at ${force(say, 'peakN')}`,
  swapWindOn: () => 'A ready leader was put on',
  recordTrial: (asked, say) =>
    `${TRIALS[asked.text('kind')] ?? 'A test of the counter'}${asked.number('trueLengthM') === null ? '' : `, ${length(say, 'trueLengthM')}`}${reading(asked)}`,
  acceptCalibration: (asked) =>
    asked.text('method') === 'card' ? 'The counter was left as it is, with a card' : 'The counter was accepted as true',
  noteWorkingRange: () => 'The working range was set',
  noteHang: (_, say) => `What hangs from the tip: ${length(say, 'hangM')}`,
  markLine: (asked, say) => `A mark on the line, ${asked.text('looks')}, ${length(say, 'lengthOutM')} out`,
  chooseReach: () => 'How much of the line it is reckoned with was chosen',
  noteRodPosition: () => 'Where the rod stands on the boat was noted',
  noteGuides: () => 'What the line runs over on the rod was noted',
  chooseMeantPlace: () => 'The place that is meant to break was chosen',
  startDragSetting: (asked) => `A scale session was begun, for ${Math.round(100 * (asked.number('fraction') ?? 0))} %`,
  recordDragPull: (asked, say) => `A pull with the scale, ${asked.text('kind')}: ${force(say, 'movingN')}`,
  dropSession: () => 'The scale session was called off',
  acceptSetting: () => 'The drag was accepted as set',
  recordLeverPoint: (asked, say) =>
    `A pull with the lever at ${Math.round(100 * (asked.number('position') ?? 0))} %: ${force(say, 'forceN')}`,
  workPreset: () => 'Lever or preset was worked',
  recordPlanerLook: (asked) => `A look at planer ${asked.text('planer')} in tow`,
  workVirtualReel: null,
  streamVirtualPull: null,
};

function small(say: Say): string {
  const valueM = say.asked.number('levelBelowRimM');
  return valueM === null ? '' : say.small(valueM);
}

/** An act of a rig's history in words, in the units of `format`; null where it is none of the record's. */
export function actWords(act: ActRecord, nameOf: NameOf, format: Formatter): string | null {
  const words = ACTS[act.request];
  if (words === null) return null;
  const asked: Asked = {
    number: (key) => (typeof act.asked[key] === 'number' ? act.asked[key] : null),
    yes: (key) => act.asked[key] === true,
    text: (key) => (typeof act.asked[key] === 'string' ? act.asked[key] : ''),
    place: (key) => nameOf(asked.text(key)) ?? 'a segment',
  };
  return words?.(asked, { ...format, asked }) ?? act.request;
}

/** The acts that have words, or are known to need none: every act on a rig must be one of them. */
export const ACTS_WITH_WORDS: readonly string[] = Object.keys(ACTS);
