import 'server-only';
import { randomUUID } from 'node:crypto';
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
/** Done when the connection listens, or could not. */
let listening: Promise<void> = Promise.resolve();

/** How long after a lost connection a new one is tried (ms). */
const AGAIN_MS = 1_000;

/** Opens the one connection that listens; it ends with the last listener, and is opened again where it is lost. */
function listen(): Promise<void> {
  if (!client && listeners.size > 0) listening = open();
  return listening;
}

async function open(): Promise<void> {
  const opened = new Client({ connectionString: process.env.DATABASE_URL, connectionTimeoutMillis: 5_000 });
  client = opened;
  const lost = (): void => {
    if (client !== opened) return;
    client = null;
    setTimeout(() => void listen().then(() => client && tellAll()), AGAIN_MS).unref();
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

/** What was done while nobody listened is not known: everybody looks again. */
function tellAll(): void {
  for (const waiting of listeners.values()) for (const heard of waiting) heard({ key: randomUUID(), rigId: null });
}

/**
 * Calls back with everything that is done on a boat, as soon as it is kept.
 *
 * @returns ends it; `ready` when nothing that is done from then on is missed
 */
export function hearActs(boatId: string, heard: Heard): { readonly ready: Promise<void>; readonly end: () => void } {
  const of = listeners.get(boatId) ?? new Set();
  listeners.set(boatId, of.add(heard));
  const end = (): void => {
    of.delete(heard);
    if (of.size === 0) listeners.delete(boatId);
    if (listeners.size > 0 || !client) return;
    const idle = client;
    client = null;
    void idle.end().catch(() => undefined);
  };
  return { ready: listen(), end };
}
