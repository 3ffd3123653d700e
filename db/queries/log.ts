import type { LogRecord } from '../../core/rig/record';
import type { Queryable } from '../withTransaction';

export type LogKind = 'load' | 'count' | 'strength' | 'drag' | 'join' | 'note';

/** The newest entries of a rig's log, newest first. */
export async function listLog(db: Queryable, boatId: string, rigId: string): Promise<readonly LogRecord[]> {
  const result = await db.query<{ id: string; kind: string; entry: string; person: string | null; noted_at: string }>(
    `SELECT log_entries.id, kind, entry, people.name AS person, noted_at FROM log_entries
     LEFT JOIN people ON people.id = log_entries.person_id
     WHERE log_entries.boat_id = $1 AND rig_id = $2 ORDER BY noted_at DESC LIMIT 50`,
    [boatId, rigId],
  );
  return result.rows.map((row) => ({
    id: row.id,
    kind: row.kind,
    text: row.entry,
    person: row.person,
    at: row.noted_at,
  }));
}

export async function insertLogEntry(
  db: Queryable,
  boatId: string,
  rigId: string | null,
  kind: LogKind,
  entry: string,
  personId: string | null = null,
): Promise<void> {
  await db.query('INSERT INTO log_entries (boat_id, rig_id, person_id, kind, entry) VALUES ($1, $2, $3, $4, $5)', [
    boatId,
    rigId,
    personId,
    kind,
    entry,
  ]);
}
