import 'server-only';
import { because } from '../../core/reasons';
import { insertWaterMark, setTowedAs } from '../../db/queries/tow';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, notFound, type UseCaseOutcome } from '../outcome';
import { rigToWrite } from '../rigs/readRigs';
import type { TowedInput, WaterMarkInput } from './towInput';

/** Keeps how a rig is towed. */
export async function noteTowed(db: BoatDb, rigId: string, input: TowedInput): Promise<UseCaseOutcome<{ done: true }>> {
  return (await setTowedAs(db, db.boatId, rigId, input)) ? done({ done: true }) : notFound('rig');
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
