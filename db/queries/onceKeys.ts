import type { BoatDb } from '../withBoat';

/** What was kept with a key: the request that used it, and what it was answered. */
export interface KeptAnswer {
  readonly request: string;
  readonly answer: unknown;
}

/** What is done on a rig: the act is kept under its key, and every row that it adds names it. */
export interface ActOnRig {
  readonly rigId: string;
  readonly request: string;
  readonly asked: unknown;
}

/**
 * Takes a key for this transaction; null when it is new. A second sender of the same key waits here until the first one
 * has ended, and then gets its answer. An act on a rig locks the rig, so that acts follow each other in the order of their numbers.
 */
export async function claimOnce(
  db: BoatDb,
  key: string,
  request: string,
  act: ActOnRig | null,
): Promise<KeptAnswer | null> {
  const claimed = await db.query(
    `WITH claimed AS (
       INSERT INTO once_keys (boat_id, key, request) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING RETURNING key
     ), rig AS (
       SELECT id FROM rigs WHERE boat_id = $1 AND id = $4::uuid FOR UPDATE
     ), act AS (
       INSERT INTO acts (boat_id, id, rig_id, request, asked) SELECT $1, key, rig.id, $5, $6 FROM claimed, rig RETURNING id
     )
     SELECT set_config('tidy_marlin.act', coalesce((SELECT id::text FROM act), ''), true) FROM claimed`,
    [db.boatId, key, request, act?.rigId ?? null, act?.request ?? null, act ? JSON.stringify(act.asked) : null],
  );
  if (claimed.rowCount === 1) return null;
  const kept = await db.query<{ request: string; answer: unknown }>(
    'SELECT request, answer FROM once_keys WHERE boat_id = $1 AND key = $2',
    [db.boatId, key],
  );
  return kept.rows[0] ?? null;
}

/**
 * Keeps the answer with its key, in the transaction of what it answers, and tells whoever follows the boat once that is kept.
 *
 * @param rigId the rig on which it was done; null: what belongs to the whole boat
 */
export async function keepAnswer(db: BoatDb, key: string, answer: unknown, rigId: string | null): Promise<void> {
  await db.query(
    `WITH kept AS (UPDATE once_keys SET answer = $3 WHERE boat_id = $1 AND key = $2 RETURNING key)
     SELECT pg_notify('tidy_marlin_acts', $1::text || ' ' || key || ' ' || $4::text) FROM kept`,
    [db.boatId, key, JSON.stringify(answer), rigId ?? '-'],
  );
}

/** The newest key of a boat; null where nothing was written for long. */
export async function newestKey(db: BoatDb): Promise<string | null> {
  const result = await db.query<{ key: string }>(
    'SELECT key FROM once_keys WHERE boat_id = $1 ORDER BY noted_at DESC LIMIT 1',
    [db.boatId],
  );
  return result.rows[0]?.key ?? null;
}
