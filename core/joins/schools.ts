import type { JoinKind } from './joinKinds';

/**
 * One step of tying a join. A counted step is done so many times; the seating pull can never be left out; a figure
 * names what is worked out for the very line (see prepFigures).
 */
export interface GuideStep {
  readonly id: string;
  readonly kind: 'prepare' | 'tie' | 'count' | 'seat' | 'trim' | 'check';
  /** What to do, worded by the dictionary. */
  readonly says: StepText;
  readonly times?: { readonly least: number; readonly most: number };
  readonly figure?: PrepFigureName;
  readonly caution?: CautionName;
}

export type PrepFigureName =
  'strip' | 'bury' | 'needle' | 'loop' | 'tag' | 'wraps' | 'overhang' | 'seating' | 'tension' | 'arborTurns' | 'taper';

export type CautionName = 'braid-cuts' | 'glue' | 'flame' | 'lead' | 'needle' | 'teeth';

export type SchoolId =
  | 'arbor-sliding'
  | 'arbor-tape'
  | 'arbor-underlay'
  | 'arbor-crossed'
  | 'double-sliding'
  | 'sheath-single'
  | 'sheath-double'
  | 'plait-long'
  | 'plait-counted'
  | 'plait-short'
  | 'splice-loop'
  | 'loop-to-loop'
  | 'long-loop'
  | 'swivel';

/** What a step says, by a key of the dictionary. */
export type StepText =
  | 'arbor-clean-dry'
  | 'arbor-clean-dry-nothing'
  | 'arbor-clean-dry-nylon'
  | 'bare-lead-break'
  | 'bury-tag-too'
  | 'draw-end-in'
  | 'draw-them-down'
  | 'draw-two-knots'
  | 'drop-glue-fringe'
  | 'drop-glue-let'
  | 'half-hitches-one'
  | 'hitches-left-right'
  | 'hitches-round'
  | 'keep-braid-taut'
  | 'lay-braid-over'
  | 'lay-two-ends'
  | 'lead-first-twenty'
  | 'leave-loop-passes'
  | 'load-slowly-short'
  | 'locking-hitch-with'
  | 'make-loop-as'
  | 'mark-spool-line'
  | 'milk-smooth-from'
  | 'more-overhands'
  | 'needle-into-hollow'
  | 'one-layer-cloth'
  | 'overhands-round-lines'
  | 'pass-line-round'
  | 'pass-one-loop'
  | 'pass-whole-leader'
  | 'passes-eleven-over'
  | 'passes-over-under'
  | 'passes-over-under-in'
  | 'pull-again'
  | 'pull-hard-before'
  | 'pull-hard-first'
  | 'pull-hard-until'
  | 'pull-mono-against'
  | 'pull-one-line'
  | 'pull-standing-line'
  | 'pull-standing-lines'
  | 'pull-tight-against'
  | 'push-mono-into'
  | 'second-one-about'
  | 'slide-overhand-end'
  | 'spread-legs-under'
  | 'steady-pull-look'
  | 'taper-tag-by'
  | 'tie-overhand-loosely'
  | 'tie-two-overhands'
  | 'trim-close'
  | 'trim-fringe'
  | 'trim-leader-braid'
  | 'trim-leader-partly'
  | 'trim-tag'
  | 'trim-tag-close'
  | 'trim-tags'
  | 'trim-tags-short'
  | 'try-bare-swivel'
  | 'turn-loop-through'
  | 'turns-finish-tag'
  | 'turns-knot-first'
  | 'turns-knot-second'
  | 'turns-locked-finish'
  | 'turns-sliding-knot'
  | 'twists'
  | 'wet-draw-them'
  | 'wet-draw-them-down'
  | 'wet-slide-down'
  | 'wind-one-or'
  | 'wraps-first-knot'
  | 'wraps-second-knot';

/** A way in which people tie a join, with its steps in order. */
export interface School {
  readonly id: SchoolId;
  readonly join: JoinKind;
  readonly steps: readonly GuideStep[];
  /** Where its numbers come from: common practice without a source, in one case with the seating pull added. */
  readonly source: 'practice' | 'practice, seating pull added';
}

