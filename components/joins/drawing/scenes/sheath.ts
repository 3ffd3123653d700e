import { laid, lying, overhand, p, straight } from '../shapes';
import { SCENE, type SceneMaker } from '../scene';
import type { Point3 } from '../strand';

const Y = SCENE.axisY + 14;

const END = 286;
const LEAD_END = 64;
const MONO_END = 70;

/** The sheath with its overhands still loose: one, or two behind each other. */
function looseSheath(isTwo: boolean): readonly Point3[] {
  const knots = isTwo
    ? [...overhand(140, Y, 20), ...straight(p(186, Y - 4), p(198, Y)), ...overhand(236, Y, 20)]
    : [...overhand(190, Y, 24), p(244, Y - 5)];
  return [...straight(p(0, Y), p(isTwo ? 96 : 120, Y)), ...knots, p(END, Y)];
}

/** Lead core from the left, nylon from the right, joined in the emptied sheath. */
export const sheathScene: SceneMaker = (step, done, school) => {
  const loose = looseSheath(school.steps.some((each) => each.id === 'second'));
  if (step.id === 'overhand') return { strands: [laid('inner', 9, loose, 0.3)] };
  const lead = lying('lead', 3.5, straight(p(0, Y, 14), p(LEAD_END, Y, 14)));
  if (step.id === 'strip') {
    const bare = laid('lead', 3.5, straight(p(END - 2, Y, 1), p(318, Y, 1)));
    return { strands: [lying('inner', 9, loose), lead, bare], marks: [{ kind: 'cut', x: END + 8, y: Y }] };
  }
  const inside = { look: 'buried', thickness: 4 } as const;
  if (step.id === 'push') {
    // The mono follows the empty sheath through the loose knots.
    const mono = loose.filter((point) => point.x >= MONO_END).toReversed();
    const follows = [p(320, Y, 2), ...mono.map((point) => p(point.x, point.y, point.z + 1.5))];
    return {
      strands: [
        lying('inner', 9, loose),
        lead,
        laid(inside.look, inside.thickness, follows),
        lying('outer', 5, straight(p(320, Y, 1), p(END, Y, 1))),
      ],
      marks: [{ kind: 'slide', x: 300, y: Y - 22, toward: 'left' }],
    };
  }
  const two = done('second');
  const sheathEnd = 250;
  const outsideMono = lying('outer', 5, straight(p(320, Y, 12), p(sheathEnd + 2, Y, 12)));
  const tight = (x: number) =>
    lying(
      'inner',
      6,
      overhand(x, Y + 5, 9).map((each) => p(each.x, each.y, each.z + 14)),
    );
  const strands = [
    lying('inner', 9, straight(p(0, Y), p(sheathEnd, Y))),
    lead,
    lying(inside.look, inside.thickness, straight(p(sheathEnd, Y, 12), p(MONO_END, Y, 12), 10)),
    outsideMono,
    tight(sheathEnd - 16),
    ...(two ? [tight(sheathEnd - 62)] : []),
  ];
  switch (step.id) {
    case 'first':
      return { strands, marks: [{ kind: 'slide', x: sheathEnd - 60, y: Y - 30, toward: 'right' }] };
    case 'second':
      return { strands, marks: [{ kind: 'slide', x: sheathEnd - 100, y: Y - 30, toward: 'right' }] };
    case 'seat':
      return {
        strands,
        marks: [
          { kind: 'pull', x: 40, y: Y - 24, toward: 'left' },
          { kind: 'pull', x: 296, y: Y - 24, toward: 'right' },
        ],
      };
    case 'trim':
      return { strands, marks: [{ kind: 'cut', x: sheathEnd + 2, y: Y - 24 }] };
    default:
      return { strands, marks: [{ kind: 'glue', x: sheathEnd, y: Y - 34 }] };
  }
};
