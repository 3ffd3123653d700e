import type { BoatDb } from '../withBoat';

/** What was kept with a key: the request that used it, and what it was answered. */
export interface KeptAnswer {
  readonly request: string;
  readonly answer: unknown;
}

/**
 * Takes a key for this transaction; null when it is new. A second sender of the same key waits here until the first one
 * has ended, and then gets its answer.
 */
export async function claimOnce(db: BoatDb, key: string, request: string): Promise<KeptAnswer | null> {
  const claimed = await db.query(
    'INSERT INTO once_keys (boat_id, key, request) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING',
    [db.boatId, key, request],
  );
  if (claimed.rowCount === 1) return null;
  const kept = await db.query<{ request: string; answer: unknown }>(
    'SELECT request, answer FROM once_keys WHERE boat_id = $1 AND key = $2',
    [db.boatId, key],
  );
  return kept.rows[0] ?? null;
}

/** Keeps the answer with its key, in the transaction of what it answers. */
export async function keepAnswer(db: BoatDb, key: string, answer: unknown): Promise<void> {
  await db.query('UPDATE once_keys SET answer = $3 WHERE boat_id = $1 AND key = $2', [
    db.boatId,
    key,
    JSON.stringify(answer),
  ]);
}
