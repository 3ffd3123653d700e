import { laid, lying, p, straight, wraps } from '../shapes';
import { SCENE, type SceneMaker } from '../scene';
import type { Point3 } from '../strand';

const Y = SCENE.axisY;
const TWIST = { from: 222, to: 150, turns: 4, radius: 7 } as const;

/** Wire from the left, its loop at the right. */
const eye: readonly Point3[] = [
  p(236, Y - 8),
  p(256, Y - 20),
  p(282, Y - 22),
  p(302, Y - 10),
  p(302, Y + 10),
  p(282, Y + 22),
  p(256, Y + 20),
  p(236, Y + 8),
];

export const wireLoopScene: SceneMaker = (step, done) => {
  const crossed: readonly Point3[] = [
    ...straight(p(0, Y + 14), p(190, Y + 6), 6),
    p(220, Y - 4, -4),
    ...eye,
    p(220, Y + 4, 4),
    ...straight(p(190, Y - 10, 4), p(120, Y - 36, 4), 4),
  ];
  if (step.id === 'bend') return { strands: [laid('inner', 5, crossed, 0.4)] };
  // Both strands turn round each other: half a turn apart, the one in front where the other is behind.
  const standing = wraps(TWIST.to, TWIST.from, TWIST.turns, Y, TWIST.radius, -1).map((each) =>
    p(each.x, 2 * Y - each.y, each.z),
  );
  const end = wraps(TWIST.to, TWIST.from, TWIST.turns, Y, TWIST.radius).toReversed();
  const away: readonly Point3[] = [p(TWIST.to - 6, Y - 16, 6), p(TWIST.to - 22, Y - 38, 6)];
  const comes = straight(p(0, Y), p(TWIST.to - 8, Y + 4), 6);
  const coils: readonly Point3[] = [
    p(TWIST.to - 6, Y - 12, 6),
    ...wraps(TWIST.to - 12, TWIST.to - 46, 4, Y, 10),
    ...(done('trim') ? [p(TWIST.to - 48, Y - 13, 4)] : [p(TWIST.to - 52, Y - 18, 6), p(TWIST.to - 62, Y - 40, 6)]),
  ];
  const isCoiled = done('coil');
  const wire = [...comes, ...standing, ...eye, ...end, ...(isCoiled ? coils : away)];
  if (step.id === 'twist') return { strands: [laid('inner', 5, wire, 0.35)] };
  if (step.id === 'coil') return { strands: [laid('inner', 5, wire, 0.65)] };
  const strands = [lying('inner', 5, wire)];
  if (step.kind === 'seat')
    return {
      strands,
      marks: [
        { kind: 'pull', x: 40, y: Y - 34, toward: 'left' },
        { kind: 'pull', x: 288, y: Y - 40, toward: 'right' },
      ],
    };
  return { strands, marks: [{ kind: 'cut', x: TWIST.to - 50, y: Y - 22 }] };
};
