import 'server-only';
import { Client } from 'pg';

/** What was done: its key, and the rig on which it was done; null: what belongs to the whole boat. */
export interface HeardAct {
  readonly key: string;
  readonly rigId: string | null;
}

type Heard = (act: HeardAct) => void;

/** Who waits for acts of which boat. */
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
    const [boatId = '', key = '', rigId = '-'] = (payload ?? '').split(' ');
    for (const heard of listeners.get(boatId) ?? []) heard({ key, rigId: rigId === '-' ? null : rigId });
  });
  try {
    await opened.connect();
    await opened.query('LISTEN tidy_marlin_acts');
  } catch {
    lost();
  }
}

/**
 * Calls back with everything that is done on a boat, as soon as it is kept.
 *
 * @returns ends it
 */
export function hearActs(boatId: string, heard: Heard): () => void {
  const of = listeners.get(boatId) ?? new Set();
  listeners.set(boatId, of.add(heard));
  void listen();
  return () => {
    of.delete(heard);
    if (of.size === 0) listeners.delete(boatId);
    if (listeners.size > 0 || !client) return;
    const idle = client;
    client = null;
    void idle.end().catch(() => undefined);
  };
}
