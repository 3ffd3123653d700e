import { closedSliding, laid, lying, openSliding, p, straight, turned } from '../shapes';
import { SCENE, drawnTimes, type Scene, type SceneMaker } from '../scene';

const Y = SCENE.axisY;
const MIDDLE = SCENE.width / 2;

/** Sliding knots on both sides: the inner line from the left, the outer one from the right. */
export const slidingScene: SceneMaker = (step, done) => {
  const plainInner = straight(p(0, Y - 5), p(300, Y - 5));
  const plainOuter = straight(p(320, Y + 5), p(20, Y + 5));
  const knotInner = [...straight(p(0, Y - 5), p(150, Y - 5)), ...openSliding(190, 252, Y, drawnTimes(step, 5))];
  const knotOuter = turned([...straight(p(0, Y - 5), p(150, Y - 5)), ...openSliding(190, 252, Y, 5)], MIDDLE, Y);
  if (step.id === 'strip' || step.id === 'smooth') return baredSheath(step.id === 'smooth');
  if (step.id === 'lay') return { strands: [laid('inner', 6, plainInner), laid('outer', 6, plainOuter)] };
  if (step.id === 'first') return { strands: [lying('outer', 6, plainOuter), laid('inner', 6, knotInner, 0.25)] };
  if (step.id === 'second') return { strands: [lying('inner', 6, knotInner), laid('outer', 6, knotOuter, 0.25)] };
  const gap = done('slide') ? 4 : 34;
  const tag = done('trim') ? 3 : 16;
  const inner = closedSliding(0, MIDDLE + gap, MIDDLE + gap + 42, Y, 5, tag);
  const outer = turned(closedSliding(0, MIDDLE + gap, MIDDLE + gap + 42, Y, 5, tag), MIDDLE, Y);
  const through = [lying('inner', 6, inner), lying('outer', 6, outer)];
  switch (step.id) {
    case 'wet':
      return {
        strands: [laid('inner', 6, inner, 0.45), laid('outer', 6, outer, 0.45)],
        marks: [
          { kind: 'water', x: MIDDLE - gap - 20, y: Y - 34 },
          { kind: 'water', x: MIDDLE + gap + 20, y: Y - 34 },
        ],
      };
    case 'slide':
      return {
        strands: through,
        marks: [
          { kind: 'slide', x: MIDDLE - 70, y: Y - 30, toward: 'right' },
          { kind: 'slide', x: MIDDLE + 70, y: Y - 30, toward: 'left' },
        ],
      };
    case 'seat':
    case 'seat-again':
      return {
        strands: through,
        marks: [
          { kind: 'pull', x: 40, y: Y - 22, toward: 'left' },
          { kind: 'pull', x: 280, y: Y - 22, toward: 'right' },
        ],
      };
    case 'trim':
      return {
        strands: through,
        marks: [
          { kind: 'cut', x: MIDDLE + gap - 4, y: Y - 24 },
          { kind: 'cut', x: MIDDLE - gap + 4, y: Y + 24 },
        ],
      };
    default:
      return { strands: through, marks: [{ kind: 'glue', x: MIDDLE, y: Y - 34 }] };
  }
};

/** Lead core from the left: its lead pulled out of the sheath, then the sheath's end sealed. */
function baredSheath(isSealed: boolean): Scene {
  const sheath = lying('inner', 9, straight(p(0, Y), p(230, Y), 8));
  const stays = lying('lead', 3.5, straight(p(0, Y, 14), p(70, Y, 14), 4));
  if (isSealed) return { strands: [sheath, stays], marks: [{ kind: 'glue', x: 232, y: Y - 22 }] };
  return {
    strands: [sheath, stays, laid('lead', 3.5, straight(p(232, Y, 1), p(312, Y, 1), 5))],
    marks: [
      { kind: 'slide', x: 280, y: Y - 22, toward: 'right' },
      { kind: 'cut', x: 70, y: Y },
    ],
  };
}
