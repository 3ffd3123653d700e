import 'server-only';
import { findTiePhoto } from '../../db/queries/joinChecks';
import { withBoat, type Principal } from '../../db/withBoat';

/** The newest photo of a tie, or null. */
export async function readTiePhoto(principal: Principal, boatId: string, tieId: string): Promise<Buffer | null> {
  return withBoat(principal, boatId, 'read', (db) => findTiePhoto(db, boatId, tieId));
}
