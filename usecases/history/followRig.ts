import 'server-only';
import { listActs } from '../../db/queries/acts';
import { findRig } from '../../db/queries/rigs';
import { hearActs } from '../../db/heardActs';
import { withBoat, type Principal } from '../../db/withBoat';

/** How often a silent line is kept open (ms). */
const ALIVE_MS = 15_000;

/**
 * Server-sent events of a rig: the id of its newest act at once, then that of every act as soon as it is kept, whichever device
 * sent it. Null when the boat has no such rig.
 */
export async function followRig(
  principal: Principal,
  boatId: string,
  rigId: string,
  signal: AbortSignal,
): Promise<ReadableStream<Uint8Array> | null> {
  const encoder = new TextEncoder();
  let stop = (): void => undefined;
  // Heard from before the newest is read: nothing falls between.
  const early: string[] = [];
  let tell = (actId: string): void => void early.push(actId);
  const unhear = hearActs(rigId, (actId) => tell(actId));
  const newest = await withBoat(principal, boatId, 'read', async (db) =>
    (await findRig(db, boatId, rigId)) ? ((await listActs(db, boatId, rigId, 1))[0]?.id ?? 'none') : null,
  ).catch((error: unknown) => {
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
      tell = (actId) => send(`data: ${actId}\n\n`);
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
