import type { LeverPointRecord, PastDragRecord, PlanerLookRecord, PresetActRecord } from '../../core/record/record';
import type { PresetAct } from '../../core/drag/presetState';
import { LEVER_POINTS, PLANER_LOOKS, PRESET_ACTS } from '../tables/measurements';
import { insertRow, type NewRowOf } from '../tables/table';
import type { Queryable } from '../withBoat';
import { listStanding, ofStandingAct, standing, type OfLoad, type OfRig } from './standing';

/** Pulls with the lever at places of its sweep, of several loads, oldest first. */
export function listLeverPoints(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<LeverPointRecord>[]> {
  return listStanding(db, boatId, LEVER_POINTS, 'load_id', loadIds);
}

export function insertLeverPoint(
  db: Queryable,
  boatId: string,
  point: Omit<NewRowOf<typeof LEVER_POINTS.columns>, 'settingId'>,
): Promise<string> {
  return insertRow(db, boatId, LEVER_POINTS, { ...point, settingId: null });
}

function toAct(act: PresetAct['act'], turns: number | null): PresetAct {
  return act === 'turn' || act === 'was-turned-in-gear' ? { act, turns: turns ?? 0 } : { act };
}

/** What was done with lever and preset of several rigs, oldest first. */
export async function listPresetActs(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
): Promise<readonly OfRig<PresetActRecord>[]> {
  const result = await db.query(
    `SELECT ${PRESET_ACTS.list} FROM preset_acts WHERE boat_id = $1 AND rig_id = ANY($2) AND ${ofStandingAct('preset_acts')} ORDER BY noted_at`,
    [boatId, rigIds],
  );
  return result.rows.map((row) => {
    const { act, turns, ...noted } = PRESET_ACTS.read(row);
    return { ...noted, act: toAct(act, turns) };
  });
}

export function insertPresetAct(db: Queryable, boatId: string, rigId: string, act: PresetAct): Promise<string> {
  return insertRow(db, boatId, PRESET_ACTS, { rigId, act: act.act, turns: 'turns' in act ? act.turns : null });
}

/** Looks at towed planers of several rigs, oldest first. */
export function listPlanerLooks(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
): Promise<readonly OfRig<PlanerLookRecord>[]> {
  return listStanding(db, boatId, PLANER_LOOKS, 'rig_id', rigIds);
}

export function insertPlanerLook(
  db: Queryable,
  boatId: string,
  look: NewRowOf<typeof PLANER_LOOKS.columns>,
): Promise<string> {
  return insertRow(db, boatId, PLANER_LOOKS, look);
}

/** The newest accepted drag settings of several rigs with what their last three pulls came to, newest first. */
export async function listDragHistory(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
): Promise<readonly OfRig<PastDragRecord>[]> {
  const result = await db.query<{
    rig_id: string;
    id: string;
    target_n: number;
    fraction: number;
    accepted_at: string;
    median_n: number | null;
  }>(
    `SELECT rig_id, drag_settings.id, target_n, fraction, accepted_at,
       (SELECT percentile_cont(0.5) WITHIN GROUP (ORDER BY moving_n) FROM (
          SELECT moving_n FROM drag_pulls WHERE drag_setting_id = drag_settings.id AND kind = 'bent rod'
            AND ${standing('drag_pulls')} ORDER BY noted_at DESC LIMIT 3) last) AS median_n
     FROM unnest($2::uuid[]) AS of_rig
     JOIN LATERAL (SELECT * FROM drag_settings WHERE boat_id = $1 AND rig_id = of_rig AND accepted_at IS NOT NULL
       AND ${ofStandingAct('drag_settings')}
       ORDER BY accepted_at DESC LIMIT 50) drag_settings ON true
     ORDER BY accepted_at DESC`,
    [boatId, rigIds],
  );
  return result.rows.map((row) => ({
    rigId: row.rig_id,
    id: row.id,
    targetN: row.target_n,
    medianN: row.median_n ?? row.target_n,
    fraction: row.fraction,
    acceptedAt: row.accepted_at,
  }));
}
