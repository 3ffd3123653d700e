'use client';

import { useMemo } from 'react';
import type { GuideStep, School } from '@/core/joins/schools';
import { SCENE, type Body, type Mark } from './scene';
import { stepScene } from './stepScene';
import { crossings, fromTheEnd, sampled, type Look, type Point3, type Strand } from './strand';

/** How long a step's line takes to be laid (s), at its usual pace and slowly. */
const LAY_S = { usual: 2.6, slow: 7 } as const;

/** How a drawing is looked at: from the side or the end, at which pace, standing still or not. */
export interface Viewing {
  readonly side: 'side' | 'end';
  readonly pace: keyof typeof LAY_S;
  readonly isPaused: boolean;
}

export const USUAL_VIEWING: Viewing = { side: 'side', pace: 'usual', isPaused: false };

const LOOKS: Readonly<Record<Look, string>> = {
  inner: 'stroke-[#5d7a48] dark:stroke-[#93b579]',
  outer: 'stroke-[#7a5c9a] dark:stroke-[#c3a6e0]',
  lead: 'stroke-[#4a4f57] dark:stroke-[#aab2bd]',
  needle: 'stroke-ink',
  buried: 'stroke-rule',
};

interface Piece {
  readonly key: string;
  readonly from: Point3;
  readonly to: Point3;
  readonly strand: Strand;
  /** When it is laid (s), or null where it lies already. */
  readonly atS: number | null;
  readonly isLast: boolean;
}

/** When a share of a strand is laid (s); null where it lies already. */
function laidAtS({ laidFrom }: Strand, share: number, pace: Viewing['pace']): number | null {
  return share >= laidFrom && laidFrom < 1 ? (LAY_S[pace] * (share - laidFrom)) / (1 - laidFrom) : null;
}

function piecesOf(strand: Strand, name: number, pace: Viewing['pace']): readonly Piece[] {
  const points = sampled(strand);
  const dashed = strand.look === 'buried';
  return points.slice(1).flatMap((to, index): Piece[] => {
    const from = points[index];
    if (!from || (dashed && index % 4 > 1)) return [];
    const share = index / (points.length - 1);
    return [
      {
        key: `${name} ${index}`,
        from,
        to,
        strand,
        atS: laidAtS(strand, share, pace),
        isLast: index === points.length - 2,
      },
    ];
  });
}

/** What a step looks like: pieces from the farthest to the nearest, and the crossings that it makes. */
function drawn(school: School, step: GuideStep, side: Viewing['side'], pace: Viewing['pace']) {
  const scene = stepScene(school, step);
  const strands = side === 'end' ? scene.strands.map((strand) => fromTheEnd(strand, SCENE)) : scene.strands;
  const pieces = strands
    .flatMap((strand, index) => piecesOf(strand, index, pace))
    .toSorted((a, b) => a.from.z + a.to.z - b.from.z - b.to.z);
  return {
    scene,
    behind: pieces.filter((piece) => piece.from.z + piece.to.z < 0),
    before: pieces.filter((piece) => piece.from.z + piece.to.z >= 0),
    lit: litCrossings(strands, pace),
  };
}

/**
 * A step of a guide as a drawing: the line in space, laid along its path, what is nearer drawn over what is farther.
 * Nothing moves where the viewer asked for less motion. Mirrored for a left hand.
 */
export function StepDrawing({
  school,
  step,
  hand,
  words,
  viewing = USUAL_VIEWING,
}: {
  school: School;
  step: GuideStep;
  hand: 'left' | 'right';
  words: string;
  viewing?: Viewing;
}) {
  const { side, pace, isPaused } = viewing;
  const isFromEnd = side === 'end';
  const { scene, behind, before, lit } = useMemo(() => drawn(school, step, side, pace), [school, step, side, pace]);
  return (
    <svg
      key={`${school.id} ${step.id}`}
      viewBox={`0 0 ${SCENE.width} ${SCENE.height}`}
      role="img"
      aria-label={`Drawing: ${words}`}
      className={`block w-full rounded-sm bg-card ${isPaused ? 'stands-still' : ''}`}
      style={{ transform: hand === 'left' ? 'scaleX(-1)' : undefined }}
    >
      {behind.map((piece) => (
        <PieceLine key={piece.key} piece={piece} />
      ))}
      {!isFromEnd && scene.bodies?.map((body) => <BodyShape key={`${body.look} ${body.x} ${body.y}`} body={body} />)}
      {before.map((piece) => (
        <PieceLine key={piece.key} piece={piece} />
      ))}
      {lit.map(({ x, y, atS }) => (
        <circle
          key={`${x} ${y}`}
          cx={x}
          cy={y}
          r={7}
          className="lit-crossing fill-none stroke-rule stroke-[3]"
          style={{ animationDelay: `${atS.toFixed(2)}s` }}
        />
      ))}
      {!isFromEnd && scene.marks?.map((mark) => <MarkShape key={`${mark.kind} ${mark.x} ${mark.y}`} mark={mark} />)}
    </svg>
  );
}