const seat = (says: StepText): GuideStep => ({
  id: 'seat',
  kind: 'seat',
  says,
  figure: 'seating',
  caution: 'braid-cuts',
});

/** Schools of each join. Numbers are common practice unless a step says otherwise; none claims to be the only way. */
export const SCHOOLS: readonly School[] = [
  {
    id: 'arbor-sliding',
    join: 'arbor-sliding-knot',
    source: 'practice',
    steps: [{ id: 'clean', kind: 'prepare', says: 'arbor-clean-dry' }, ...arborKnot()],
  },
  {
    id: 'arbor-tape',
    join: 'arbor-sliding-knot',
    source: 'practice',
    steps: [
      {
        id: 'tape',
        kind: 'prepare',
        says: 'one-layer-cloth',
      },
      ...arborKnot(),
    ],
  },
  {
    id: 'arbor-underlay',
    join: 'arbor-sliding-knot',
    source: 'practice',
    steps: [
      { id: 'clean', kind: 'prepare', says: 'arbor-clean-dry-nylon' },
      ...arborKnot(),
      {
        id: 'underlay',
        kind: 'check',
        says: 'wind-one-or',
      },
    ],
  },
  {
    id: 'arbor-crossed',
    join: 'arbor-sliding-knot',
    source: 'practice',
    steps: [
      { id: 'clean', kind: 'prepare', says: 'arbor-clean-dry-nothing' },
      ...arborKnot(),
      {
        id: 'cross',
        kind: 'check',
        says: 'lead-first-twenty',
      },
    ],
  },
  {
    id: 'double-sliding',
    join: 'double-sliding-knot',
    source: 'practice',
    steps: [
      { id: 'lay', kind: 'prepare', says: 'lay-two-ends', figure: 'overhang' },
      {
        id: 'first',
        kind: 'count',
        says: 'wraps-first-knot',
        times: { least: 5, most: 7 },
      },
      { id: 'second', kind: 'count', says: 'wraps-second-knot', times: { least: 5, most: 7 } },
      {
        id: 'wet',
        kind: 'prepare',
        says: 'wet-draw-them',
      },
      { id: 'slide', kind: 'tie', says: 'draw-two-knots' },
      seat('pull-standing-lines'),
      { id: 'trim', kind: 'trim', says: 'trim-tags-short', figure: 'tag' },
      { id: 'glue', kind: 'check', says: 'drop-glue-let', caution: 'glue' },
    ],
  },
  {
    id: 'sheath-single',
    join: 'sheath-over-mono',
    source: 'practice',
    steps: sheathSteps(false),
  },
  {
    id: 'sheath-double',
    join: 'sheath-over-mono',
    source: 'practice',
    steps: sheathSteps(true),
  },
  {
    id: 'plait-long',
    join: 'plaited-braid-to-leader',
    source: 'practice',
    steps: [
      ...plaitPreparation(),
      {
        id: 'plait',
        kind: 'count',
        says: 'passes-over-under',
        times: { least: 20, most: 25 },
      },
      { id: 'lock', kind: 'count', says: 'locking-hitch-with', times: { least: 1, most: 1 } },
      seat('pull-hard-until'),
      { id: 'hitch', kind: 'count', says: 'hitches-left-right', times: { least: 6, most: 10 } },
      { id: 'trim', kind: 'trim', says: 'trim-leader-braid', figure: 'tag', caution: 'flame' },
    ],
  },
  {
    id: 'plait-counted',
    join: 'plaited-braid-to-leader',
    source: 'practice',
    steps: [
      ...plaitPreparation(),
      {
        id: 'plait',
        kind: 'count',
        says: 'passes-eleven-over',
        times: { least: 22, most: 22 },
      },
      { id: 'lock', kind: 'count', says: 'overhands-round-lines', times: { least: 2, most: 2 } },
      seat('pull-hard-first'),
      { id: 'trim', kind: 'trim', says: 'trim-leader-partly', figure: 'tag', caution: 'flame' },
      { ...seat('pull-again'), id: 'seat-again' },
      { id: 'hitch', kind: 'count', says: 'more-overhands', times: { least: 2, most: 2 } },
    ],
  },
  {
    id: 'plait-short',
    join: 'plaited-braid-to-leader',
    source: 'practice, seating pull added',
    steps: [
      ...plaitPreparation(),
      { id: 'plait', kind: 'count', says: 'passes-over-under-in', times: { least: 18, most: 22 } },
      { id: 'lock', kind: 'count', says: 'hitches-round', times: { least: 3, most: 4 } },
      {
        id: 'finish',
        kind: 'count',
        says: 'turns-finish-tag',
        times: { least: 3, most: 3 },
      },
      seat('pull-hard-before'),
      { id: 'trim', kind: 'trim', says: 'trim-close', figure: 'tag', caution: 'flame' },
    ],
  },
  {
    id: 'splice-loop',
    join: 'loop-splice',
    source: 'practice',
    steps: [
      {
        id: 'needle-in',
        kind: 'tie',
        says: 'needle-into-hollow',
        figure: 'needle',
        caution: 'needle',
      },
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
      {
        id: 'roll',
        kind: 'tie',
        says: 'spread-legs-under',
        caution: 'braid-cuts',
      },
      { id: 'legs', kind: 'count', says: 'half-hitches-one', times: { least: 2, most: 2 } },
      { id: 'lock', kind: 'count', says: 'turns-locked-finish', times: { least: 3, most: 4 } },
      seat('pull-standing-line'),
      { id: 'trim', kind: 'trim', says: 'trim-tag', figure: 'tag' },
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

function arborKnot(): readonly GuideStep[] {
  return [
    {
      id: 'turns',
      kind: 'tie',
      says: 'pass-line-round',
      figure: 'arborTurns',
    },
    {
      id: 'knot',
      kind: 'count',
      says: 'turns-sliding-knot',
      times: { least: 5, most: 6 },
    },
    { id: 'wet', kind: 'prepare', says: 'wet-slide-down' },
    seat('pull-tight-against'),
    { id: 'trim', kind: 'trim', says: 'trim-tag-close', figure: 'tag' },
    { id: 'mark', kind: 'check', says: 'mark-spool-line' },
  ];
}

function sheathSteps(second: boolean): readonly GuideStep[] {
  return [
    {
      id: 'overhand',
      kind: 'tie',
      says: second ? 'tie-two-overhands' : 'tie-overhand-loosely',
    },
    { id: 'strip', kind: 'prepare', says: 'bare-lead-break', figure: 'strip', caution: 'lead' },
    { id: 'push', kind: 'tie', says: 'push-mono-into' },
    { id: 'first', kind: 'tie', says: 'slide-overhand-end' },
    ...(second
      ? [
          {
            id: 'second',
            kind: 'tie',
            says: 'second-one-about',
          } as const,
        ]
      : []),
    seat('pull-mono-against'),
    { id: 'trim', kind: 'trim', says: 'trim-fringe', figure: 'tag' },
    { id: 'glue', kind: 'check', says: 'drop-glue-fringe', caution: 'glue' },
  ];
}

function plaitPreparation(): readonly GuideStep[] {
  return [
    {
      id: 'overhang',
      kind: 'prepare',
      says: 'lay-braid-over',
      figure: 'overhang',
    },
    {
      id: 'tension',
      kind: 'prepare',
      says: 'keep-braid-taut',
      figure: 'tension',
      caution: 'teeth',
    },
  ];
}

/** The schools of one join, the first being the default. */
export function schoolsOf(join: JoinKind): readonly School[] {
  return SCHOOLS.filter((school) => school.join === join);
}

/** A school by its id, or null. */
export function schoolById(id: string): School | null {
  return SCHOOLS.find((school) => school.id === id) ?? null;
}
