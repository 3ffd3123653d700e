import type { Basis } from '../../core/provenance/basis';
import type { DragBasis } from '../../core/drag/dragTarget';
import type { DragSettingRecord } from '../../core/record/record';
import { onlyRow, type Queryable } from '../withBoat';
import { DRAG_PULLS } from '../tables/measurements';
import { insertRow, type NewRowOf } from '../tables/table';
import { listStanding, ofStandingAct, type OfRig } from './standing';

/** Of each of several rigs the setting that was accepted last, and the newest session that is open, with their standing pulls. */
export async function listDragSettings(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
): Promise<readonly OfRig<DragSettingRecord>[]> {
  const settings = await db.query<{
    rig_id: string;
    id: string;
    load_id: string;
    fraction: number;
    strength_basis: DragBasis;
    target_n: number;
    rod_angle_rad: number;
    basis: Basis;
    started_at: string;
    accepted_at: string | null;
  }>(
    `SELECT DISTINCT ON (rig_id, accepted_at IS NULL) rig_id, id, load_id, fraction, strength_basis, target_n, rod_angle_rad, basis, started_at, accepted_at
     FROM drag_settings WHERE boat_id = $1 AND rig_id = ANY($2) AND dropped_at IS NULL AND ${ofStandingAct('drag_settings')}
     ORDER BY rig_id, accepted_at IS NULL, started_at DESC`,
    [boatId, rigIds],
  );
  const pulls = await listStanding(
    db,
    boatId,
    DRAG_PULLS,
    'drag_setting_id',
    settings.rows.map((row) => row.id),
  );
  return settings.rows.map((row) => ({
    rigId: row.rig_id,
    id: row.id,
    loadId: row.load_id,
    fraction: row.fraction,
    strengthBasis: row.strength_basis,
    targetN: row.target_n,
    rodAngleRad: row.rod_angle_rad,
    basis: row.basis,
    startedAt: row.started_at,
    acceptedAt: row.accepted_at,
    pulls: pulls.filter((pull) => pull.settingId === row.id),
  }));
}

export async function insertDragSetting(
  db: Queryable,
  boatId: string,
  rigId: string,
  setting: Pick<DragSettingRecord, 'loadId' | 'fraction' | 'strengthBasis' | 'targetN' | 'rodAngleRad' | 'basis'>,
): Promise<string> {
  const result = await db.query<{ id: string }>(
    `INSERT INTO drag_settings (boat_id, rig_id, load_id, fraction, strength_basis, target_n, rod_angle_rad, basis)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8) RETURNING id`,
    [
      boatId,
      rigId,
      setting.loadId,
      setting.fraction,
      setting.strengthBasis,
      setting.targetN,
      setting.rodAngleRad,
      JSON.stringify(setting.basis),
    ],
  );
  return onlyRow(result).id;
}

export function insertDragPull(
  db: Queryable,
  boatId: string,
  pull: NewRowOf<typeof DRAG_PULLS.columns>,
): Promise<string> {
  return insertRow(db, boatId, DRAG_PULLS, pull);
}

/** Calls an open session off: the drag stays as it was accepted before; false when it is not open. */
export async function dropDragSession(
  db: Queryable,
  boatId: string,
  rigId: string,
  settingId: string,
): Promise<boolean> {
  const result = await db.query(
    `UPDATE drag_settings SET dropped_at = clock_timestamp()
     WHERE boat_id = $1 AND rig_id = $2 AND id = $3 AND accepted_at IS NULL AND dropped_at IS NULL`,
    [boatId, rigId, settingId],
  );
  return result.rowCount === 1;
}

/** Accepts a setting once; false when it is accepted already. */
export async function acceptDragSetting(db: Queryable, boatId: string, settingId: string): Promise<boolean> {
  const result = await db.query(
    'UPDATE drag_settings SET accepted_at = clock_timestamp() WHERE boat_id = $1 AND id = $2 AND accepted_at IS NULL AND dropped_at IS NULL',
    [boatId, settingId],
  );
  return result.rowCount === 1;
}
