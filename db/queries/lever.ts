import type { LeverPointRecord, PastDragRecord, PlanerLookRecord, PresetActRecord } from '../../core/rig/record';
import { waterOf } from '../../core/drag/planerBracket';
import type { PresetAct } from '../../core/drag/presetState';
import type { Queryable } from '../withBoat';
import { standing, type OfLoad, type OfRig } from './standing';

/** Pulls with the lever at places of its sweep, of several loads, oldest first. */
export async function listLeverPoints(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<LeverPointRecord>[]> {
  const result = await db.query<{
    load_id: string;
    id: string;
    lever_position: number;
    preset_turns: number;
    force_n: number;
    instrument: string;
    noted_at: string;
  }>(
    `SELECT load_id, id, lever_position, preset_turns, force_n, instrument, noted_at FROM lever_points
     WHERE boat_id = $1 AND load_id = ANY($2) AND ${standing('lever_points')} ORDER BY noted_at`,
    [boatId, loadIds],
  );
  return result.rows.map((row) => ({
    loadId: row.load_id,
    id: row.id,
    position: row.lever_position,
    presetTurns: row.preset_turns,
    forceN: row.force_n,
    instrument: row.instrument,
    at: row.noted_at,
  }));
}

export async function insertLeverPoint(
  db: Queryable,
  boatId: string,
  loadId: string,
  point: Omit<LeverPointRecord, 'id' | 'at'>,
): Promise<void> {
  await db.query(
    `INSERT INTO lever_points (boat_id, load_id, lever_position, preset_turns, force_n, instrument)
     VALUES ($1, $2, $3, $4, $5, $6)`,
    [boatId, loadId, point.position, point.presetTurns, point.forceN, point.instrument],
  );
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
  const result = await db.query<{
    rig_id: string;
    id: string;
    act: PresetAct['act'];
    turns: number | null;
    noted_at: string;
  }>(
    'SELECT rig_id, id, act, turns, noted_at FROM preset_acts WHERE boat_id = $1 AND rig_id = ANY($2) ORDER BY noted_at',
    [boatId, rigIds],
  );
  return result.rows.map((row) => ({
    rigId: row.rig_id,
    id: row.id,
    act: toAct(row.act, row.turns),
    at: row.noted_at,
  }));
}

export async function insertPresetAct(db: Queryable, boatId: string, rigId: string, act: PresetAct): Promise<void> {
  await db.query('INSERT INTO preset_acts (boat_id, rig_id, act, turns) VALUES ($1, $2, $3, $4)', [
    boatId,
    rigId,
    act.act,
    'turns' in act ? act.turns : null,
  ]);
}

/** Looks at towed planers of several rigs, oldest first. */
export async function listPlanerLooks(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
): Promise<readonly OfRig<PlanerLookRecord>[]> {
  const result = await db.query<{
    rig_id: string;
    id: string;
    planer: string;
    speed_m_s: number;
    holds_n: number;
    lever_position: number | null;
    heading: PlanerLookRecord['heading'];
    current: PlanerLookRecord['current'];
    creep: PlanerLookRecord['creep'];
    is_set: boolean;
    instrument: string;
    noted_at: string;
  }>(
    `SELECT rig_id, id, planer, speed_m_s, holds_n, lever_position, heading, current, creep, is_set, instrument, noted_at FROM planer_looks
     WHERE boat_id = $1 AND rig_id = ANY($2) AND ${standing('planer_looks')} ORDER BY noted_at`,
    [boatId, rigIds],
  );
  return result.rows.map((row) => ({
    rigId: row.rig_id,
    id: row.id,
    planer: row.planer,
    speedMS: row.speed_m_s,
    holdsN: row.holds_n,
    leverPosition: row.lever_position,
    heading: row.heading,
    current: row.current,
    water: waterOf(row.heading, row.current),
    creep: row.creep,
    isSet: row.is_set,
    instrument: row.instrument,
    at: row.noted_at,
  }));
}

export async function insertPlanerLook(
  db: Queryable,
  boatId: string,
  rigId: string,
  look: Omit<PlanerLookRecord, 'id' | 'at' | 'water'>,
): Promise<void> {
  await db.query(
    `INSERT INTO planer_looks (boat_id, rig_id, planer, speed_m_s, holds_n, lever_position, heading, current, creep,
       is_set, instrument)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)`,
    [
      boatId,
      rigId,
      look.planer,
      look.speedMS,
      look.holdsN,
      look.leverPosition,
      look.heading,
      look.current,
      look.creep,
      look.isSet,
      look.instrument,
    ],
  );
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
