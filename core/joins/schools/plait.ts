import { seat, type GuideStep, type School } from './school';

const ready: readonly GuideStep[] = [
  { id: 'overhang', kind: 'prepare', says: 'lay-braid-over', figure: 'overhang' },
  { id: 'tension', kind: 'prepare', says: 'keep-braid-taut', figure: 'tension', caution: 'teeth' },
];

/** Twenty to twenty-five plaits, one lock, the hard pull and the hitches. */
const long: readonly GuideStep[] = [
  ...ready,
  { id: 'plait', kind: 'count', says: 'passes-over-under', times: { least: 20, most: 25 } },
  { id: 'lock', kind: 'count', says: 'locking-hitch-with', times: { least: 1, most: 1 } },
  seat('pull-hard-until'),
  { id: 'hitch', kind: 'count', says: 'hitches-left-right', times: { least: 6, most: 10 } },
];

export const PLAIT_SCHOOLS: readonly School[] = [
  {
    id: 'plait-long',
    join: 'plaited-braid-to-leader',
    source: 'practice',
    steps: [...long, { id: 'trim', kind: 'trim', says: 'trim-leader-braid', figure: 'tag' }],
  },
  {
    id: 'plait-counted',
    join: 'plaited-braid-to-leader',
    source: 'practice',
    steps: [
      ...ready,
      { id: 'plait', kind: 'count', says: 'passes-eleven-over', times: { least: 22, most: 22 } },
      { id: 'lock', kind: 'count', says: 'overhands-round-lines', times: { least: 2, most: 2 } },
      seat('pull-hard-first'),
      { id: 'trim', kind: 'trim', says: 'trim-leader-partly', figure: 'tag' },
      { ...seat('pull-again'), id: 'seat-again' },
      { id: 'hitch', kind: 'count', says: 'more-overhands', times: { least: 2, most: 2 } },
    ],
  },
  {
    id: 'plait-short',
    join: 'plaited-braid-to-leader',
    source: 'practice, seating pull added',
    steps: [
      ...ready,
      { id: 'plait', kind: 'count', says: 'passes-over-under-in', times: { least: 18, most: 22 } },
      { id: 'lock', kind: 'count', says: 'hitches-round', times: { least: 3, most: 4 } },
      { id: 'finish', kind: 'count', says: 'turns-finish-tag', times: { least: 3, most: 3 } },
      seat('pull-hard-before'),
      { id: 'trim', kind: 'trim', says: 'trim-close', figure: 'tag' },
    ],
  },
  {
    id: 'plait-melted',
    join: 'plaited-braid-to-leader',
    source: 'practice',
    steps: [
      ...long,
      { ...seat('pull-again-before'), id: 'seat-again' },
      { id: 'trim', kind: 'trim', says: 'trim-leader-braid', figure: 'tag' },
      { id: 'melt', kind: 'check', says: 'melt-tag', caution: 'flame' },
    ],
  },
];
