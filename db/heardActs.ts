import 'server-only';
import { Client } from 'pg';

type Heard = (actId: string) => void;

/** Who waits for acts on which rig. */
const listeners = new Map<string, Set<Heard>>();
let client: Client | null = null;

/** How long after a lost connection a new one is tried (ms). */
const AGAIN_MS = 1_000;

/** Opens the one connection that listens; it ends with the last listener, and is opened again where it is lost. */
async function listen(): Promise<void> {
  if (client || listeners.size === 0) return;
  const opened = new Client({ connectionString: process.env.DATABASE_URL, connectionTimeoutMillis: 5_000 });
  client = opened;
  const lost = (): void => {
    if (client !== opened) return;
    client = null;
    setTimeout(() => void listen(), AGAIN_MS).unref();
  };
  opened.on('error', lost);
  opened.on('end', lost);
  opened.on('notification', ({ payload }) => {
    const [rigId = '', actId = ''] = (payload ?? '').split(' ');
    for (const heard of listeners.get(rigId) ?? []) heard(actId);
  });
  try {
    await opened.connect();
    await opened.query('LISTEN tidy_marlin_acts');
  } catch {
    lost();
  }
}

/**
 * Calls back with the id of every act on a rig, as soon as it is kept.
 *
 * @returns ends it
 */
export function hearActs(rigId: string, heard: Heard): () => void {
  const of = listeners.get(rigId) ?? new Set();
  listeners.set(rigId, of.add(heard));
  void listen();
  return () => {
    of.delete(heard);
    if (of.size === 0) listeners.delete(rigId);
    if (listeners.size > 0 || !client) return;
    const idle = client;
    client = null;
    void idle.end().catch(() => undefined);
  };
}
