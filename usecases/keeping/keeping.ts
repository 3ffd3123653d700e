import 'server-only';
import { because } from '../../core/reasons';
import { isBeingWound } from '../../core/rig/line/atBench';
import { boatNameTaken } from '../../db/queries/boats';
import { archiveThing, insertKeptPlan, removeThing, renameThing } from '../../db/queries/keeping';
import { listLines } from '../../db/queries/lines';
import { findRig, rigOnReel } from '../../db/queries/rigs';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, invalid, notFound, type Refusal, type UseCaseOutcome } from '../outcome';
import { rigToWrite } from '../rigs/readRigs';
import type { ArchiveInput, KeepPlanInput, RemoveInput, RenameInput } from './keepingInput';

/** Calls something by another name. */
export async function rename(db: BoatDb, { thing, id, name }: RenameInput): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId, boat } = db;
  if (thing === 'boat' && name.toLowerCase() !== boat?.name.toLowerCase() && (await boatNameTaken(db, name))) {
    return invalid('name', because('boat-name-taken', { name }));
  }
  return (await renameThing(db, boatId, thing, id, name)) ? done({ done: true }) : notFound(thing);
}

/** Puts something away, or brings it back: its record stands, it is only not offered any more. */
export async function putAway(db: BoatDb, input: ArchiveInput): Promise<UseCaseOutcome<{ done: true }>> {
  const { thing, id, isAway } = input;
  const refusal = await (isAway ? stillInUse(db, input) : placeTaken(db, input));
  if (refusal) return refusal;
  return (await archiveThing(db, db.boatId, thing, id, isAway)) ? done({ done: true }) : notFound(thing);
}

/** Why something cannot be put away just now. */
async function stillInUse(db: BoatDb, { thing, id }: ArchiveInput): Promise<Refusal | null> {
  if (thing === 'reel') {
    const rig = await rigOnReel(db, db.boatId, id);
    return rig ? conflict(because('reel-in-use', { rig: rig.name })) : null;
  }
  if (thing === 'rig') {
    const record = await rigToWrite(db, id, 'winding');
    return record && isBeingWound(record) ? conflict(because('finish-winding-first')) : null;
  }
  return null;
}

/** Why something cannot be brought back just now. */
async function placeTaken(db: BoatDb, { thing, id }: ArchiveInput): Promise<Refusal | null> {
  const rig = thing === 'rig' ? await findRig(db, db.boatId, id) : null;
  const other = rig && (await rigOnReel(db, db.boatId, rig.reelId));
  return other && other.id !== id ? conflict(because('reel-in-use', { rig: other.name })) : null;
}

/** Takes something out for good where nothing rests on it. */
export async function remove(db: BoatDb, { thing, id }: RemoveInput): Promise<UseCaseOutcome<{ done: true }>> {
  return (await removeThing(db, thing, id)) ? done({ done: true }) : conflict(because('rests-on-it'));
}

/** Keeps a plan under a name, for any rig of the boat and any device. */
export async function keepPlan(db: BoatDb, { name, stack }: KeepPlanInput): Promise<UseCaseOutcome<{ id: string }>> {
  const lines = await listLines(db, db.boatId);
  const strange = stack.segments.findIndex((segment) => !lines.some((line) => line.id === segment.productId));
  if (strange >= 0) return invalid(`stack.segments.${strange}.productId`, because('not-a-line-of-this-boat'));
  return done({ id: await insertKeptPlan(db, db.boatId, name, stack) });
}
