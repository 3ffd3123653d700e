import { laid, lying, p, straight } from '../shapes';
import { SCENE, type SceneMaker } from '../scene';
import type { Point3 } from '../strand';

const Y = SCENE.axisY + 8;
/** Where the end goes in (at the loop) and where it comes out again. */
const IN = 130;
const OUT = 250;

/** Hollow braid from the right, its loop at the left. */
export const spliceScene: SceneMaker = (step, done) => {
  const hollow = lying('inner', 13, straight(p(320, Y), p(IN, Y), 8));
  const loop: readonly Point3[] = [
    p(IN + 6, Y),
    p(IN - 20, Y - 3),
    p(80, Y - 24),
    p(44, Y - 34),
    p(18, Y - 20),
    p(14, Y),
    p(18, Y + 20),
    p(44, Y + 32),
    p(80, Y + 20),
    p(IN - 16, Y + 8, 2),
    p(IN, Y + 2, 9),
  ];
  if (step.id === 'needle-in') {
    return {
      strands: [
        lying('inner', 13, straight(p(320, Y), p(14, Y), 8)),
        laid('needle', 4, straight(p(OUT + 44, Y - 34, 20), p(OUT, Y, 20), 4)),
        laid('buried', 5, straight(p(OUT, Y, 16), p(IN, Y, 16), 8)),
        laid('needle', 4, straight(p(IN, Y, 20), p(IN - 24, Y - 18, 20), 4)),
      ],
    };
  }
  const bury = laid('buried', 6, straight(p(IN, Y, 16), p(OUT, Y, 16), 10));
  const tagHidden = done('tag') || step.id === 'tag';
  const outside: readonly Point3[] = [
    p(OUT, Y, 16),
    p(OUT + 8, Y - 10, 16),
    p(OUT + 20, Y - 26, 16),
    p(OUT + 34, Y - 40, 16),
  ];
  const taper = step.id === 'taper' || done('taper');
  const end = tagHidden
    ? [
        lying('inner', 6, [p(OUT, Y, 16), p(OUT + 5, Y - 6, 16), p(OUT + 12, Y - 6, 16), p(OUT + 17, Y, 16)]),
        laid('buried', 4, straight(p(OUT + 17, Y, 18), p(316, Y, 18), 6)),
      ]
    : [lying('inner', taper ? 5 : 9, outside)];
  const locked = done('through') || step.id === 'through';
  const turnedLoop = locked ? crossed() : loop;
  const loopStrand =
    step.id === 'loop' || step.id === 'through' ? laid('inner', 9, turnedLoop) : lying('inner', 9, turnedLoop);
  const still = (strand: typeof bury) => ({ ...strand, laidFrom: 1 });
  const strands = [
    hollow,
    loopStrand,
    step.id === 'bury' ? bury : still(bury),
    ...(step.id === 'tag' ? end : end.map(still)),
  ];
  switch (step.id) {
    case 'bury':
      return { strands, marks: [{ kind: 'slide', x: 190, y: Y - 24, toward: 'right' }] };
    case 'taper':
      return { strands, marks: [{ kind: 'cut', x: OUT + 34, y: Y - 40 }] };
    case 'milk':
      return {
        strands,
        marks: [
          { kind: 'slide', x: 170, y: Y - 26, toward: 'right' },
          { kind: 'slide', x: 230, y: Y - 26, toward: 'right' },
        ],
      };
    case 'seat':
      return {
        strands,
        marks: [
          { kind: 'pull', x: 44, y: Y - 56, toward: 'left' },
          { kind: 'pull', x: 296, y: Y - 30, toward: 'right' },
        ],
      };
    default:
      return { strands };
  }
};

/** The loop turned through itself: its legs change sides where they leave the braid. */
function crossed(): readonly Point3[] {
  return [
    p(IN + 10, Y, 4),
    p(IN - 2, Y - 6, 9),
    p(IN - 16, Y - 8, 9),
    p(IN - 34, Y + 3, 9),
    p(IN - 52, Y + 20, 6),
    p(62, Y + 31, 2),
    p(36, Y + 30),
    p(18, Y + 18),
    p(14, Y),
    p(18, Y - 18),
    p(36, Y - 30),
    p(62, Y - 31, -2),
    p(IN - 52, Y - 20, -6),
    p(IN - 34, Y - 3, -8),
    p(IN - 16, Y + 8, -4),
    p(IN - 2, Y + 6, 2),
    p(IN + 4, Y + 1, 9),
  ];
}
