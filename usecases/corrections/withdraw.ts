import 'server-only';
import { withdrawMeasurement } from '../../db/queries/corrections';
import { insertLogEntry } from '../../db/queries/log';
import { lockRig } from '../../db/queries/rigs';
import type { BoatDb } from '../../db/withBoat';
import { done, notFound, type UseCaseOutcome } from '../outcome';
import type { WithdrawInput } from './withdrawInput';

const WORDS = {
  winding: ['load', 'A noted winding reading'],
  level: ['load', 'A measured level'],
  colour: ['load', 'A noted colour change'],
  reverseFill: ['load', 'A reverse fill'],
  tie: ['join', 'A tied join'],
  joinPull: ['join', 'A join pulled to the break'],
  lineMark: ['count', 'A mark on the line'],
  trial: ['count', 'A walk along the tape'],
  strengthPull: ['strength', 'A strength pull'],
  leverPoint: ['drag', 'A pull at the lever'],
  planerLook: ['drag', 'A look at the planer'],
  dragPull: ['drag', 'A drag pull'],
} as const;

/** Takes a measurement back: the row stays, a new row withdraws it, and the log says why. */
export async function withdraw(db: BoatDb, input: WithdrawInput): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  if (!(await lockRig(db, boatId, input.rigId))) return notFound('rig');
  if (!(await withdrawMeasurement(db, boatId, input.kind, input.id, input.rigId, input.reason)))
    return notFound('measurement');
  const [kind, what] = WORDS[input.kind];
  await insertLogEntry(db, boatId, input.rigId, kind, `${what} was withdrawn: ${input.reason}.`);
  return done({ done: true });
}
