import type { GuideStep } from '@/core/joins/schools';
import { closedSliding, laid, lying, openSliding, p, straight, turnsRound } from '../shapes';
import { drawnTimes, type Body, type Scene, type SceneMaker } from '../scene';
import type { Point3 } from '../strand';

const POST = { x: 30, width: 62, centre: 61 } as const;
const STANDING_Y = 84;
const TAG_Y = 62;

const SPOOL: readonly Body[] = [
  { x: POST.x, y: 22, width: POST.width, height: 86, look: 'spool' },
  { x: 14, y: 12, width: 94, height: 10, look: 'flange' },
  { x: 14, y: 108, width: 94, height: 10, look: 'flange' },
];
const TAPE: Body = { x: POST.x, y: 40, width: POST.width, height: 50, look: 'tape' };

/** Line to spool: the arbor stands upright, the line comes from the right. */
export const arborScene: SceneMaker = (step, done) => {
  const bodies = done('tape') ? [...SPOOL, TAPE] : SPOOL;
  const comes = straight(p(320, STANDING_Y, 6), p(110, STANDING_Y, 4));
  const around = [
    ...comes,
    ...turnsRound(POST.centre, 35, step.id === 'turns' || done('turns') ? 2 : 1, STANDING_Y - 2, TAG_Y + 2),
  ];
  if (step.id === 'underlay' || step.id === 'cross' || step.id === 'pack') return crossedFirstWraps(step, bodies);
  if (step.kind === 'prepare' && step.id !== 'wet') {
    return { strands: [lying('outer', 6, straight(p(320, STANDING_Y), p(150, STANDING_Y)))], bodies };
  }
  if (step.id === 'turns')
    return { strands: [laid('outer', 6, [...around, p(110, TAG_Y, -2), p(150, TAG_Y - 6)], 0.3)], bodies };
  if (step.id === 'knot') {
    const knot = [
      ...around,
      p(108, TAG_Y, 0),
      p(122, STANDING_Y - 14),
      ...openSliding(170, 236, STANDING_Y, drawnTimes(step, 5)),
    ];
    return { strands: [laid('outer', 6, knot, 0.45)], bodies };
  }
  const tag = done('trim') ? 3 : 16;
  const near = step.id === 'wet' ? 150 : 112;
  const closed: readonly Point3[] = [
    ...around,
    p(100, STANDING_Y - 8, 2),
    ...closedSliding(108, near, near + 42, STANDING_Y, 5, tag),
  ];
  const strands = [step.id === 'wet' ? laid('outer', 6, closed, 0.75) : lying('outer', 6, closed)];
  switch (step.id) {
    case 'wet':
      return {
        strands,
        bodies,
        marks: [
          { kind: 'water', x: 190, y: 44 },
          { kind: 'slide', x: 150, y: 112, toward: 'left' },
        ],
      };
    case 'seat':
      return { strands, bodies, marks: [{ kind: 'pull', x: 270, y: STANDING_Y - 18, toward: 'right' }] };
    case 'trim':
      return { strands, bodies, marks: [{ kind: 'cut', x: near - 6, y: STANDING_Y - 32 }] };
    default:
      return { strands, bodies, marks: [{ kind: 'pen', x: POST.centre, y: 73 }] };
  }
};

/** The first turns laid crosswise, or as a bed of nylon under the braid. */
function crossedFirstWraps(step: GuideStep, bodies: readonly Body[]): Scene {
  const comes = straight(p(320, STANDING_Y, 6), p(110, STANDING_Y, 4));
  const steep = step.id === 'cross';
  const down = turnsRound(POST.centre, 35, steep ? 2 : 5, STANDING_Y + (steep ? 14 : 0), 38);
  const back = steep ? turnsRound(POST.centre, 38, 2, 38, STANDING_Y + 14) : [];
  return { strands: [laid(steep ? 'outer' : 'inner', 6, [...comes, ...down, ...back], 0.3)], bodies };
}
