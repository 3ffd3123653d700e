import type { GuideStep } from '@/core/joins/schools';
import { hitch, laid, lying, p, straight, turned, wraps } from '../shapes';
import { SCENE, type Mark, type SceneMaker } from '../scene';
import type { Point3 } from '../strand';

const Y = SCENE.axisY;
const START = 285;
const END = 150;
const RADIUS = 13;

/**
 * Both legs of the braid wind round the leader the opposite way and cross in front and behind, the one and the other
 * on top in turn: what passes over and under make once the leader is straight again.
 */
function leg(turns: number, side: 1 | -1, to: number): readonly Point3[] {
  const count = turns * 12;
  return Array.from({ length: count + 1 }, (_, index) => {
    const angle = (2 * Math.PI * index) / 12;
    const over = 2.5 * Math.cos((angle - Math.PI / 2) / 2);
    return p(
      START + (index / count) * (to - START),
      Y - side * RADIUS * Math.cos(angle),
      RADIUS * Math.sin(angle) + side * over,
    );
  });
}

/** The braid that goes on to the reel, close along the leader; hitches go round both. */
const MAIN: readonly Point3[] = [
  ...leg(5, 1, END),
  p(END - 8, Y - 11, 8),
  p(END - 16, Y - 9, 4),
  ...straight(p(END - 26, Y - 8, 4), p(0, Y - 8, 4), 8),
];

const TIE_WIDTH = 26;

/** Braid from the left, leader from the right with its end to the left: mirrored as a whole for a left hand. */
export const plaitScene: SceneMaker = (step, done, school) => {
  const leaderTo = (endX: number) => lying('outer', 12, straight(p(320, Y), p(endX, Y), 12));
  if (step.id === 'overhang' || step.id === 'tension') {
    const braid = straight(p(0, Y - 30, 14), p(300, Y + 14, 14), 10);
    if (step.id === 'overhang') return { strands: [leaderTo(60), laid('inner', 5, braid)] };
    return {
      strands: [leaderTo(60), lying('inner', 5, braid)],
      marks: [
        { kind: 'pull', x: 30, y: 16, toward: 'left' },
        { kind: 'pull', x: 290, y: 112, toward: 'right' },
      ],
    };
  }
  if (step.id === 'plait') {
    const tag = [...leg(5, -1, END), p(END - 8, Y + 14, 8), p(END - 24, Y + 26, 6), p(END - 44, Y + 36, 4)];
    return { strands: [leaderTo(60), laid('inner', 5, MAIN), laid('inner', 5, tag)] };
  }
  const order = (id: string): number => school.steps.findIndex((each) => each.id === id);
  const tiesBy = (has: (id: string) => boolean): number =>
    (has('lock') ? LOCKS : 0) + (has('hitch') ? HITCHES : 0) + (has('finish') ? 1 : 0);
  const tiesAtTrim = tiesBy((id) => order(id) >= 0 && order(id) < order('trim'));
  const leader = leaderTo(done('trim') ? END - 6 - tiesAtTrim * TIE_WIDTH : 40);
  const tag = tagWith(tiesBy(done), done('finish'), done('trim'));
  const lays = step.id === 'lock' || step.id === 'hitch' || step.id === 'finish';
  const strands = [
    leader,
    lying('inner', 5, MAIN),
    lays ? laid('inner', 5, tag, LAID_FROM[step.id]) : lying('inner', 5, tag),
  ];
  return { strands, marks: marksOf(step, END - 6 - tiesAtTrim * TIE_WIDTH, tag.at(-1) ?? p(0, 0)) };
};

const LOCKS = 1;
const HITCHES = 2;
const LAID_FROM: Readonly<Record<string, number>> = { lock: 0.75, hitch: 0.82, finish: 0.8 };

/** The tag of the braid: down the plait, then its hitches to the left, then the turns of the finish where there are any. */
function tagWith(ties: number, isFinished: boolean, isTrimmed: boolean): readonly Point3[] {
  const hitches = isFinished ? ties - 1 : ties;
  const chain: Point3[] = [...leg(5, -1, END), p(END - 6, Y + 14, 4)];
  for (let index = 0; index < hitches; index += 1) {
    const at = END - 14 - index * TIE_WIDTH;
    chain.push(...turned(hitch(at, Y - 4, 13), at, Y - 4).slice(2, -1));
  }
  const x = chain.at(-1)?.x ?? END;
  const length = isTrimmed ? 6 : 26;
  if (!isFinished) return [...chain, p(x - length / 2, Y + 18, 4), p(x - length, Y + 26, 4)];
  return [
    ...chain,
    ...straight(p(x - 4, Y + 10, 3), p(x - 36, Y + 10, 3), 4),
    p(x - 44, Y + 8, 0),
    p(x - 46, Y, -8),
    p(x - 44, Y - 12, -8),
    ...wraps(x - 40, x - 12, 3, Y - 2, 15),
    p(x - 9, Y - 24, 4),
    p(x - 9 - length / 4, Y - 26 - length / 2, 6),
  ];
}

function marksOf(step: GuideStep, leaderEnd: number, tagEnd: Point3): readonly Mark[] {
  if (step.kind === 'seat') {
    return [
      { kind: 'pull', x: 26, y: Y - 32, toward: 'left' },
      { kind: 'pull', x: 296, y: Y - 32, toward: 'right' },
    ];
  }
  if (step.id === 'melt') return [{ kind: 'glue', x: leaderEnd - 4, y: Y - 22 }];
  if (step.kind !== 'trim') return [];
  return [
    { kind: 'cut', x: leaderEnd - 2, y: Y + 9 },
    ...(step.says === 'trim-leader-partly' ? [] : [{ kind: 'cut', x: tagEnd.x, y: tagEnd.y } as const]),
  ];
}
