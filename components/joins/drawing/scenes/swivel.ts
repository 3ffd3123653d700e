import { closedSliding, laid, lying, mirrored, openSliding, p, straight } from '../shapes';
import { SCENE, drawnTimes, type Body, type SceneMaker } from '../scene';
import type { Point3 } from '../strand';

const Y = SCENE.axisY;
const MIDDLE = SCENE.width / 2;
const SWIVEL: readonly Body[] = [
  { x: MIDDLE - 8, y: Y - 9, width: 16, height: 18, look: 'swivel' },
  { x: MIDDLE - 32, y: Y - 11, width: 24, height: 22, look: 'ring' },
  { x: MIDDLE + 8, y: Y - 11, width: 24, height: 22, look: 'ring' },
];

/** Through the right eye, in at the back and out at the front, then back along the line. */
const throughEye: readonly Point3[] = [
  p(MIDDLE + 40, Y + 2, -4),
  p(MIDDLE + 24, Y + 1, -8),
  p(MIDDLE + 20, Y - 3, 4),
  p(MIDDLE + 30, Y - 9, 8),
];

/** A knot on each eye: the inner line at the left eye, the outer one at the right. */
export const swivelScene: SceneMaker = (step, done) => {
  if (step.id === 'size')
    return { strands: [], bodies: [...SWIVEL, { x: MIDDLE - 44, y: Y - 44, width: 88, height: 88, look: 'ring' }] };
  const tag = done('trim') ? 3 : 16;
  const open = [
    ...straight(p(320, Y + 2), p(MIDDLE + 48, Y + 2), 6),
    ...throughEye,
    ...openSliding(MIDDLE + 58, MIDDLE + 104, Y, drawnTimes(step, 5)),
  ];
  const closed = [
    ...straight(p(320, Y + 2), p(MIDDLE + 48, Y + 2), 6),
    ...throughEye,
    ...closedSliding(MIDDLE + 34, MIDDLE + 42, MIDDLE + 82, Y, 5, tag),
  ];
  const left = (points: readonly Point3[]) => mirrored(points, MIDDLE);
  if (step.id === 'first') return { strands: [laid('inner', 5, left(open), 0.2)], bodies: SWIVEL };
  if (step.id === 'second')
    return { strands: [lying('inner', 5, left(open)), laid('outer', 5, open, 0.2)], bodies: SWIVEL };
  const strands =
    step.id === 'wet'
      ? [laid('inner', 5, left(closed), 0.4), laid('outer', 5, closed, 0.4)]
      : [lying('inner', 5, left(closed)), lying('outer', 5, closed)];
  switch (step.id) {
    case 'wet':
      return {
        strands,
        bodies: SWIVEL,
        marks: [
          { kind: 'water', x: MIDDLE - 60, y: Y - 34 },
          { kind: 'water', x: MIDDLE + 60, y: Y - 34 },
        ],
      };
    case 'seat':
      return {
        strands,
        bodies: SWIVEL,
        marks: [
          { kind: 'pull', x: 30, y: Y - 26, toward: 'left' },
          { kind: 'pull', x: 290, y: Y - 26, toward: 'right' },
        ],
      };
    default:
      return {
        strands,
        bodies: SWIVEL,
        marks: [
          { kind: 'cut', x: MIDDLE - 36, y: Y - 30 },
          { kind: 'cut', x: MIDDLE + 36, y: Y - 30 },
        ],
      };
  }
};
