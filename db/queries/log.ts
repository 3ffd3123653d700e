import type { LogKind, Reason } from '../../core/reasons';
import type { LogRecord } from '../../core/record/record';
import type { Queryable } from '../withBoat';
import { ofStandingAct, type OfRig } from './standing';

export type LogTopic = 'load' | 'count' | 'strength' | 'drag' | 'depth' | 'join' | 'note';

/** The newest entries of the logs of several rigs, newest first, fifty of each at the most. */
export async function listLog(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
): Promise<readonly OfRig<LogRecord>[]> {
  const result = await db.query<{
    rig_id: string;
    id: string;
    topic: string;
    reason: LogKind;
    figures: Reason<LogKind>['figures'];
    person: string | null;
    noted_at: string;
  }>(
    `SELECT entries.rig_id, entries.id, entries.topic, entries.reason, entries.figures, people.name AS person, entries.noted_at
     FROM unnest($2::uuid[]) AS of_rig
     JOIN LATERAL (SELECT * FROM log_entries WHERE boat_id = $1 AND rig_id = of_rig AND ${ofStandingAct('log_entries')} ORDER BY noted_at DESC LIMIT 50) entries ON true
     LEFT JOIN people ON people.id = coalesce(entries.person_id, entries.noted_by) AND people.boat_id = entries.boat_id
     ORDER BY entries.noted_at DESC`,
    [boatId, rigIds],
  );
  return result.rows.map((row) => ({
    rigId: row.rig_id,
    id: row.id,
    topic: row.topic,
    // Written by insertLogEntry alone, of these very kinds.
    entry: { reason: row.reason, figures: row.figures } as Reason<LogKind>,
    person: row.person,
    at: row.noted_at,
  }));
}

/** Keeps what happened: its kind and its figures, never a sentence. */
export async function insertLogEntry(
  db: Queryable,
  boatId: string,
  rigId: string | null,
  topic: LogTopic,
  entry: Reason<LogKind>,
): Promise<void> {
  await db.query('INSERT INTO log_entries (boat_id, rig_id, topic, reason, figures) VALUES ($1, $2, $3, $4, $5)', [
    boatId,
    rigId,
    topic,
    entry.reason,
    entry.figures,
  ]);
}
