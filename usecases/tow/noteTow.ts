import 'server-only';
import { because } from '../../core/reasons';
import { findRig } from '../../db/queries/rigs';
import { insertWaterMark, setLurePull, setTowedAs } from '../../db/queries/tow';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, notFound, type UseCaseOutcome } from '../outcome';
import { rigToWrite } from '../rigs/readRigs';
import type { LurePullInput, TowedInput, WaterMarkInput } from './towInput';

/** Keeps how a rig is towed. */
export async function noteTowed(db: BoatDb, rigId: string, input: TowedInput): Promise<UseCaseOutcome<{ done: true }>> {
  return (await setTowedAs(db, db.boatId, rigId, input)) ? done({ done: true }) : notFound('rig');
}

/** Keeps what the lure of a rig pulls by a scale: of the lure and the speed at which it was read, and of no other. */
export async function noteLurePull(
  db: BoatDb,
  rigId: string,
  input: LurePullInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  if (await setLurePull(db, db.boatId, rigId, input)) return done({ done: true });
  return (await findRig(db, db.boatId, rigId)) ? conflict(because('towed-otherwise')) : notFound('rig');
}

/** Keeps an entry of the water log, of the line that is on. */
export async function noteWaterMark(
  db: BoatDb,
  rigId: string,
  input: WaterMarkInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  if (record.load?.id !== input.loadId || record.load.status !== 'wound') return conflict(because('wound-again-water'));
  if (input.reading !== null && !record.reel.counter) return conflict(because('no-counter'));
  await insertWaterMark(db, db.boatId, { ...input, rigId });
  return done({ done: true });
}
