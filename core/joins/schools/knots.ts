import { seat, type GuideStep, type School } from './school';

const bothWraps: readonly GuideStep[] = [
  { id: 'lay', kind: 'prepare', says: 'lay-two-ends', figure: 'overhang' },
  { id: 'first', kind: 'count', says: 'wraps-first-knot', times: { least: 5, most: 7 } },
  { id: 'second', kind: 'count', says: 'wraps-second-knot', times: { least: 5, most: 7 } },
  { id: 'wet', kind: 'prepare', says: 'wet-draw-them' },
  { id: 'slide', kind: 'tie', says: 'draw-two-knots' },
  seat('pull-standing-lines'),
];
const trimBoth: GuideStep = { id: 'trim', kind: 'trim', says: 'trim-tags-short', figure: 'tag' };
const glue: GuideStep = { id: 'glue', kind: 'check', says: 'drop-glue-let', caution: 'glue' };
const again: GuideStep = { ...seat('pull-again-before'), id: 'seat-again' };

/** Knots in which one line is wrapped round another. */
export const KNOT_SCHOOLS: readonly School[] = [
  {
    id: 'double-sliding',
    join: 'double-sliding-knot',
    source: 'practice',
    sheath: false,
    steps: [...bothWraps, trimBoth, glue],
  },
  {
    id: 'double-sliding-dry',
    join: 'double-sliding-knot',
    source: 'practice',
    sheath: false,
    steps: [...bothWraps, again, trimBoth],
  },
  {
    id: 'double-sliding-sheath',
    join: 'double-sliding-knot',
    source: 'practice',
    sheath: true,
    steps: [
      { id: 'strip', kind: 'prepare', says: 'bare-lead-ten', figure: 'sheathStrip', caution: 'lead' },
      { id: 'smooth', kind: 'prepare', says: 'smooth-sheath-end', caution: 'flame' },
      ...bothWraps,
      again,
      trimBoth,
      glue,
    ],
  },
  { id: 'sheath-single', join: 'sheath-over-mono', source: 'practice', steps: sheathSteps(false) },
  { id: 'sheath-double', join: 'sheath-over-mono', source: 'practice', steps: sheathSteps(true) },
  {
    id: 'fold-wraps',
    join: 'wraps-over-fold',
    source: 'memory',
    steps: [
      { id: 'fold', kind: 'prepare', says: 'fold-end-back', figure: 'fold' },
      { id: 'lay', kind: 'tie', says: 'lay-along-fold' },
      { id: 'wraps', kind: 'count', says: 'wraps-fold', times: { least: 8, most: 12 } },
      { id: 'out', kind: 'tie', says: 'out-of-fold' },
      { id: 'wet', kind: 'prepare', says: 'wet-draw-fold' },
      seat('pull-standing-lines'),
      again,
      { id: 'trim', kind: 'trim', says: 'trim-tag-both', figure: 'tag' },
    ],
  },
  {
    id: 'swivel',
    join: 'small-swivel',
    source: 'practice',
    steps: [
      { id: 'size', kind: 'check', says: 'try-bare-swivel' },
      { id: 'first', kind: 'count', says: 'turns-knot-first', times: { least: 5, most: 6 } },
      { id: 'second', kind: 'count', says: 'turns-knot-second', times: { least: 5, most: 6 } },
      { id: 'wet', kind: 'prepare', says: 'wet-draw-them-down' },
      seat('pull-one-line'),
      { id: 'trim', kind: 'trim', says: 'trim-tags', figure: 'tag' },
    ],
  },
];

function sheathSteps(second: boolean): readonly GuideStep[] {
  const behind: readonly GuideStep[] = [{ id: 'second', kind: 'tie', says: 'second-one-about' }];
  return [
    { id: 'overhand', kind: 'tie', says: second ? 'tie-two-overhands' : 'tie-overhand-loosely' },
    { id: 'strip', kind: 'prepare', says: 'bare-lead-break', figure: 'strip', caution: 'lead' },
    { id: 'push', kind: 'tie', says: 'push-mono-into' },
    { id: 'first', kind: 'tie', says: 'slide-overhand-end' },
    ...(second ? behind : []),
    seat('pull-mono-against'),
    { id: 'trim', kind: 'trim', says: 'trim-fringe', figure: 'tag' },
    { id: 'glue', kind: 'check', says: 'drop-glue-fringe', caution: 'glue' },
  ];
}
