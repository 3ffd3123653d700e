import type { Basis } from '../../core/provenance/basis';
import type { Known } from '../../core/provenance/source';
import type { AcceptedConstant } from '../../core/rig/load/learnFromLoads';
import type { CalibrationRecord, TrialRecord } from '../../core/rig/record';
import type { Queryable } from '../withBoat';
import { standing, type OfRig } from './standing';

/** Tests of the counter on several loads, oldest first. */
export async function listTrials(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly TrialRecord[]> {
  const result = await db.query<{
    id: string;
    load_id: string;
    kind: TrialRecord['kind'];
    true_length_m: number | null;
    turns: number | null;
    between_flips: boolean;
    reading: number;
    stripped_before_m: number;
    instrument: string;
    noted_at: string;
  }>(
    `SELECT id, load_id, kind, true_length_m, turns, between_flips, reading, stripped_before_m, instrument, noted_at FROM counter_trials
     WHERE boat_id = $1 AND load_id = ANY($2) AND ${standing('counter_trials')} ORDER BY noted_at`,
    [boatId, loadIds],
  );
  return result.rows.map((row) => ({
    id: row.id,
    loadId: row.load_id,
    kind: row.kind,
    trueLengthM: row.true_length_m,
    turns: row.turns,
    betweenFlips: row.between_flips,
    reading: row.reading,
    strippedBeforeM: row.stripped_before_m,
    instrument: row.instrument,
    at: row.noted_at,
  }));
}

export async function insertTrial(
  db: Queryable,
  boatId: string,
  trial: Omit<TrialRecord, 'id' | 'at'> & { readonly correctsId: string | null; readonly withdrawn: boolean },
): Promise<void> {
  await db.query(
    `INSERT INTO counter_trials (boat_id, load_id, true_length_m, reading, stripped_before_m, instrument, corrects_id, withdrawn, kind, turns, between_flips)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)`,
    [
      boatId,
      trial.loadId,
      trial.trueLengthM,
      trial.reading,
      trial.strippedBeforeM,
      trial.instrument,
      trial.correctsId,
      trial.withdrawn,
      trial.kind,
      trial.turns,
      trial.betweenFlips,
    ],
  );
}

/** The newest accepted calibration of each of several rigs, of whatever load. */
export async function listCalibrations(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
): Promise<readonly OfRig<CalibrationRecord>[]> {
  const result = await db.query<{
    rig_id: string;
    id: string;
    load_id: string;
    method: CalibrationRecord['method'];
    length_per_turn_m: number;
    length_per_turn_sd_m: number;
    basis: Basis;
    accepted_at: string;
  }>(
    `SELECT DISTINCT ON (rig_id) rig_id, id, load_id, method, length_per_turn_m, length_per_turn_sd_m, basis, accepted_at
     FROM calibrations WHERE boat_id = $1 AND rig_id = ANY($2) ORDER BY rig_id, accepted_at DESC`,
    [boatId, rigIds],
  );
  return result.rows.map((row) => ({
    rigId: row.rig_id,
    id: row.id,
    loadId: row.load_id,
    method: row.method,
    lengthPerTurnM: { value: row.length_per_turn_m, sd: row.length_per_turn_sd_m, source: 'measured' },
    basis: row.basis,
    at: row.accepted_at,
  }));
}

export async function insertCalibration(
  db: Queryable,
  boatId: string,
  rigId: string,
  calibration: Pick<CalibrationRecord, 'loadId' | 'method' | 'lengthPerTurnM' | 'basis'>,
): Promise<void> {
  await db.query(
    `INSERT INTO calibrations (boat_id, rig_id, load_id, method, length_per_turn_m, length_per_turn_sd_m, basis)
     VALUES ($1, $2, $3, $4, $5, $6, $7)`,
    [
      boatId,
      rigId,
      calibration.loadId,
      calibration.method,
      calibration.lengthPerTurnM.value,
      calibration.lengthPerTurnM.sd,
      JSON.stringify(calibration.basis),
    ],
  );
}

/** The counter constants that accepted tests gave, by the id of the reel: the newest of each load, newest first. */
export async function listReelConstants(
  db: Queryable,
  boatId: string,
): Promise<ReadonlyMap<string, readonly AcceptedConstant[]>> {
  const result = await db.query<{
    reel_id: string;
    load_id: string;
    length_per_turn_m: number;
    length_per_turn_sd_m: number;
  }>(
    `SELECT reel_id, load_id, length_per_turn_m, length_per_turn_sd_m FROM (
       SELECT DISTINCT ON (calibrations.load_id) rigs.reel_id, load_id, length_per_turn_m, length_per_turn_sd_m, accepted_at
       FROM calibrations JOIN rigs ON rigs.id = calibrations.rig_id AND rigs.boat_id = calibrations.boat_id
       WHERE calibrations.boat_id = $1 ORDER BY calibrations.load_id, accepted_at DESC
     ) newest ORDER BY accepted_at DESC`,
    [boatId],
  );
  const byReel = new Map<string, AcceptedConstant[]>();
  for (const row of result.rows) {
    const lengthPerTurnM: Known = { value: row.length_per_turn_m, sd: row.length_per_turn_sd_m, source: 'measured' };
    byReel.set(row.reel_id, [...(byReel.get(row.reel_id) ?? []), { loadId: row.load_id, lengthPerTurnM }]);
  }
  return byReel;
}
