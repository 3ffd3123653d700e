import type { FinishedLoadRecord, ReverseFillRecord } from '../../core/record/record';
import type { Queryable } from '../withBoat';
import { readLoads, type LoadRow } from './loads';
import { REVERSE_FILLS } from '../tables/measurements';
import { insertRow } from '../tables/table';
import { ofStandingAct, standing } from './standing';

/** Every finished load of a boat with its reel, oldest first: what reels and lines are learned from. */
export async function listFinishedLoads(db: Queryable, boatId: string): Promise<readonly FinishedLoadRecord[]> {
  const loads = await db.query<LoadRow & { reel_id: string; rig_name: string }>(
    `SELECT loads.id, loads.status, loads.started_at, loads.finished_at, loads.basis, loads.version, loads.act_id,
       loads.laid_by, loads.tension_n, loads.shims,
       loads.reel_id, rigs.name AS rig_name
     FROM loads JOIN rigs ON rigs.id = loads.rig_id AND rigs.boat_id = loads.boat_id
     WHERE loads.boat_id = $1 AND loads.status = 'wound' AND ${ofStandingAct('loads')} ORDER BY loads.finished_at`,
    [boatId],
  );
  const records = await readLoads(db, boatId, loads.rows);
  return loads.rows.flatMap((row, index) => {
    const load = records[index];
    return load ? [{ reelId: row.reel_id, rigName: row.rig_name, load }] : [];
  });
}

/** Reverse fills of a boat's reels, or of some of them, oldest first. */
export async function listReverseFills(
  db: Queryable,
  boatId: string,
  reelIds: readonly string[] | null = null,
): Promise<readonly ReverseFillRecord[]> {
  const result = await db.query<{ segments: ReverseFillRecord['segments'] }>(
    `SELECT ${REVERSE_FILLS.list},
       (SELECT json_agg(json_build_object('productId', line_product_id, 'lengthM', length_m) ORDER BY position)
        FROM reverse_fill_segments WHERE reverse_fill_id = reverse_fills.id) AS segments
     FROM reverse_fills WHERE boat_id = $1 AND ($2::uuid[] IS NULL OR reel_id = ANY($2))
       AND ${standing('reverse_fills')} ORDER BY noted_at`,
    [boatId, reelIds],
  );
  return result.rows.map((row) => ({ ...REVERSE_FILLS.read(row), segments: row.segments }));
}

export async function insertReverseFill(
  db: Queryable,
  boatId: string,
  fill: Omit<ReverseFillRecord, 'id' | 'at'>,
): Promise<string> {
  const id = await insertRow(db, boatId, REVERSE_FILLS, fill);
  for (const [position, segment] of fill.segments.entries()) {
    await db.query(
      `INSERT INTO reverse_fill_segments (boat_id, reverse_fill_id, position, line_product_id, length_m)
       VALUES ($1, $2, $3, $4, $5)`,
      [boatId, id, position, segment.productId, segment.lengthM],
    );
  }
  return id;
}

/** When each reel was last forgotten, by its id. */
export async function listReelResets(db: Queryable, boatId: string): Promise<ReadonlyMap<string, string>> {
  const result = await db.query<{ reel_id: string; reset_at: string }>(
    'SELECT reel_id, max(noted_at) AS reset_at FROM reel_resets WHERE boat_id = $1 GROUP BY reel_id',
    [boatId],
  );
  return new Map(result.rows.map((row) => [row.reel_id, row.reset_at]));
}

export async function insertReelReset(db: Queryable, boatId: string, reelId: string, reason: string): Promise<void> {
  await db.query('INSERT INTO reel_resets (boat_id, reel_id, reason) VALUES ($1, $2, $3)', [boatId, reelId, reason]);
}
