import type { ActRecord } from '../../core/record/history';
import { onlyRow, type Queryable } from '../withBoat';

/** The newest acts on a rig, newest first, with the one who did each and whether it stands. */
export async function listActs(
  db: Queryable,
  boatId: string,
  rigId: string,
  most: number,
): Promise<readonly ActRecord[]> {
  const result = await db.query<{
    id: string;
    number: string;
    request: string;
    asked: Readonly<Record<string, unknown>>;
    person: string | null;
    undone_by: string | null;
    noted_at: string;
  }>(
    `SELECT acts.id, acts.number, request, asked, people.name AS person, undone_by, noted_at FROM acts
     LEFT JOIN people ON people.id = acts.noted_by AND people.boat_id = acts.boat_id
     WHERE acts.boat_id = $1 AND rig_id = $2 ORDER BY acts.number DESC LIMIT $3`,
    [boatId, rigId, most],
  );
  return result.rows.map(({ undone_by: undoneBy, noted_at: at, ...row }) => ({
    ...row,
    number: Number(row.number),
    undoneBy,
    at,
  }));
}

/** The act in whose transaction this is. */
export async function thisAct(db: Queryable): Promise<string> {
  return onlyRow(await db.query<{ id: string }>('SELECT current_act() AS id')).id;
}

/**
 * Undoes one act, in the act of this transaction: what it noted counts no more, what it wrote over is as it was.
 *
 * @param how 'mark only' where what it wrote is as it was already
 * @returns 'undone'; 'was undone already'; or the table of a row of the whole boat that others have changed since
 */
export async function undoAct(
  db: Queryable,
  boatId: string,
  actId: string,
  how: 'take back' | 'mark only',
): Promise<'undone' | 'was undone already' | { readonly changedSince: string }> {
  const marked = await db.query(
    'UPDATE acts SET undone_by = current_act() WHERE boat_id = $1 AND id = $2 AND undone_by IS NULL',
    [boatId, actId],
  );
  if (marked.rowCount !== 1) return 'was undone already';
  if (how === 'mark only') return 'undone';
  const taken = onlyRow(await db.query<{ table: string | null }>('SELECT take_back_writes($1) AS table', [actId]));
  return taken.table === null ? 'undone' : { changedSince: taken.table };
}
