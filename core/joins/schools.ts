import type { JoinKind } from './joinKinds';

/**
 * One step of tying a join. A counted step is done so many times; the seating pull can never be left out; a figure
 * names what is worked out for the very line (see prepFigures).
 */
export interface GuideStep {
  readonly id: string;
  readonly kind: 'prepare' | 'tie' | 'count' | 'seat' | 'trim' | 'check';
  readonly text: string;
  readonly times?: { readonly least: number; readonly most: number };
  readonly figure?: PrepFigureName;
  readonly caution?: CautionName;
}

export type PrepFigureName =
  'strip' | 'bury' | 'needle' | 'loop' | 'tag' | 'wraps' | 'overhang' | 'seating' | 'tension' | 'arborTurns' | 'taper';

export type CautionName = 'braid-cuts' | 'glue' | 'flame' | 'lead' | 'needle' | 'teeth';

export const CAUTIONS: Readonly<Record<CautionName, string>> = {
  'braid-cuts': 'Braid under tension cuts to the bone: gloves or a bar, never a bare hand, never a wrap round it.',
  glue: 'Glue bonds skin and eyes. Acetone for skin, a doctor for eyes; keep it off the line beyond the knot.',
  flame: 'A flame near line melts it, and near fuel it is worse: a blade does the same here.',
  lead: 'Lead: wash hands before eating, keep scraps out of the water and from children.',
  needle: 'The needle points at the hand that holds the line: push away from it.',
  teeth: 'Teeth are for eating: tension comes from a drag or a weight.',
};

/** A way in which people tie a join: what it is called, and its steps in order. */
export interface School {
  readonly id: string;
  readonly join: JoinKind;
  readonly name: string;
  readonly steps: readonly GuideStep[];
  /** Where its numbers come from, in words. */
  readonly source: string;
}

const PRACTICE = 'common practice, no source';

const seat = (text: string): GuideStep => ({
  id: 'seat',
  kind: 'seat',
  text,
  figure: 'seating',
  caution: 'braid-cuts',
});

