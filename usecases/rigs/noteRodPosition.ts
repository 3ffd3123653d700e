import 'server-only';
import type { RodPosition } from '../../core/record/rodPosition';
import { setRodPosition } from '../../db/queries/rigAims';
import type { BoatDb } from '../../db/withBoat';
import { done, notFound, type UseCaseOutcome } from '../outcome';

/** Keeps where the rod of a rig stands on the boat. */
export async function noteRodPosition(
  db: BoatDb,
  rigId: string,
  position: RodPosition | null,
): Promise<UseCaseOutcome<{ done: true }>> {
  return (await setRodPosition(db, db.boatId, rigId, position)) ? done({ done: true }) : notFound('rig');
}
