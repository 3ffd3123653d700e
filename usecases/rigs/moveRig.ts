import 'server-only';
import { because } from '../../core/reasons';
import { isBeingWound } from '../../core/rig/line/atBench';
import { insertLogEntry } from '../../db/queries/log';
import { findReel, lockReel } from '../../db/queries/reels';
import { changeRod, moveToReel, rigOnReel } from '../../db/queries/rigs';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, notFound, type UseCaseOutcome } from '../outcome';
import { rigToWrite } from './readRigs';
import type { MoveRigInput } from './rigInput';

/**
 * Moves a rig. To another reel: its plan goes along; load, counter, drag and planer belong to the reel that it leaves, and stay
 * on record with it. To another rod: reel and line go along; what hangs from the tip and the drag at it were the old rod's.
 */
export async function moveRig(db: BoatDb, rigId: string, input: MoveRigInput): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  if (isBeingWound(record)) return conflict(because('finish-winding-first'));
  if (input.to === 'rod') {
    await changeRod(db, boatId, rigId, input.name);
    await insertLogEntry(db, boatId, rigId, 'note', because('rod-changed', { from: record.name, to: input.name }));
    return done({ done: true });
  }
  if (input.reelId === record.reel.id) return conflict(because('same-reel'));
  if (record.hasVirtualReel) return conflict(because('virtual-stays'));
  const reel = (await lockReel(db, boatId, input.reelId)) ? await findReel(db, boatId, input.reelId) : null;
  if (!reel) return notFound('reel');
  const other = await rigOnReel(db, boatId, reel.id);
  if (other) return conflict(because('reel-in-use', { rig: other.name }));
  await moveToReel(db, boatId, rigId, reel.id);
  await insertLogEntry(db, boatId, rigId, 'note', because('reel-changed', { from: record.reel.name, to: reel.name }));
  return done({ done: true });
}