/** Schools of each join. Numbers are common practice unless a step says otherwise; none claims to be the only way. */
export const SCHOOLS: readonly School[] = [
  {
    id: 'arbor-sliding',
    join: 'arbor-sliding-knot',
    name: 'two turns and a sliding knot',
    source: PRACTICE,
    steps: [{ id: 'clean', kind: 'prepare', text: 'Arbor clean and dry.' }, ...arborKnot()],
  },
  {
    id: 'arbor-tape',
    join: 'arbor-sliding-knot',
    name: 'tape on the arbor',
    source: PRACTICE,
    steps: [
      {
        id: 'tape',
        kind: 'prepare',
        text: 'One layer of cloth or vinyl tape round the clean, dry arbor, its end lapped the way the line winds.',
      },
      ...arborKnot(),
    ],
  },
  {
    id: 'arbor-underlay',
    join: 'arbor-sliding-knot',
    name: 'nylon underlay',
    source: PRACTICE,
    steps: [
      { id: 'clean', kind: 'prepare', text: 'Arbor clean and dry. The nylon is tied to it, the braid to the nylon.' },
      ...arborKnot(),
      {
        id: 'underlay',
        kind: 'check',
        text: 'Wind one or two close layers of nylon, enough that no braid reaches the arbor; then join the braid.',
      },
    ],
  },
  {
    id: 'arbor-crossed',
    join: 'arbor-sliding-knot',
    name: 'no underlay: first wraps crossed, packed hard',
    source: PRACTICE,
    steps: [
      { id: 'clean', kind: 'prepare', text: 'Arbor clean and dry: nothing but the line will hold here.' },
      ...arborKnot(),
      {
        id: 'cross',
        kind: 'check',
        text: 'Lead the first twenty wraps steeply to one flange and back, so that they bite on each other; pack them hard.',
      },
    ],
  },
  {
    id: 'double-sliding',
    join: 'double-sliding-knot',
    name: 'sliding knots on both sides',
    source: PRACTICE,
    steps: [
      { id: 'lay', kind: 'prepare', text: 'Lay the two ends past each other.', figure: 'overhang' },
      {
        id: 'first',
        kind: 'count',
        text: 'Wraps of the first knot round the other line.',
        times: { least: 5, most: 7 },
      },
      { id: 'second', kind: 'count', text: 'Wraps of the second knot, the other way.', times: { least: 5, most: 7 } },
      {
        id: 'wet',
        kind: 'prepare',
        text: 'Wet both and draw them down evenly: a soft sheath must not bunch against a stiff leader.',
      },
      { id: 'slide', kind: 'tie', text: 'Draw the two knots together.' },
      seat('Pull both standing lines apart, steadily.'),
      { id: 'trim', kind: 'trim', text: 'Trim both tags short.', figure: 'tag' },
      { id: 'glue', kind: 'check', text: 'A drop of glue, and let it dry.', caution: 'glue' },
    ],
  },
  {
    id: 'sheath-single',
    join: 'sheath-over-mono',
    name: 'one overhand in the sheath',
    source: PRACTICE,
    steps: sheathSteps(false),
  },
  {
    id: 'sheath-double',
    join: 'sheath-over-mono',
    name: 'two overhands in the sheath',
    source: PRACTICE,
    steps: sheathSteps(true),
  },
  {
    id: 'plait-long',
    join: 'plaited-braid-to-leader',
    name: '20 to 25 plaits, one lock, hard pull, 6 to 10 hitches',
    source: PRACTICE,
    steps: [
      ...plaitPreparation(),
      {
        id: 'plait',
        kind: 'count',
        text: 'Passes, over and under in turn, each laid against the last.',
        times: { least: 20, most: 25 },
      },
      { id: 'lock', kind: 'count', text: 'Locking hitch with the tag round both.', times: { least: 1, most: 1 } },
      seat('Pull hard until the plait darkens and stops creeping.'),
      { id: 'hitch', kind: 'count', text: 'Hitches, left and right in turn.', times: { least: 6, most: 10 } },
      { id: 'trim', kind: 'trim', text: 'Trim leader and braid tags close.', figure: 'tag', caution: 'flame' },
    ],
  },
  {
    id: 'plait-counted',
    join: 'plaited-braid-to-leader',
    name: '11 over and 11 under, two overhands, pull, trim, pull, two more',
    source: PRACTICE,
    steps: [
      ...plaitPreparation(),
      {
        id: 'plait',
        kind: 'count',
        text: 'Passes, eleven over and eleven under in turn.',
        times: { least: 22, most: 22 },
      },
      { id: 'lock', kind: 'count', text: 'Overhands round both lines.', times: { least: 2, most: 2 } },
      seat('Pull hard, the first time.'),
      { id: 'trim', kind: 'trim', text: 'Trim the leader partly.', figure: 'tag', caution: 'flame' },
      { ...seat('Pull again.'), id: 'seat-again' },
      { id: 'hitch', kind: 'count', text: 'More overhands.', times: { least: 2, most: 2 } },
    ],
  },
  {
    id: 'plait-short',
    join: 'plaited-braid-to-leader',
    name: 'about 20 plaits, 3 or 4 hitches, a three-turn finish',
    source: `${PRACTICE}; taught without a seating pull, which is added here`,
    steps: [
      ...plaitPreparation(),
      { id: 'plait', kind: 'count', text: 'Passes, over and under in turn.', times: { least: 18, most: 22 } },
      { id: 'lock', kind: 'count', text: 'Hitches round both.', times: { least: 3, most: 4 } },
      {
        id: 'finish',
        kind: 'count',
        text: 'Turns of the finish, the tag through all of them.',
        times: { least: 3, most: 3 },
      },
      seat('Pull hard before anything is trimmed: a plait that was never seated slips when it matters.'),
      { id: 'trim', kind: 'trim', text: 'Trim close.', figure: 'tag', caution: 'flame' },
    ],
  },
  {
    id: 'splice-loop',
    join: 'loop-splice',
    name: 'loop turned through itself, tag buried',
    source: PRACTICE,
    steps: [
      {
        id: 'needle-in',
        kind: 'tie',
        text: 'Needle into the hollow braid, along its middle.',
        figure: 'needle',
        caution: 'needle',
      },
      { id: 'bury', kind: 'tie', text: 'Draw the end in and bury it.', figure: 'bury' },
      { id: 'loop', kind: 'check', text: 'Leave a loop that passes what it has to pass.', figure: 'loop' },
      { id: 'through', kind: 'tie', text: 'Turn the loop through itself, so that it cannot walk.' },
      { id: 'taper', kind: 'prepare', text: 'Taper the tag by thinning its end.', figure: 'taper' },
      { id: 'tag', kind: 'tie', text: 'Bury the tag too, onwards in the standing part, until its end disappears.' },
      { id: 'milk', kind: 'check', text: 'Milk it smooth from the loop outwards: no gap, no bunched braid.' },
      seat('Load it slowly; a short bury shows now.'),
    ],
  },
  {
    id: 'loop-to-loop',
    join: 'loop-to-loop',
    name: 'leader passed through twice',
    source: PRACTICE,
    steps: [
      { id: 'over', kind: 'tie', text: 'Pass one loop over the other.', figure: 'loop' },
      { id: 'through', kind: 'count', text: 'Pass the whole leader through the loop.', times: { least: 2, most: 2 } },
      { id: 'lie', kind: 'check', text: 'Draw them down so that they lie side by side, not one choking the other.' },
      seat('A steady pull, and look at the loops again.'),
    ],
  },
  {
    id: 'long-loop',
    join: 'long-loop-twist',
    name: 'twenty twists, a half hitch on each leg',
    source: PRACTICE,
    steps: [
      { id: 'loop', kind: 'prepare', text: 'Make the loop as long as it has to be.', figure: 'loop' },
      { id: 'twist', kind: 'count', text: 'Twists.', times: { least: 20, most: 20 } },
      {
        id: 'roll',
        kind: 'tie',
        text: 'Spread the legs under tension until the tag rolls back over the twists.',
        caution: 'braid-cuts',
      },
      { id: 'legs', kind: 'count', text: 'Half hitches, one on each leg.', times: { least: 2, most: 2 } },
      { id: 'lock', kind: 'count', text: 'Turns of the locked finish round both legs.', times: { least: 3, most: 4 } },
      seat('Pull the standing line against the loop.'),
      { id: 'trim', kind: 'trim', text: 'Trim the tag.', figure: 'tag' },
    ],
  },
  {
    id: 'swivel',
    join: 'small-swivel',
    name: 'a knot on each eye',
    source: PRACTICE,
    steps: [
      { id: 'size', kind: 'check', text: 'Try the bare swivel through the level wind and the smallest ring.' },
      { id: 'first', kind: 'count', text: 'Turns of the knot on the first eye.', times: { least: 5, most: 6 } },
      { id: 'second', kind: 'count', text: 'Turns of the knot on the second eye.', times: { least: 5, most: 6 } },
      { id: 'wet', kind: 'prepare', text: 'Wet both and draw them down.' },
      seat('Pull one line against the other.'),
      { id: 'trim', kind: 'trim', text: 'Trim both tags.', figure: 'tag' },
    ],
  },
];

