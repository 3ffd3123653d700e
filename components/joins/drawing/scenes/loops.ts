import { hitch, laid, lying, p, straight, turnsRound, wraps } from '../shapes';
import { SCENE, type SceneMaker } from '../scene';
import type { Point3 } from '../strand';

const Y = SCENE.axisY;

/** A loop that ends a line from the left (or from the right), with its own knot as a crossing of its legs. */
function loopFrom(side: 'left' | 'right', tip: number, half: number, z: number): readonly Point3[] {
  const away = side === 'left' ? -1 : 1;
  const base = tip + away * 120;
  return [
    ...straight(p(side === 'left' ? 0 : SCENE.width, Y, z), p(base + away * 14, Y, z), 4),
    p(base, Y - 3, z),
    p(base - away * 24, Y - half, z),
    p(tip + away * 16, Y - half, z),
    p(tip + away * 3, Y - half + 2, z),
    p(tip, Y, z),
    p(tip + away * 3, Y + half - 2, z),
    p(tip + away * 16, Y + half, z),
    p(base - away * 24, Y + half, z),
    p(base, Y + 3, z - 3),
    p(base + away * 10, Y + 1, z - 3),
  ];
}

/** Loop to loop: the ready loop from the left, the leader with its loop from the right. */
export const loopToLoopScene: SceneMaker = (step) => {
  const ready = lying('inner', 6, loopFrom('left', 190, 18, 0));
  if (step.id === 'over') {
    // The leader's loop lies over the ready loop, whose end looks out through it.
    const over = loopFrom('right', 132, 26, 8);
    return { strands: [ready, laid('outer', 8, over)] };
  }
  const tail = step.id === 'through';
  // Twice round the end of the ready loop: in front of it, down through the loop, and back behind it.
  const across: readonly Point3[] = [
    ...straight(p(320, Y + 40, 4), p(236, Y + 26, 4), 4),
    p(212, Y + 16, 2),
    ...turnsRound(187, 17, 2, Y + 10, Y - 10),
    p(212, Y - 16, -2),
    ...straight(p(236, Y - 26, -4), p(320, Y - 40, -4), 4),
  ];
  const strands = [ready, tail ? laid('outer', 6, across) : lying('outer', 6, across)];
  if (step.kind === 'seat') {
    return {
      strands: drawnDown(),
      marks: [
        { kind: 'pull', x: 30, y: Y - 34, toward: 'left' },
        { kind: 'pull', x: 290, y: Y - 34, toward: 'right' },
      ],
    };
  }
  return { strands: tail ? strands : drawnDown() };
};

/**
 * Two loops drawn down: the end of each holds both legs of the other. Legs of the right one come in under the end of
 * the left one, cross out over its legs, and close under them.
 */
function drawnDown() {
  const left: readonly Point3[] = [
    ...straight(p(0, Y - 4), p(110, Y - 7), 4),
    p(140, Y - 11),
    p(165, Y - 12),
    p(182, Y - 11, 2),
    p(190, Y - 4, 6),
    p(190, Y + 4, 6),
    p(182, Y + 11, 2),
    p(165, Y + 12),
    p(140, Y + 11),
    ...straight(p(110, Y + 7), p(0, Y + 4), 4),
  ];
  const leg = (sign: 1 | -1): readonly Point3[] => [
    ...straight(p(320, Y + sign * 4, -4), p(215, Y + sign * 5, -5), 4),
    p(190, Y + sign * 5, -8),
    p(172, Y + sign * 8, 4),
    p(158, Y + sign * 14, 12),
    p(144, Y + sign * 21, 6),
    p(130, Y + sign * 19, -4),
  ];
  const right = [...leg(-1), p(122, Y - 8, -9), p(122, Y + 8, -9), ...leg(1).toReversed()];
  return [lying('inner', 6, left), lying('outer', 6, right)];
}

/** The long loop: its two legs twisted, the tag rolled back over the twists, each leg hitched, and locked. */
export const longLoopScene: SceneMaker = (step, done) => {
  const from = 70;
  const to = 190;
  const twists = 5;
  const a = wraps(from, to, twists, Y, 6);
  const b = wraps(from, to, twists, Y, 6, -1).map((each) => p(each.x, 2 * Y - each.y, each.z));
  // The whole loop at first; later its legs run on beyond the drawing, so that there is room for what ties them.
  const isWhole = step.id === 'loop' || step.id === 'twist';
  const loop: readonly Point3[] = isWhole
    ? [
        p(210, Y - 10),
        p(240, Y - 22),
        p(280, Y - 24),
        p(308, Y - 12),
        p(308, Y + 12),
        p(280, Y + 24),
        p(240, Y + 22),
        p(210, Y + 10),
      ]
    : [...straight(p(206, Y - 10), p(360, Y - 10), 8), ...straight(p(360, Y + 10), p(206, Y + 10), 8)];
  const standing = straight(p(0, Y - 6), p(from - 8, Y - 6), 4);
  const tagOut: readonly Point3[] = [p(from - 10, Y + 8), p(from - 30, Y + 22), p(from - 48, Y + 32)];
  if (step.id === 'loop') {
    return {
      strands: [
        laid('inner', 6, [
          ...straight(p(0, Y - 8), p(200, Y - 10), 6),
          ...loop,
          ...straight(p(200, Y + 10), p(20, Y + 8), 6),
        ]),
      ],
    };
  }
  const twisted = (tag: readonly Point3[]) => [...standing, ...a, ...loop, ...b.toReversed(), ...tag];
  if (step.id === 'twist') return { strands: [laid('inner', 6, twisted(tagOut), 0.12)] };
  const rolled: readonly Point3[] = [p(from - 10, Y + 6), p(from - 14, Y - 8), ...wraps(from - 2, to - 6, 8, Y, 13)];
  if (step.id === 'roll')
    return {
      strands: [laid('inner', 6, twisted([...rolled, p(to + 6, Y - 20, 6), p(to + 26, Y - 34, 6)]), 0.55)],
      marks: [
        { kind: 'pull', x: 30, y: Y - 34, toward: 'left' },
        { kind: 'pull', x: 290, y: Y - 44, toward: 'right' },
      ],
    };
  const first = hitch(to + 32, Y - 10, 9);
  const second = hitch(to + 62, Y + 10, 9);
  const isLocked = done('lock');
  const end: readonly Point3[] = isLocked
    ? [
        p(to + 76, Y - 12, 10),
        ...wraps(to + 80, to + 102, 3, Y, 20),
        p(to + 106, Y - 28, 6),
        p(to + 106 + (done('trim') ? 2 : 12), Y - 40, 6),
      ]
    : [p(to + 82, Y + 22, 6), p(to + 96, Y + 36, 6)];
  const tied = twisted([
    ...rolled,
    p(to + 8, Y - 20, 4),
    ...first.slice(1, -2),
    p(to + 47, Y - 4, 8),
    ...second.slice(1, -2),
    ...end,
  ]);
  const lays = step.id === 'legs' || step.id === 'lock';
  const strands = [lays ? laid('inner', 6, tied, step.id === 'legs' ? 0.8 : 0.9) : lying('inner', 6, tied)];
  if (step.kind === 'seat')
    return {
      strands,
      marks: [
        { kind: 'pull', x: 30, y: Y - 34, toward: 'left' },
        { kind: 'pull', x: 306, y: Y - 50, toward: 'right' },
      ],
    };
  if (step.kind === 'trim') return { strands, marks: [{ kind: 'cut', x: to + 112, y: Y - 44 }] };
  return { strands };
};
