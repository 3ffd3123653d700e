import { seat, type School } from './school';

/** Loops, splices and doubled line: what is made of one end, and what holds two ends in each other. */
export const LOOP_SCHOOLS: readonly School[] = [
  {
    id: 'splice-loop',
    join: 'loop-splice',
    source: 'practice',
    steps: [
      { id: 'needle-in', kind: 'tie', says: 'needle-into-hollow', figure: 'needle', caution: 'needle' },
      { id: 'bury', kind: 'tie', says: 'draw-end-in', figure: 'bury' },
      { id: 'loop', kind: 'check', says: 'leave-loop-passes', figure: 'loop' },
      { id: 'through', kind: 'tie', says: 'turn-loop-through' },
      { id: 'taper', kind: 'prepare', says: 'taper-tag-by', figure: 'taper' },
      { id: 'tag', kind: 'tie', says: 'bury-tag-too' },
      { id: 'milk', kind: 'check', says: 'milk-smooth-from' },
      seat('load-slowly-short'),
    ],
  },
  {
    id: 'loop-to-loop',
    join: 'loop-to-loop',
    source: 'practice',
    steps: [
      { id: 'over', kind: 'tie', says: 'pass-one-loop', figure: 'loop' },
      { id: 'through', kind: 'count', says: 'pass-whole-leader', times: { least: 2, most: 2 } },
      { id: 'lie', kind: 'check', says: 'draw-them-down' },
      seat('steady-pull-look'),
    ],
  },
  {
    id: 'long-loop',
    join: 'long-loop-twist',
    source: 'practice',
    steps: [
      { id: 'loop', kind: 'prepare', says: 'make-loop-as', figure: 'loop' },
      { id: 'twist', kind: 'count', says: 'twists', times: { least: 20, most: 20 } },
      { id: 'roll', kind: 'tie', says: 'spread-legs-under', caution: 'braid-cuts' },
      { id: 'legs', kind: 'count', says: 'half-hitches-one', times: { least: 2, most: 2 } },
      { id: 'lock', kind: 'count', says: 'turns-locked-finish', times: { least: 3, most: 4 } },
      seat('pull-standing-line'),
      { id: 'trim', kind: 'trim', says: 'trim-tag', figure: 'tag' },
    ],
  },
  {
    id: 'sleeve-whipped',
    join: 'sleeve-splice',
    source: 'memory',
    steps: [
      { id: 'needle-in', kind: 'tie', says: 'needle-from-end', figure: 'needle', caution: 'needle' },
      { id: 'bury', kind: 'tie', says: 'draw-line-in', figure: 'sleeve' },
      { id: 'thin', kind: 'prepare', says: 'thin-braid-end', figure: 'taper' },
      { id: 'milk', kind: 'check', says: 'milk-smooth-from' },
      { id: 'whip', kind: 'count', says: 'whip-end', times: { least: 20, most: 30 } },
      seat('pull-line-sleeve'),
      { id: 'glue', kind: 'check', says: 'drop-glue-fringe', caution: 'glue' },
    ],
  },
  {
    id: 'tied-loop',
    join: 'tied-loop',
    source: 'memory',
    steps: [
      { id: 'fold', kind: 'prepare', says: 'fold-for-loop', figure: 'loop' },
      { id: 'through', kind: 'count', says: 'pass-loop-through', times: { least: 2, most: 2 } },
      { id: 'wet', kind: 'prepare', says: 'wet-draw-loop' },
      seat('pull-against-loop'),
      { id: 'trim', kind: 'trim', says: 'trim-tag', figure: 'tag' },
    ],
  },
  {
    id: 'wire-twist',
    join: 'wire-loop',
    source: 'memory',
    steps: [
      { id: 'bend', kind: 'prepare', says: 'bend-wire', caution: 'wire' },
      { id: 'twist', kind: 'count', says: 'spread-wire-twists', times: { least: 4, most: 6 } },
      { id: 'coil', kind: 'count', says: 'close-turns-wire', times: { least: 4, most: 6 } },
      seat('pull-against-loop'),
      { id: 'trim', kind: 'trim', says: 'break-wire', caution: 'wire' },
    ],
  },
];