function arborKnot(): readonly GuideStep[] {
  return [
    {
      id: 'turns',
      kind: 'tie',
      text: 'Pass the line round the arbor, more than once where it is slick.',
      figure: 'arborTurns',
    },
    {
      id: 'knot',
      kind: 'count',
      text: 'Turns of the sliding knot round the standing line.',
      times: { least: 5, most: 6 },
    },
    { id: 'wet', kind: 'prepare', text: 'Wet it and slide it down to the arbor.' },
    seat('Pull it tight against the arbor until nothing slides.'),
    { id: 'trim', kind: 'trim', text: 'Trim the tag close.', figure: 'tag' },
    { id: 'mark', kind: 'check', text: 'Mark spool and line with one stroke of a pen: a shifted mark shows a slip.' },
  ];
}

function sheathSteps(second: boolean): readonly GuideStep[] {
  return [
    {
      id: 'overhand',
      kind: 'tie',
      text: `Tie ${second ? 'two overhands' : 'the overhand'} loosely in the sheath first.`,
    },
    { id: 'strip', kind: 'prepare', text: 'Bare the lead and break it off.', figure: 'strip', caution: 'lead' },
    { id: 'push', kind: 'tie', text: 'Push the mono into the sheath until it meets the lead.' },
    { id: 'first', kind: 'tie', text: 'Slide the overhand to the end of the sheath and tighten it there.' },
    ...(second
      ? [
          {
            id: 'second',
            kind: 'tie',
            text: 'The second one about 12 mm behind it, or near the end of the mono.',
          } as const,
        ]
      : []),
    seat('Pull mono against sheath; a kinked sheath is tied anew.'),
    { id: 'trim', kind: 'trim', text: 'Trim the fringe.', figure: 'tag' },
    { id: 'glue', kind: 'check', text: 'A drop of glue on the fringe.', caution: 'glue' },
  ];
}

function plaitPreparation(): readonly GuideStep[] {
  return [
    {
      id: 'overhang',
      kind: 'prepare',
      text: 'Lay the braid over the leader with enough of both to hold.',
      figure: 'overhang',
    },
    {
      id: 'tension',
      kind: 'prepare',
      text: 'Keep the braid taut: rod in a holder, a drag that just clicks. Too loose sags, too tight will not lock.',
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
