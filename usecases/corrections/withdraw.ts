import 'server-only';
import { because } from '../../core/reasons';
import { withdrawMeasurement } from '../../db/queries/corrections';
import { insertLogEntry } from '../../db/queries/log';
import { lockRig } from '../../db/queries/rigs';
import type { BoatDb } from '../../db/withBoat';
import { done, notFound, type UseCaseOutcome } from '../outcome';
import type { WithdrawInput } from './withdrawInput';

/** The page of the log on which each stands. */
const TOPICS = {
  winding: 'load',
  level: 'load',
  colour: 'load',
  reverseFill: 'load',
  tie: 'join',
  joinPull: 'join',
  lineMark: 'count',
  trial: 'count',
  strengthPull: 'strength',
  leverPoint: 'drag',
  planerLook: 'drag',
  dragPull: 'drag',
  waterMark: 'depth',
} as const;

/** Takes a measurement back: the row stays, a new row withdraws it, and the log says why. */
export async function withdraw(db: BoatDb, input: WithdrawInput): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  if (!(await lockRig(db, boatId, input.rigId))) return notFound('rig');
  if (!(await withdrawMeasurement(db, boatId, input.kind, input.id, input.rigId, input.reason)))
    return notFound('measurement');
  const entry = because('withdrawn', { what: input.kind, why: input.reason });
  await insertLogEntry(db, boatId, input.rigId, TOPICS[input.kind], entry);
  return done({ done: true });
}
