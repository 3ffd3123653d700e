import { laid, lying, p, straight, wraps } from '../shapes';
import { SCENE, type SceneMaker } from '../scene';

const Y = SCENE.axisY + 6;
/** Where the hollow braid ends, and how far the line runs inside it. */
const MOUTH = 236;
const DEEP = 70;

/** Hollow braid from the left, the line that it grips from the right. */
export const sleeveScene: SceneMaker = (step, done) => {
  const sleeve = lying('inner', 13, straight(p(0, Y), p(MOUTH, Y), 8));
  const outside = lying('outer', 6, straight(p(320, Y, 4), p(MOUTH - 2, Y, 4), 5));
  if (step.id === 'needle-in') {
    return {
      strands: [
        sleeve,
        laid('needle', 4, straight(p(MOUTH + 50, Y, 20), p(MOUTH, Y, 20), 4)),
        laid('buried', 5, straight(p(MOUTH, Y, 16), p(DEEP, Y, 16), 8)),
        laid('needle', 4, straight(p(DEEP, Y, 20), p(DEEP - 30, Y - 24, 20), 4)),
      ],
    };
  }
  const inside = straight(p(MOUTH, Y, 16), p(DEEP, Y, 16), 10);
  const strands = [sleeve, outside, step.id === 'bury' ? laid('buried', 5, inside) : lying('buried', 5, inside)];
  const isThin = done('thin');
  const thinned = isThin ? [lying('inner', 8, straight(p(MOUTH - 2, Y), p(MOUTH + 22, Y), 4))] : [];
  const thread = wraps(MOUTH - 24, MOUTH + 16, 5, Y, 11);
  const whipped = done('whip') ? [step.id === 'whip' ? laid('lead', 2.5, thread) : lying('lead', 2.5, thread)] : [];
  const all = [...thinned, ...strands, ...whipped];
  switch (step.id) {
    case 'bury':
      return { strands: all, marks: [{ kind: 'slide', x: 150, y: Y - 26, toward: 'left' }] };
    case 'thin':
      return { strands: all, marks: [{ kind: 'cut', x: MOUTH + 22, y: Y - 14 }] };
    case 'milk':
      return {
        strands: all,
        marks: [
          { kind: 'slide', x: 120, y: Y - 26, toward: 'right' },
          { kind: 'slide', x: 180, y: Y - 26, toward: 'right' },
        ],
      };
    case 'seat':
      return {
        strands: all,
        marks: [
          { kind: 'pull', x: 30, y: Y - 34, toward: 'left' },
          { kind: 'pull', x: 292, y: Y - 34, toward: 'right' },
        ],
      };
    case 'glue':
      return { strands: all, marks: [{ kind: 'glue', x: MOUTH, y: Y - 30 }] };
    default:
      return { strands: all };
  }
};
