import type { NextMove, Recovery, Stage } from '../core/joins/cadence';
import type { SchoolId } from '../core/joins/schools';

/** What the schools of tying are called. */
export const SCHOOL_NAMES: Readonly<Record<SchoolId, string>> = {
  'arbor-sliding': 'two turns and a sliding knot',
  'arbor-tape': 'tape on the arbor',
  'arbor-underlay': 'nylon underlay',
  'arbor-crossed': 'no underlay: wraps crossed over the tag, the knot on them, packed hard',
  'double-sliding': 'sliding knots on both sides, glued',
  'double-sliding-dry': 'sliding knots on both sides, pulled twice, no glue',
  'double-sliding-sheath': 'lead pulled out, sliding knots on both sides, pulled twice',
  'sheath-single': 'one overhand in the sheath',
  'sheath-double': 'two overhands in the sheath',
  'plait-long': '20 to 25 plaits, one lock, hard pull, 6 to 10 hitches',
  'plait-counted': '11 over and 11 under, two overhands, pull, trim, pull, two more',
  'plait-short': 'about 20 plaits, 3 or 4 hitches, a three-turn finish',
  'plait-melted': '20 to 25 plaits, lock, pull, hitches, a second pull, the tag melted',
  'splice-loop': 'loop turned through itself, tag buried',
  'loop-to-loop': 'leader passed through twice',
  'long-loop': 'twenty twists, a half hitch on each leg',
  swivel: 'a knot on each eye',
  'fold-wraps': 'wraps back over the fold, out where it went in',
  'sleeve-whipped': 'drawn in, thinned, whipped and glued',
  'tied-loop': 'the loop through the overhand twice',
  'wire-twist': 'open twists, then close turns',
};

/** What a school is called; what is given, by default its identifier, where it is not known. */
export function schoolName(id: string, unknown = id): string {
  return Object.hasOwn(SCHOOL_NAMES, id) ? SCHOOL_NAMES[id as SchoolId] : unknown;
}

const STROKES: Readonly<Record<Stage['stroke'], readonly [one: string, many: string]>> = {
  plait: ['pass', 'passes'],
  hitch: ['hitch', 'hitches'],
  finish: ['turn of the finish', 'turns of the finish'],
  seat: ['pull', 'the seating pull'],
  trim: ['trim', 'the trim'],
};

/** A stage's stroke by name, so many of it. */
export function strokeName(stroke: string, count = 2): string {
  const names = STROKES[stroke as Stage['stroke']];
  return count === 1 ? names[0] : names[1];
}

/** How to recover from a wrong stroke. */
export function recoveryWords(recovery: Recovery): string {
  switch (recovery.act) {
    case 'begin-anew':
      return 'Begin a new one.';
    case 'go-on-counting':
      return 'Take it back and go on counting.';
    case 'take-back':
      return `Take it back and go on with ${strokeName(recovery.next)}.`;
    case 'lift-off':
      return `Lift the last pass off, keep the braid taut, and go ${recovery.side}.`;
    case 'take-off':
      return `Take it off and go on with ${recovery.next ? strokeName(recovery.next) : 'nothing: the knot is done'}.`;
  }
}

/** The next move of the hand, short enough to be called out. */
export function moveWords({ stage, sides, number }: NextMove): string {
  if (!stage) return 'Done.';
  const count = stage.least === stage.most ? `${stage.most}` : `${stage.least} to ${stage.most}`;
  const which = `${number} of ${count}`;
  switch (stage.stroke) {
    case 'plait':
      return `${sides.length > 1 ? 'Over or under' : sides[0] === 'over' ? 'Over' : 'Under'}: pass ${which}`;
    case 'hitch':
      return `Hitch ${which}`;
    case 'finish':
      return `Turn of the finish, ${which}`;
    case 'seat':
      return 'Seating pull';
    case 'trim':
      return 'Trim';
  }
}
