import { seat, type GuideStep, type School } from './school';

const turns: GuideStep = { id: 'turns', kind: 'tie', says: 'pass-line-round', figure: 'arborTurns' };
const knot: GuideStep = { id: 'knot', kind: 'count', says: 'turns-sliding-knot', times: { least: 5, most: 6 } };
const mark: GuideStep = { id: 'mark', kind: 'check', says: 'mark-spool-line' };
const trim: GuideStep = { id: 'trim', kind: 'trim', says: 'trim-tag-close', figure: 'tag' };

/** Turns, sliding knot, pull, trim, and the mark that shows a slip. */
const arborKnot: readonly GuideStep[] = [
  turns,
  knot,
  { id: 'wet', kind: 'prepare', says: 'wet-slide-down' },
  seat('pull-tight-against'),
  trim,
  mark,
];

const arbor = { join: 'arbor-sliding-knot', source: 'practice' } as const;

export const ARBOR_SCHOOLS: readonly School[] = [
  {
    ...arbor,
    id: 'arbor-sliding',
    steps: [{ id: 'clean', kind: 'prepare', says: 'arbor-clean-dry' }, ...arborKnot],
  },
  { ...arbor, id: 'arbor-tape', steps: [{ id: 'tape', kind: 'prepare', says: 'one-layer-cloth' }, ...arborKnot] },
  {
    ...arbor,
    id: 'arbor-underlay',
    steps: [
      { id: 'clean', kind: 'prepare', says: 'arbor-clean-dry-nylon' },
      ...arborKnot,
      { id: 'underlay', kind: 'check', says: 'wind-one-or' },
    ],
  },
  {
    ...arbor,
    id: 'arbor-crossed',
    // The first wraps go steeply over the tag, and the knot is drawn on to them: laid after it they hold nothing.
    steps: [
      { id: 'clean', kind: 'prepare', says: 'arbor-clean-wraps' },
      turns,
      { id: 'cross', kind: 'tie', says: 'crossed-over-tag' },
      knot,
      { id: 'wet', kind: 'prepare', says: 'draw-knot-onto' },
      seat('pull-tight-against'),
      trim,
      { id: 'pack', kind: 'check', says: 'pack-first-layers' },
      mark,
    ],
  },
];
