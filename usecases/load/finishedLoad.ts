import 'server-only';
import { because } from '../../core/reasons';
import type { LoadRecord, RigRecord } from '../../core/record/record';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, notFound, type UseCaseOutcome } from '../outcome';
import { rigToWrite } from '../rigs/readRigs';

/** A locked rig with the finished load that an act changes; or why there is none to change. */
export async function finishedLoadToWrite(
  db: BoatDb,
  rigId: string,
  loadId: string,
): Promise<UseCaseOutcome<{ readonly record: RigRecord; readonly load: LoadRecord }>> {
  const record = await rigToWrite(db, rigId);
  const load = record?.load;
  if (!record || load?.id !== loadId) return notFound('load');
  if (load.status !== 'wound') return conflict(because('finish-winding-first'));
  return done({ record, load });
}
