import type { LineChangeRecord, LoadRecord } from '../../core/rig/record';
import type { Queryable } from '../withBoat';
import { standing, type OfLoad } from './standing';

export async function listLineChanges(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<LineChangeRecord>[]> {
  const result = await db.query<{
    load_id: string;
    id: string;
    segment_id: string;
    change_m: number;
    reason: LineChangeRecord['reason'];
    note: string;
    noted_at: string;
  }>(
    `SELECT load_id, id, segment_id, change_m, reason, note, noted_at FROM line_changes
     WHERE boat_id = $1 AND load_id = ANY($2) AND ${standing('line_changes')} ORDER BY noted_at`,
    [boatId, loadIds],
  );
  return result.rows.map((row) => ({
    loadId: row.load_id,
    id: row.id,
    segmentId: row.segment_id,
    changeM: row.change_m,
    reason: row.reason,
    note: row.note,
    at: row.noted_at,
  }));
}

export async function insertLineChange(
  db: Queryable,
  boatId: string,
  loadId: string,
  change: Pick<LineChangeRecord, 'segmentId' | 'changeM' | 'reason' | 'note'>,
): Promise<void> {
  await db.query(
    'INSERT INTO line_changes (boat_id, load_id, segment_id, change_m, reason, note) VALUES ($1, $2, $3, $4, $5, $6)',
    [boatId, loadId, change.segmentId, change.changeM, change.reason, change.note],
  );
}

export async function listReplacements(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<LoadRecord['replacements'][number]>[]> {
  const result = await db.query<{
    load_id: string;
    id: string;
    segment_id: string;
    line_product_id: string;
    length_m: number;
    wind_on_id: string | null;
    note: string;
    noted_at: string;
  }>(
    `SELECT load_id, id, segment_id, line_product_id, length_m, wind_on_id, note, noted_at FROM segment_replacements
     WHERE boat_id = $1 AND load_id = ANY($2) AND ${standing('segment_replacements')} ORDER BY noted_at`,
    [boatId, loadIds],
  );
  return result.rows.map((row) => ({
    loadId: row.load_id,
    id: row.id,
    segmentId: row.segment_id,
    productId: row.line_product_id,
    lengthM: row.length_m,
    windOnId: row.wind_on_id,
    note: row.note,
    at: row.noted_at,
  }));
}

export async function insertReplacement(
  db: Queryable,
  boatId: string,
  loadId: string,
  replacement: Omit<LoadRecord['replacements'][number], 'id' | 'at'>,
): Promise<void> {
  await db.query(
    `INSERT INTO segment_replacements (boat_id, load_id, segment_id, line_product_id, length_m, note, wind_on_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7)`,
    [
      boatId,
      loadId,
      replacement.segmentId,
      replacement.productId,
      replacement.lengthM,
      replacement.note,
      replacement.windOnId,
    ],
  );
}
