import type { JoinKind } from '../core/joins/joinKinds';
import type { CautionName, PrepFigureName, School, StepText } from '../core/joins/schools';
import type { Formatter } from './format';

export const CAUTIONS: Readonly<Record<CautionName, string>> = {
  'braid-cuts': 'Braid under tension cuts to the bone: gloves or a bar, never a bare hand, never a wrap round it.',
  glue: 'Glue bonds skin and eyes. Acetone for skin, a doctor for eyes; keep it off the line beyond the knot.',
  flame: 'A flame near line melts it, and near fuel it is worse: a blade does the same here.',
  lead: 'Lead: wash hands before eating, keep scraps out of the water and from children.',
  needle: 'The needle points at the hand that holds the line: push away from it.',
  teeth: 'Teeth are for eating: tension comes from a drag or a weight.',
};

const STEPS: Readonly<Record<StepText, string | ((format: Formatter) => string)>> = {
  'arbor-clean-dry': 'Arbor clean and dry.',
  'arbor-clean-dry-nothing': 'Arbor clean and dry: nothing but the line will hold here.',
  'arbor-clean-dry-nylon': 'Arbor clean and dry. The nylon is tied to it, the braid to the nylon.',
  'bare-lead-break': 'Bare the lead and break it off.',
  'bury-tag-too': 'Bury the tag too, onwards in the standing part, until its end disappears.',
  'draw-end-in': 'Draw the end in and bury it.',
  'draw-them-down': 'Draw them down so that they lie side by side, not one choking the other.',
  'draw-two-knots': 'Draw the two knots together.',
  'drop-glue-fringe': 'A drop of glue on the fringe.',
  'drop-glue-let': 'A drop of glue, and let it dry.',
  'half-hitches-one': 'Half hitches, one on each leg.',
  'hitches-left-right': 'Hitches, left and right in turn.',
  'hitches-round': 'Hitches round both.',
  'keep-braid-taut':
    'Keep the braid taut: rod in a holder, a drag that just clicks. Too loose sags, too tight will not lock.',
  'lay-braid-over': 'Lay the braid over the leader with enough of both to hold.',
  'lay-two-ends': 'Lay the two ends past each other.',
  'lead-first-twenty':
    'Lead the first twenty wraps steeply to one flange and back, so that they bite on each other; pack them hard.',
  'leave-loop-passes': 'Leave a loop that passes what it has to pass.',
  'load-slowly-short': 'Load it slowly; a short bury shows now.',
  'locking-hitch-with': 'Locking hitch with the tag round both.',
  'make-loop-as': 'Make the loop as long as it has to be.',
  'mark-spool-line': 'Mark spool and line with one stroke of a pen: a shifted mark shows a slip.',
  'milk-smooth-from': 'Milk it smooth from the loop outwards: no gap, no bunched braid.',
  'more-overhands': 'More overhands.',
  'needle-into-hollow': 'Needle into the hollow braid, along its middle.',
  'one-layer-cloth':
    'One layer of cloth or vinyl tape round the clean, dry arbor, its end lapped the way the line winds.',
  'overhands-round-lines': 'Overhands round both lines.',
  'pass-line-round': 'Pass the line round the arbor, more than once where it is slick.',
  'pass-one-loop': 'Pass one loop over the other.',
  'pass-whole-leader': 'Pass the whole leader through the loop.',
  'passes-eleven-over': 'Passes, eleven over and eleven under in turn.',
  'passes-over-under': 'Passes, over and under in turn, each laid against the last.',
  'passes-over-under-in': 'Passes, over and under in turn.',
  'pull-again': 'Pull again.',
  'pull-hard-before': 'Pull hard before anything is trimmed: a plait that was never seated slips when it matters.',
  'pull-hard-first': 'Pull hard, the first time.',
  'pull-hard-until': 'Pull hard until the plait darkens and stops creeping.',
  'pull-mono-against': 'Pull mono against sheath; a kinked sheath is tied anew.',
  'pull-one-line': 'Pull one line against the other.',
  'pull-standing-line': 'Pull the standing line against the loop.',
  'pull-standing-lines': 'Pull both standing lines apart, steadily.',
  'pull-tight-against': 'Pull it tight against the arbor until nothing slides.',
  'push-mono-into': 'Push the mono into the sheath until it meets the lead.',
  'second-one-about': ({ hand }) => `The second one about ${hand(0.012)} behind it, or near the end of the mono.`,
  'slide-overhand-end': 'Slide the overhand to the end of the sheath and tighten it there.',
  'spread-legs-under': 'Spread the legs under tension until the tag rolls back over the twists.',
  'steady-pull-look': 'A steady pull, and look at the loops again.',
  'taper-tag-by': 'Taper the tag by thinning its end.',
  'tie-overhand-loosely': 'Tie the overhand loosely in the sheath first.',
  'tie-two-overhands': 'Tie two overhands loosely in the sheath first.',
  'trim-close': 'Trim close.',
  'trim-fringe': 'Trim the fringe.',
  'trim-leader-braid': 'Trim leader and braid tags close.',
  'trim-leader-partly': 'Trim the leader partly.',
  'trim-tag': 'Trim the tag.',
  'trim-tag-close': 'Trim the tag close.',
  'trim-tags': 'Trim both tags.',
  'trim-tags-short': 'Trim both tags short.',
  'try-bare-swivel': 'Try the bare swivel through the smallest ring, and the level wind where there is one.',
  'turn-loop-through': 'Turn the loop through itself, so that it cannot walk.',
  'turns-finish-tag': 'Turns of the finish, the tag through all of them.',
  'turns-knot-first': 'Turns of the knot on the first eye.',
  'turns-knot-second': 'Turns of the knot on the second eye.',
  'turns-locked-finish': 'Turns of the locked finish round both legs.',
  'turns-sliding-knot': 'Turns of the sliding knot round the standing line.',
  twists: 'Twists.',
  'wet-draw-them': 'Wet both and draw them down evenly: a soft sheath must not bunch against a stiff leader.',
  'wet-draw-them-down': 'Wet both and draw them down.',
  'wet-slide-down': 'Wet it and slide it down to the arbor.',
  'wind-one-or': 'Wind one or two close layers of nylon, enough that no braid reaches the arbor; then join the braid.',
  'wraps-first-knot': 'Wraps of the first knot round the other line.',
  'wraps-second-knot': 'Wraps of the second knot, the other way.',
};

