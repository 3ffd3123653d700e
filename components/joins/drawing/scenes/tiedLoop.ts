import { laid, lying, overhandTimes, p, straight } from '../shapes';
import { SCENE, type SceneMaker } from '../scene';
import type { Point3 } from '../strand';

const Y = SCENE.axisY + 4;
const AT_LEFT = 86;

/** Both strands of the folded end lie side by side, drawn as one; what leaves the knot at the right is the loop. */
const loopFrom = (x: number, y: number): readonly Point3[] => [
  p(x - 8, y - 2, 14),
  p(x + 10, y - 8, 14),
  p(x + 46, y - 14, 14),
  p(x + 70, y - 4, 14),
  p(x + 70, y + 8, 14),
  p(x + 46, y + 14, 14),
  p(x + 10, y + 5, 14),
  p(x - 8, y + 1, 14),
];

/** The standing line, and the short end beside it. */
const comes = (tag: number) => [
  lying('inner', 5, straight(p(0, Y - 2), p(AT_LEFT, Y - 2), 4)),
  lying('inner', 5, [
    p(AT_LEFT, Y + 2),
    p(AT_LEFT - 6, Y + 4),
    p(AT_LEFT - 8 - tag / 2, Y + 10),
    p(AT_LEFT - 10 - tag, Y + 16),
  ]),
];

export const tiedLoopScene: SceneMaker = (step, done) => {
  if (step.id === 'fold') {
    const folded: readonly Point3[] = [
      ...straight(p(0, Y - 5), p(270, Y - 5), 8),
      p(292, Y - 3),
      p(300, Y),
      p(292, Y + 3),
      ...straight(p(270, Y + 5), p(40, Y + 5), 8),
    ];
    return { strands: [laid('inner', 5, folded, 0.3)] };
  }
  const isOpen = step.id === 'through';
  const knot = overhandTimes(2, AT_LEFT, Y, isOpen ? 1 : 0.62);
  const end = knot.at(-1) ?? p(0, 0);
  const strands = [
    ...comes(done('trim') ? 2 : 22),
    isOpen || step.id === 'wet' ? laid('inner', 9, knot, 0.3) : lying('inner', 9, knot),
    lying('inner', 5, loopFrom(end.x, end.y)),
  ];
  switch (step.id) {
    case 'wet':
      return { strands, marks: [{ kind: 'water', x: 150, y: Y - 46 }] };
    case 'seat':
      return {
        strands,
        marks: [
          { kind: 'pull', x: 34, y: Y - 34, toward: 'left' },
          { kind: 'pull', x: 292, y: Y - 52, toward: 'right' },
        ],
      };
    case 'trim':
      return { strands, marks: [{ kind: 'cut', x: AT_LEFT - 16, y: Y + 16 }] };
    default:
      return { strands };
  }
};
