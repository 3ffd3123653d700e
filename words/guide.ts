import type { JoinKind } from '../core/joins/joinKinds';
import type { CautionName, PrepFigureName, School, StepText } from '../core/joins/schools';
import type { Formatter } from './format';

export const CAUTIONS: Readonly<Record<CautionName, string>> = {
  'braid-cuts': 'Braid under tension cuts to the bone: gloves or a bar, never a bare hand, never a wrap round it.',
  glue: 'Glue bonds skin and eyes. Acetone for skin, a doctor for eyes; keep it off the line beyond the knot.',
  flame: 'A flame near line melts it, and near fuel it is worse: a blade does the same here.',
  lead: 'Lead: wash hands before eating, keep scraps out of the water and from children.',
  needle: 'The needle points at the hand that holds the line: push away from it.',
  wire: 'A wire end cuts and springs: eyes protected, the end held, never cut it off close and leave the spike.',
  teeth: 'Teeth are for eating: tension comes from a drag or a weight.',
};

const STEPS: Readonly<Record<StepText, string | ((format: Formatter) => string)>> = {
  'arbor-clean-dry': 'Arbor clean and dry.',
  'arbor-clean-wraps': 'Arbor clean and dry: nothing but the line will hold here.',
  'arbor-clean-dry-nylon': 'Arbor clean and dry. The nylon is tied to it, the braid to the nylon.',
  'bare-lead-break': 'Bare the lead and break it off.',
  'bare-lead-ten': 'Bare the lead, break it off, and pull it out: the knot is tied in the empty sheath.',
  'bend-wire': 'Bend the end back into a loop of about a finger’s width, both strands crossing at one angle.',
  'break-wire': 'Crank the end until it breaks off flush.',
  'close-turns-wire': 'Close turns of the end, square round the standing wire.',
  'crossed-over-tag':
    'Lay the first wraps steeply over the tag, to one flange and back. They bite on it and on each other. The knot comes after them.',
  'draw-knot-onto': 'Wet it, and draw the knot down on to the crossed wraps.',
  'draw-line-in': 'Draw the line into the hollow braid.',
  'fold-end-back': 'Fold the end back on itself: the wire, else the thicker line.',
  'fold-for-loop': 'Fold the end back, as long as the loop has to be, and lay both strands in an open overhand.',
  'lay-along-fold': 'Pass the other line through the fold, and lay it along both strands, pinched.',
  'melt-tag': 'Melt the end of the leader’s tag to a small bead; keep the flame off the plait.',
  'needle-from-end': 'Needle into the open end of the hollow braid, along its middle, and out at its side.',
  'out-of-fold': 'Pass the end back out through the fold, on the side on which it went in.',
  'pack-first-layers': 'Wind the first layers hard and close over it: loose wraps turn on a bare arbor.',
  'pass-loop-through': 'Passes of the whole loop, and the tag with it, through the overhand.',
  'pull-again-before': 'Pull again, as hard, before anything is trimmed.',
  'pull-against-loop': 'Hook the loop over something smooth and pull the standing line against it.',
  'pull-line-sleeve': 'Pull line against sleeve, slowly: it must grip and not creep.',
  'smooth-sheath-end':
    'Seal the end of the sheath so that it does not fray: a touch of heat or glue, rolled round and smooth.',
  'spread-wire-twists': 'Twists of both strands round each other, each at the same open angle.',
  'thin-braid-end':
    'Pull strands out of the end of the braid to thin it. Then it lies down on the line without a step.',
  'trim-tag-both': 'Trim both tags close.',
  'wet-draw-fold': 'Wet it, and draw the wraps together towards the closed end of the fold, one beside the other.',
  'wet-draw-loop': 'Wet it, and draw all four strands down together.',
  'whip-end': 'Turns of whipping thread over the thinned end, each beside the last, its tail drawn under.',
  'wraps-fold': 'Wraps over fold and line, from the pinch back towards the closed end, each beside the last.',
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
  'push-mono-into':
    'Push the mono into the sheath until it meets the lead; a slow twist of the mono eases it in, and the sheath is milked on to it.',
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
  sheathStrip: 'lead to bare and pull out',
  fold: 'fold',
  sleeve: 'line inside the sleeve',
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
  memory: 'from memory, no source',
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
    'wraps-over-fold':
      'Fold back the wire or the thicker line, pass the other through, 8 to 12 wraps back over the fold, out on the side it went in.',
    'sleeve-splice': `${hand(0.45)} to ${hand(0.6)} of the line drawn into the hollow braid, its end thinned, whipped and glued.`,
    'tied-loop': 'An overhand in the doubled end, the loop passed through twice, all four strands drawn down.',
    'wire-loop': 'Four to six open twists, then four to six close turns, the end cranked off.',
    'small-swivel': 'A knot on each eye; the swivel must pass the guides, and the level wind where there is one.',
  }[kind];
}
