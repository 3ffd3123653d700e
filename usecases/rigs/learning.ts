import 'server-only';
import { learnFromLoads, type BoatEvidence, type BoatLearning } from '../../core/rig/load/learnFromLoads';
import { evidenceVersion, isLearned, keepLearning } from '../../db/queries/boatLearning';
import { listTrialsOfBoat } from '../../db/queries/count';
import { listFinishedLoads, listReelResets, listReverseFills } from '../../db/queries/learning';
import { listLines } from '../../db/queries/lines';
import { listReels } from '../../db/queries/reels';
import { withBoat, type BoatDb, type Principal } from '../../db/withBoat';
import { runInWorker } from '../workers/pool';

/** Everything of a boat that teaches its reels and lines. */
export async function readEvidence(db: BoatDb): Promise<BoatEvidence> {
  const { boatId } = db;
  const [reels, products, loads, reverseFills, trials, resets] = await Promise.all([
    listReels(db, boatId),
    listLines(db, boatId),
    listFinishedLoads(db, boatId),
    listReverseFills(db, boatId),
    listTrialsOfBoat(db, boatId),
    listReelResets(db, boatId),
  ]);
  return { reels, products, loads, reverseFills, trials, resets };
}

interface Learning {
  readonly running: Map<string, Promise<void>>;
  /** When a boat's fit was given up last (ms): it is not tried again at every page. */
  readonly failedAt: Map<string, number>;
}

declare global {
  var tidyMarlinLearning: Learning | undefined;
}

/** How long a fit that was given up is left alone (ms). */
const LEFT_ALONE_MS = 60_000;

/**
 * Works out what a boat's loads teach, and keeps it with the version of its evidence. Reading, working out and keeping are
 * three steps: nothing is worked out inside a transaction. Those who ask for the same boat meanwhile wait for the same fit.
 */
async function learnBoat(principal: Principal, boatId: string): Promise<void> {
  globalThis.tidyMarlinLearning ??= { running: new Map(), failedAt: new Map() };
  const { running, failedAt } = globalThis.tidyMarlinLearning;
  const already = running.get(boatId);
  if (already) return already;
  if (Date.now() - (failedAt.get(boatId) ?? -LEFT_ALONE_MS) < LEFT_ALONE_MS) return;
  const work = learn(principal, boatId);
  running.set(boatId, work);
  try {
    await work;
    failedAt.delete(boatId);
  } catch (error) {
    failedAt.set(boatId, Date.now());
    throw error;
  } finally {
    running.delete(boatId);
  }
}

async function learn(principal: Principal, boatId: string): Promise<void> {
  const [version, evidence] = await withBoat(principal, boatId, 'read', async (db) => [
    await evidenceVersion(db),
    await readEvidence(db),
  ]);
  const learning = await runInWorker<BoatLearning>('learn', evidence);
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
      const isCurrent = db.boat === null || (await isLearned(db));
      return isCurrent ? { value: await read(db) } : null;
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
