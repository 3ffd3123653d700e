import 'server-only';
import { learnFromLoads, type BoatEvidence } from '../../core/rig/load/learnFromLoads';
import { evidenceVersion, findLearning, keepLearning } from '../../db/queries/boatLearning';
import { listReelConstants } from '../../db/queries/count';
import { listFinishedLoads, listReelResets, listReverseFills } from '../../db/queries/learning';
import { listLines } from '../../db/queries/lines';
import { listReels } from '../../db/queries/reels';
import { withBoat, type BoatDb, type Principal } from '../../db/withBoat';
import { learnInWorker } from './learnInWorker';

/** Everything of a boat that teaches its reels and lines. */
export async function readEvidence(db: BoatDb): Promise<BoatEvidence> {
  const { boatId } = db;
  const [reels, products, loads, reverseFills, constants, resets] = await Promise.all([
    listReels(db, boatId),
    listLines(db, boatId),
    listFinishedLoads(db, boatId),
    listReverseFills(db, boatId),
    listReelConstants(db, boatId),
    listReelResets(db, boatId),
  ]);
  return { reels, products, loads, reverseFills, constants, resets };
}

declare global {
  var tidyMarlinLearning: Map<string, Promise<void>> | undefined;
}

/**
 * Works out what a boat's loads teach, and keeps it with the version of its evidence. Reading, working out and keeping are
 * three steps: nothing is worked out inside a transaction. Those who ask for the same boat meanwhile wait for the same fit.
 */
export function learnBoat(principal: Principal, boatId: string): Promise<void> {
  const running = (globalThis.tidyMarlinLearning ??= new Map<string, Promise<void>>());
  const already = running.get(boatId);
  if (already) return already;
  const work = learn(principal, boatId).finally(() => running.delete(boatId));
  running.set(boatId, work);
  return work;
}

async function learn(principal: Principal, boatId: string): Promise<void> {
  const [version, evidence] = await withBoat(principal, boatId, 'read', async (db) => [
    await evidenceVersion(db),
    await readEvidence(db),
  ]);
  const learning = await learnInWorker(evidence);
  await withBoat(principal, boatId, 'write', (db) => keepLearning(db, version, learning));
}

/** Works out and keeps what loads teach on the spot, for a script that makes a whole boat in one transaction. */
export async function learnHere(db: BoatDb): Promise<void> {
  await keepLearning(db, await evidenceVersion(db), learnFromLoads(await readEvidence(db)));
}

/**
 * Reads a boat in one snapshot, with what its loads teach worked out first where that is behind. When it cannot be worked
 * out just now, what was known before stands, and the records say so.
 *
 * @param read what is wanted of the boat
 * @param signal ends the work when the one who asked has gone
 */
export async function readLearned<T>(
  principal: Principal,
  boatId: string,
  read: (db: BoatDb) => Promise<T>,
  signal?: AbortSignal,
): Promise<T> {
  const first = await withBoat(
    principal,
    boatId,
    'read',
    async (db) => {
      const { isCurrent } = await findLearning(db, []);
      return isCurrent || db.boat === null ? { value: await read(db) } : null;
    },
    signal,
  );
  if (first) return first.value;
  try {
    await learnBoat(principal, boatId);
  } catch (error) {
    signal?.throwIfAborted();
    console.error('what loads teach could not be worked out:', error);
  }
  return withBoat(principal, boatId, 'read', read, signal);
}