/** The crossings that this step makes, each lit as the line reaches it. */
function litCrossings(strands: readonly Strand[], pace: Viewing['pace']) {
  return strands
    .filter(({ laidFrom, look }) => laidFrom < 1 && look !== 'buried')
    .flatMap((laid) =>
      strands.flatMap((other) =>
        (other.look === 'buried' ? [] : crossings(laid, other)).flatMap(({ x, y, along: [share, second] }) => {
          // Of a strand over itself, what is laid last makes the crossing.
          const atS = laidAtS(laid, laid === other ? Math.max(share, second) : share, pace);
          return atS === null ? [] : [{ x: Math.round(x), y: Math.round(y), atS }];
        }),
      ),
    )
    .filter((each, index, all) => all.findIndex(({ x, y }) => x === each.x && y === each.y) === index);
}

/** A short piece of line with a rim of the ground on either side, so that it parts what lies under it. */
function PieceLine({ piece: { from, to, strand, atS } }: { piece: Piece }) {
  const ends = { x1: from.x, y1: from.y, x2: to.x, y2: to.y };
  const isInside = strand.look === 'buried' || strand.look === 'lead';
  return (
    <g
      className={atS === null ? undefined : 'laid-piece'}
      style={atS === null ? undefined : { animationDelay: `${atS.toFixed(2)}s` }}
    >
      {!isInside && <line {...ends} strokeWidth={strand.thickness + 3.4} className="stroke-card" />}
      <line {...ends} strokeWidth={strand.thickness} strokeLinecap="round" className={LOOKS[strand.look]} />
    </g>
  );
}

const BODIES: Readonly<Record<Body['look'], string>> = {
  spool: 'fill-edge stroke-edge-strong',
  flange: 'fill-edge-strong',
  tape: 'fill-rule/80',
  ring: 'fill-none stroke-ink stroke-[3]',
  swivel: 'fill-edge-strong stroke-ink',
};

function BodyShape({ body: { look, ...place } }: { body: Body }) {
  return <rect {...place} rx={look === 'ring' ? place.height / 2 : 3} className={BODIES[look]} />;
}

function MarkShape({ mark }: { mark: Mark }) {
  const { x, y } = mark;
  switch (mark.kind) {
    case 'pull':
    case 'slide': {
      const way = mark.toward === 'left' ? -1 : 1;
      const length = mark.kind === 'pull' ? 22 : 14;
      return (
        <path
          d={`M${x - (way * length) / 2} ${y}h${way * length}m${-way * 8} -6l${way * 8} 6l${-way * 8} 6`}
          className={`fill-none ${mark.kind === 'pull' ? 'stroke-stop stroke-[4]' : 'stroke-chalk stroke-[2.5]'}`}
        />
      );
    }
    case 'cut':
      return <path d={`M${x - 7} ${y - 9}l14 18m0 -18l-14 18`} className="fill-none stroke-stop stroke-[2.5]" />;
    case 'water':
    case 'glue':
      return (
        <path
          d={`M${x} ${y - 12}c5 8 8 11 8 15a8 8 0 0 1 -16 0c0 -4 3 -7 8 -15z`}
          className={mark.kind === 'water' ? 'fill-chalk/70' : 'fill-rule stroke-rule-ink'}
        />
      );
    case 'pen':
      return <path d={`M${x} ${y - 38}v76`} className="stroke-stop stroke-[4]" />;
  }
}