/** What a step of a guide says. */
export function stepWords(step: StepText, format: Formatter): string {
  const words = STEPS[step];
  return typeof words === 'string' ? words : words(format);
}

/** The figures of a guide by name. */
export const FIGURE_NAMES: Readonly<Record<PrepFigureName, string>> = {
  strip: 'lead to bare and break off',
  overhang: 'overhang of each end',
  tag: 'tag that stays',
  wraps: 'wraps',
  bury: 'bury',
  taper: 'taper of the tag',
  needle: 'needle, bore and outside',
  loop: 'loop, laid flat',
  arborTurns: 'turns round the arbor',
  tension: 'tension while plaiting',
  seating: 'seating pull',
};

/** Where a school's numbers come from. */
export const SCHOOL_SOURCES: Readonly<Record<School['source'], string>> = {
  practice: 'common practice, no source',
  'practice, seating pull added': 'common practice, no source; taught without a seating pull, which is added here',
};

/** How a join is made ready, in short. */
export function joinPreparation(kind: JoinKind, { hand }: Formatter): string {
  return {
    'arbor-sliding-knot': 'Two turns round the arbor, then a sliding knot of 5 to 6 turns.',
    'double-sliding-knot': `5 to 7 wraps on each side, wetted and drawn together; tags about ${hand(0.0015)}; a drop of glue.`,
    'sheath-over-mono': `Tie the overhand loosely in the sheath first, bare ${hand(0.1)} to ${hand(0.15)} of lead and break it off, push the mono in until it meets the lead, tighten at the end of the sheath, glue the fringe.`,
    'plaited-braid-to-leader':
      '20 to 25 plaits under steady tension, a locking hitch, a hard pull, then 6 to 10 hitches.',
    'loop-splice': `${hand(0.2)} to ${hand(0.3)} buried, the loop turned through itself, ${hand(0.15)} of tag buried, milked smooth.`,
    'loop-to-loop': 'Pass the leader through twice and draw the loops down side by side.',
    'long-loop-twist': 'Twenty twists, a half hitch on each leg, a locked finish.',
    'small-swivel': 'A knot on each eye; the swivel must pass the guides, and the level wind where there is one.',
  }[kind];
}
