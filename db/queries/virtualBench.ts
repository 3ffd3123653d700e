import type { ReelTruth, TrueLine } from '../../instruments/virtual/layReel';
import type { VirtualReelState } from '../../instruments/virtual/virtualReel';
import type { LineTruth } from '../../instruments/virtual/virtualForceGauge';
import type { DragTruth } from '../../instruments/virtual/virtualScale';
import type { Queryable } from '../withBoat';

export interface VirtualReelRow {
  readonly truth: ReelTruth;
  readonly dragTruth: DragTruth;
  readonly dragClicks: number;
  readonly reelState: VirtualReelState;
  readonly version: number;
}

/** Which of several rigs have a virtual reel, and which lines of their boat a sample on the virtual force gauge. */
export async function listVirtual(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
): Promise<{ readonly rigIds: readonly string[]; readonly productIds: readonly string[] }> {
  const result = await db.query<{ id: string; is_rig: boolean }>(
    `SELECT rig_id AS id, true AS is_rig FROM virtual_reels WHERE boat_id = $1 AND rig_id = ANY($2)
     UNION ALL SELECT line_product_id, false FROM virtual_lines WHERE boat_id = $1`,
    [boatId, rigIds],
  );
  const ids = (isRig: boolean): string[] => result.rows.filter((row) => row.is_rig === isRig).map(({ id }) => id);
  return { rigIds: ids(true), productIds: ids(false) };
}

export async function findVirtualReel(db: Queryable, boatId: string, rigId: string): Promise<VirtualReelRow | null> {
  const result = await db.query<{
    truth: ReelTruth;
    drag_truth: DragTruth;
    drag_clicks: number;
    reel_state: VirtualReelState;
    version: number;
  }>(
    'SELECT truth, drag_truth, drag_clicks, reel_state, version FROM virtual_reels WHERE boat_id = $1 AND rig_id = $2',
    [boatId, rigId],
  );
  const row = result.rows[0];
  if (!row) return null;
  return {
    truth: row.truth,
    dragTruth: row.drag_truth,
    dragClicks: row.drag_clicks,
    reelState: row.reel_state,
    version: row.version,
  };
}

export async function insertVirtualReel(
  db: Queryable,
  boatId: string,
  rigId: string,
  reel: Omit<VirtualReelRow, 'version'>,
): Promise<void> {
  await db.query(
    'INSERT INTO virtual_reels (boat_id, rig_id, truth, drag_truth, drag_clicks, reel_state) VALUES ($1, $2, $3, $4, $5, $6)',
    [
      boatId,
      rigId,
      JSON.stringify(reel.truth),
      JSON.stringify(reel.dragTruth),
      reel.dragClicks,
      JSON.stringify(reel.reelState),
    ],
  );
}

/** Writes the handled reel over the version that was read; false when another hand was quicker. */
export async function updateVirtualReel(
  db: Queryable,
  boatId: string,
  rigId: string,
  version: number,
  change: { readonly reelState: VirtualReelState; readonly dragClicks: number },
): Promise<boolean> {
  const result = await db.query(
    `UPDATE virtual_reels SET reel_state = $4, drag_clicks = $5, version = version + 1
     WHERE boat_id = $1 AND rig_id = $2 AND version = $3`,
    [boatId, rigId, version, JSON.stringify(change.reelState), change.dragClicks],
  );
  return result.rowCount === 1;
}

export interface VirtualLineRow {
  readonly windingTruth: TrueLine;
  readonly strengthTruth: LineTruth;
  readonly seed: number;
}

export async function findVirtualLine(
  db: Queryable,
  boatId: string,
  productId: string,
): Promise<VirtualLineRow | null> {
  const result = await db.query<{ winding_truth: TrueLine; strength_truth: LineTruth; seed: number }>(
    'SELECT winding_truth, strength_truth, seed FROM virtual_lines WHERE boat_id = $1 AND line_product_id = $2',
    [boatId, productId],
  );
  const row = result.rows[0];
  return row ? { windingTruth: row.winding_truth, strengthTruth: row.strength_truth, seed: row.seed } : null;
}

export async function insertVirtualLine(
  db: Queryable,
  boatId: string,
  productId: string,
  line: VirtualLineRow,
): Promise<void> {
  await db.query(
    'INSERT INTO virtual_lines (boat_id, line_product_id, winding_truth, strength_truth, seed) VALUES ($1, $2, $3, $4, $5)',
    [boatId, productId, JSON.stringify(line.windingTruth), JSON.stringify(line.strengthTruth), line.seed],
  );
}

/** Counts one more pull of a line's sample and gives the number of it: each piece breaks but once. */
export async function takeNextPullNumber(db: Queryable, boatId: string, productId: string): Promise<number | null> {
  const result = await db.query<{ pulls_made: number }>(
    `UPDATE virtual_lines SET pulls_made = pulls_made + 1 WHERE boat_id = $1 AND line_product_id = $2
     RETURNING pulls_made`,
    [boatId, productId],
  );
  return result.rows[0]?.pulls_made ?? null;
}
