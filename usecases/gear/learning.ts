import 'server-only';
import { because } from '../../core/reasons';
import { insertReelReset, insertReverseFill } from '../../db/queries/learning';
import { listLines } from '../../db/queries/lines';
import { findReel } from '../../db/queries/reels';
import type { BoatDb } from '../../db/withBoat';
import { done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import type { ReverseFillInput } from './gearInput';

/** Forgets what was learned of a reel: its loads stay on record and count no more. */
export async function forgetReel(db: BoatDb, reelId: string, reason: string): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  if (!(await findReel(db, boatId, reelId))) return notFound('reel');
  await insertReelReset(db, boatId, reelId, reason);
  return done({ done: true });
}

/** Keeps what a fill the wrong way round found: so much of these lines fills this reel. */
export async function recordReverseFill(
  db: BoatDb,
  reelId: string,
  input: ReverseFillInput,
): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  if (!(await findReel(db, boatId, reelId))) return notFound('reel');
  const lines = await listLines(db, boatId);
  const strange = input.segments.findIndex((segment) => !lines.some((line) => line.id === segment.productId));
  if (strange >= 0) return invalid(`segments.${strange}.productId`, because('not-a-line-of-this-boat'));
  return done({ id: await insertReverseFill(db, boatId, { reelId, ...input }) });
}
