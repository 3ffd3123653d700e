import type { LineMarkRecord } from '../../core/rig/record';
import type { Queryable } from '../withBoat';
import { standing, type OfLoad } from './standing';

/** Marks on the line of several loads, oldest first. */
export async function listLineMarks(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<LineMarkRecord>[]> {
  const result = await db.query<{
    load_id: string;
    id: string;
    kind: LineMarkRecord['kind'];
    looks: string;
    segment_id: string;
    from_inner_m: number;
    noted_at: string;
  }>(
    `SELECT load_id, id, kind, looks, segment_id, from_inner_m, noted_at FROM line_marks
     WHERE boat_id = $1 AND load_id = ANY($2) AND ${standing('line_marks')} ORDER BY noted_at`,
    [boatId, loadIds],
  );
  return result.rows.map((row) => ({
    loadId: row.load_id,
    id: row.id,
    kind: row.kind,
    looks: row.looks,
    segmentId: row.segment_id,
    fromInnerM: row.from_inner_m,
    at: row.noted_at,
  }));
}

export async function insertLineMark(
  db: Queryable,
  boatId: string,
  loadId: string,
  mark: Omit<LineMarkRecord, 'id' | 'at'>,
): Promise<void> {
  await db.query(
    'INSERT INTO line_marks (boat_id, load_id, kind, looks, segment_id, from_inner_m) VALUES ($1, $2, $3, $4, $5, $6)',
    [boatId, loadId, mark.kind, mark.looks, mark.segmentId, mark.fromInnerM],
  );
}
