import 'server-only';
import { newestKey } from '../../db/queries/onceKeys';
import { findRig } from '../../db/queries/rigs';
import { hearActs } from '../../db/heardActs';
import { withBoat, type Principal } from '../../db/withBoat';

/** How often a silent line is kept open (ms). */
const ALIVE_MS = 15_000;

/**
 * Server-sent events of a boat: the key of what was done last at once, then that of everything that is done as soon as it is kept,
 * whichever device sent it.
 *
 * @param rigId where one rig is followed: what is done on other rigs is left out, what belongs to the whole boat is not
 * @returns null when there is no such boat, or no such rig of it
 */
export async function followBoat(
  principal: Principal,
  boatId: string,
  rigId: string | null,
  signal: AbortSignal,
): Promise<ReadableStream<Uint8Array> | null> {
  const encoder = new TextEncoder();
  let stop = (): void => undefined;
  // Heard from before the newest is read: nothing falls between.
  const early: string[] = [];
  let tell = (key: string): void => void early.push(key);
  const { ready, end: unhear } = hearActs(boatId, (act) => {
    if (rigId === null || act.rigId === null || act.rigId === rigId) tell(act.key);
  });
  await ready;
  const newest = await withBoat(principal, boatId, 'read', async (db) => {
    const isThere = db.boat !== null && (rigId === null || (await findRig(db, boatId, rigId)) !== null);
    return isThere ? ((await newestKey(db)) ?? 'none') : null;
  }).catch((error: unknown) => {
    unhear();
    throw error;
  });
  if (newest === null) {
    unhear();
    return null;
  }
  return new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (text: string): void => controller.enqueue(encoder.encode(text));
      tell = (key) => send(`data: ${key}\n\n`);
      send(`retry: 1000\ndata: ${newest}\n\n`);
      early.forEach(tell);
      const alive = setInterval(() => send(': still here\n\n'), ALIVE_MS);
      stop = () => {
        clearInterval(alive);
        unhear();
      };
      signal.addEventListener('abort', () => {
        stop();
        try {
          controller.close();
        } catch {
          // The reader has gone first.
        }
      });
    },
    cancel: () => stop(),
  });
}
