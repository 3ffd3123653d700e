import type { JOIN_REASONS } from '../core/reasons/joins';
import type { WordsFor } from './dictionary';
import { strokeName } from './hands';

export const JOIN_WORDS: WordsFor<typeof JOIN_REASONS> = {
  'seating-too-short': 'Pull for three seconds at least: draw up slowly, then hold.',
  'not-at-the-arbor': 'it joins two lines; below is the arbor',
  'only-at-the-arbor': 'it ties line to the arbor',
  'wire-does-not-draw-down': 'wire does not draw down round a line',
  'knot-pulls-over': 'one line is more than three times as thick as the other: the knot pulls over',
  'needs-sheath': 'it needs the sheath of lead core',
  'sheath-takes-mono': 'only nylon or fluorocarbon can be pushed into the sheath',
  'mono-too-thick': 'that mono is too thick to enter the sheath',
  'needs-braid': 'it needs braid to plait with',
  'braid-slides-or-cuts': 'braid plaited round that slides or cuts',
  'leader-too-thin': 'the leader must be thicker than the braid, or the plait does not bite',
  'needs-hollow-braid': 'it needs hollow braid to bury in',
  'wire-cuts-loop': 'wire cuts into a loop of line',
  'doubles-one-line': 'it doubles one line into a long loop; what joins the two is then loop to loop',
  'keeps-default': ({ efficiency }, say) =>
    `${say.percent(efficiency)} of the weaker line, a default until pulls say otherwise`,
  'keeps-tested': ({ efficiency }, say) => `${say.percent(efficiency)} of the weaker line, tested on this boat`,
  'join-thick': 'thick: pull it through the rings, and the level wind where there is one, first',
  'join-slim': 'slim enough for usual rings',
  'join-minutes': ({ minutes }) => `about ${minutes} min`,
  'join-minutes-glue': ({ minutes }) => `about ${minutes} min with the glue`,
  'cold-hands-hardly': 'hardly with wet, cold hands',
  'cold-hands-slow': 'slow with cold hands',
  'cold-hands-easy': 'easy with cold hands',
  'needs-knotted-loops': 'each end needs a knotted loop first',
  'needs-things': ({ things }) => `needs ${things.join(', ')}`,
  'stroke-finished': 'The knot is done.',
  'stroke-later': ({ next }) => `That comes later: ${strokeName(next)} is next.`,
  'stroke-too-early': ({ missing, stroke }) => `Too early: ${missing} more ${strokeName(stroke, missing)} first.`,
  'stroke-same-side': ({ side }) =>
    `${side === 'over' ? 'Over' : 'Under'} twice: that pass lies beside the last one and will bulge.`,
  'stroke-too-many': ({ most }) => `That is one too many: ${most} are enough in this school.`,
  'figure-strip': ({ leastM, mostM }, say) => `${say.hand(leastM)} to ${say.hand(mostM)}; the sheath stays whole`,
  'figure-overhang': ({ aboutM }, say) => `about ${say.hand(aboutM)}: enough to hold with tension on it`,
  'figure-tag': 'short enough for the rings, long enough not to slip',
  'figure-wraps': 'thin line takes one more',
  'figure-bury': ({ leastM, mostM }, say) =>
    `${say.hand(leastM)} to ${say.hand(mostM)}, or a hundred thicknesses where that is more`,
  'figure-taper': 'so that the braid has no step to break at',
  'figure-needle': 'the line must go into it, and it must go into the hollow braid',
  'figure-loop': 'so that the whole reel passes through it',
  'figure-arbor-turns-braid': 'braid needs the grip',
  'figure-arbor-turns-nylon': 'nylon grips by itself',
  'figure-tension': 'a drag that just clicks: less and the plait sags, more and it will not lock',
  'figure-seating': 'a quarter to two fifths of the weaker line, drawn up slowly',
  'not-a-picture': 'That file is not a picture that this browser can read.',
  'picture-too-large': 'The picture stays too large even when it is shrunk: take it from farther away.',
  'slip-holds': 'The mark stands: the line holds the arbor.',
  'slip-bedding': ({ uptoM }, say) =>
    `It has bedded in by less than ${say.small(uptoM)}. Mark it anew and pull again: a second shift is a slip.`,
  'slip-slips':
    'The whole line turns on the arbor, which feels exactly like a broken drag. Take it off: tape or a nylon underlay, one more turn, and hard packing.',
};
