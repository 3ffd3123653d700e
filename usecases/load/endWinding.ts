import 'server-only';
import { because } from '../../core/reasons';
import { endWinding } from '../../db/queries/loads';
import { insertLogEntry } from '../../db/queries/log';
import { lockRig } from '../../db/queries/rigs';
import type { BoatDb } from '../../db/withBoat';
import { undoFrom } from '../history/undoActs';
import { conflict, done, notFound, type UseCaseOutcome } from '../outcome';
import { benchToWrite } from '../rigs/readRigs';
import type { CancelInput } from './loadInput';

/** Gives up a winding: the spool is empty now, and what was on before counts no more. Its log stays. */
export async function abandonWinding(
  db: BoatDb,
  rigId: string,
  loadId: string,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  if (!(await lockRig(db, boatId, rigId))) return notFound('rig');
  if (!(await endWinding(db, boatId, rigId, loadId, 'abandoned'))) return conflict(because('not-being-wound'));
  await insertLogEntry(db, boatId, rigId, 'load', because('winding-abandoned'));
  return done({ done: true });
}

/**
 * Calls a winding off: everything since it began is undone, and the rig is exactly what it was. Refused when more was noted
 * than the person saw.
 */
export async function cancelWinding(
  db: BoatDb,
  rigId: string,
  loadId: string,
  input: CancelInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const load = (await benchToWrite(db, rigId, 'winding'))?.load;
  if (load?.id !== loadId || load.status !== 'winding') return conflict(because('not-being-wound'));
  if (load.winding.length !== input.noted) return conflict(because('changed-elsewhere'));
  if (load.begunBy !== null) {
    const undone = await undoFrom(db, rigId, load.begunBy);
    if (!undone.ok) return undone;
  } else {
    // Begun before acts were kept: the winding itself is taken out, and the load before it counts again.
    await endWinding(db, boatId, rigId, loadId, 'cancelled');
  }
  await insertLogEntry(db, boatId, rigId, 'load', because('winding-cancelled'));
  return done({ done: true });
}
