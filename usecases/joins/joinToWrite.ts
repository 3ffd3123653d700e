import 'server-only';
import type { JoinRecord, RigRecord } from '../../core/record/record';
import type { BoatDb } from '../../db/withBoat';
import { done, notFound, type UseCaseOutcome } from '../outcome';
import { rigToWrite } from '../rigs/readRigs';

/** A locked rig and one of its joins, on its line or in its plan; one that was there before is none of them. */
export async function joinToWrite(
  db: BoatDb,
  rigId: string,
  joinId: string,
): Promise<UseCaseOutcome<{ readonly record: RigRecord; readonly join: JoinRecord }>> {
  const record = await rigToWrite(db, rigId, 'summary');
  if (!record) return notFound('rig');
  const join = [...record.joins, ...record.planJoins].find((candidate) => candidate.id === joinId);
  return join ? done({ record, join }) : notFound('join');
}
