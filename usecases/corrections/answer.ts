import 'server-only';
import { because } from '../../core/reasons';
import { countHeldOut } from '../../db/queries/corrections';
import { insertLogEntry } from '../../db/queries/log';
import { lockRig } from '../../db/queries/rigs';
import type { BoatDb } from '../../db/withBoat';
import { done, notFound, type UseCaseOutcome } from '../outcome';
import type { AnswerInput } from './withdrawInput';

/** Lets a figure that was asked about count as it was noted: somebody has said that it is right. */
export async function answer(db: BoatDb, input: AnswerInput): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  if (!(await lockRig(db, boatId, input.rigId))) return notFound('rig');
  if (!(await countHeldOut(db, boatId, input.kind, input.id, input.rigId))) return notFound('figure to answer for');
  const topic = input.kind === 'trial' ? 'count' : 'strength';
  await insertLogEntry(db, boatId, input.rigId, topic, because('answered', { what: input.kind }));
  return done({ done: true });
}
