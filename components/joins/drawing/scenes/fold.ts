import { laid, lying, p, straight, wraps } from '../shapes';
import { SCENE, drawnTimes, type SceneMaker } from '../scene';
import type { Point3 } from '../strand';

const Y = SCENE.axisY;
/** Where the fold closes (at the right), and where its short end lies. */
const CLOSED = 252;
const SHORT = 70;
const HALF = 9;
const WRAPS = { from: 104, to: 226, radius: 18 } as const;

/** The thicker line from the left, folded back on itself. */
const fold = (shortX: number): readonly Point3[] => [
  ...straight(p(0, Y - HALF), p(CLOSED - 14, Y - HALF), 8),
  p(CLOSED - 4, Y - HALF + 2),
  p(CLOSED, Y),
  p(CLOSED - 4, Y + HALF - 2),
  ...straight(p(CLOSED - 14, Y + HALF), p(shortX, Y + HALF), 8),
];

/** In at the back of the fold, along both its strands, and back over everything in turns; out of the fold in front. */
function wrapped(turns: number, tag: number): readonly Point3[] {
  return [
    ...straight(p(320, Y + 2, -12), p(CLOSED + 8, Y + 2, -12), 4),
    p(CLOSED - 8, Y + 1, -10),
    p(CLOSED - 22, Y, 6),
    ...straight(p(CLOSED - 34, Y, 10), p(WRAPS.from - 8, Y, 10), 6),
    p(WRAPS.from - 16, Y - 8, 12),
    p(WRAPS.from - 10, Y - WRAPS.radius, 8),
    ...wraps(WRAPS.from, WRAPS.to, turns, Y, WRAPS.radius),
    p(WRAPS.to + 8, Y - 14, 12),
    p(CLOSED - 14, Y - 4, 14),
    p(CLOSED - 10, Y + 3, 4),
    p(CLOSED + 4, Y + 5, -14),
    p(CLOSED + 4 + tag, Y + 14 + tag / 2, -12),
  ];
}

export const foldScene: SceneMaker = (step, done) => {
  const isCut = done('trim');
  const folded = lying('inner', 8, fold(isCut ? WRAPS.from - 10 : SHORT));
  if (step.id === 'fold') return { strands: [laid('inner', 8, fold(SHORT), 0.4)] };
  if (step.id === 'lay')
    return {
      strands: [
        folded,
        laid(
          'outer',
          5,
          wrapped(1, 12)
            .slice(0, 18)
            .concat(p(40, Y - 26, 12)),
        ),
      ],
    };
  const times = drawnTimes({ ...step, times: { least: 5, most: 5 } }, 5);
  const whole = wrapped(times, isCut ? 4 : 24);
  if (step.id === 'wraps')
    return { strands: [folded, laid('outer', 5, [...whole.slice(0, -3), p(CLOSED - 2, Y - 30, 14)], 0.25)] };
  const strands = [folded, step.id === 'out' ? laid('outer', 5, whole, 0.9) : lying('outer', 5, whole)];
  switch (step.id) {
    case 'wet':
      return {
        strands,
        marks: [
          { kind: 'water', x: 160, y: Y - 34 },
          { kind: 'slide', x: 200, y: Y - 36, toward: 'right' },
        ],
      };
    case 'trim':
      return {
        strands,
        marks: [
          { kind: 'cut', x: WRAPS.from - 12, y: Y + HALF },
          { kind: 'cut', x: CLOSED + 14, y: Y + 20 },
        ],
      };
    default:
      return step.kind === 'seat'
        ? {
            strands,
            marks: [
              { kind: 'pull', x: 36, y: Y - 34, toward: 'left' },
              { kind: 'pull', x: 292, y: Y - 34, toward: 'right' },
            ],
          }
        : { strands };
  }
};
