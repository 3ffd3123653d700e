import type { Known } from '../../core/provenance/source';
import type { AcceptedConstant } from '../../core/rig/load/learnFromLoads';
import type { CalibrationRecord, TrialRecord } from '../../core/record/record';
import { CALIBRATIONS, COUNTER_TRIALS } from '../tables/measurements';
import { insertRow, type NewRowOf } from '../tables/table';
import type { Queryable } from '../withBoat';
import { listStanding, ofStandingAct, type OfRig } from './standing';

/** Tests of the counter on several loads, oldest first. */
export function listTrials(db: Queryable, boatId: string, loadIds: readonly string[]): Promise<readonly TrialRecord[]> {
  return listStanding(db, boatId, COUNTER_TRIALS, 'load_id', loadIds);
}

export function insertTrial(
  db: Queryable,
  boatId: string,
  trial: NewRowOf<typeof COUNTER_TRIALS.columns>,
): Promise<string> {
  return insertRow(db, boatId, COUNTER_TRIALS, trial);
}

/** The newest accepted calibration of each of several rigs, of whatever load. */
export async function listCalibrations(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
): Promise<readonly OfRig<CalibrationRecord>[]> {
  const result = await db.query(
    `SELECT DISTINCT ON (rig_id) ${CALIBRATIONS.list} FROM calibrations
     WHERE boat_id = $1 AND rig_id = ANY($2) AND ${ofStandingAct('calibrations')} ORDER BY rig_id, accepted_at DESC`,
    [boatId, rigIds],
  );
  return result.rows.map((row) => {
    const { lengthPerTurnM: value, lengthPerTurnSdM: sd, ...calibration } = CALIBRATIONS.read(row);
    return { ...calibration, lengthPerTurnM: { value, sd, source: 'measured' } };
  });
}

export function insertCalibration(
  db: Queryable,
  boatId: string,
  rigId: string,
  calibration: Omit<CalibrationRecord, 'id' | 'at'>,
): Promise<string> {
  const { value: lengthPerTurnM, sd: lengthPerTurnSdM } = calibration.lengthPerTurnM;
  return insertRow(db, boatId, CALIBRATIONS, { ...calibration, rigId, lengthPerTurnM, lengthPerTurnSdM });
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
       SELECT DISTINCT ON (calibrations.load_id) loads.reel_id, load_id, length_per_turn_m, length_per_turn_sd_m, accepted_at
       FROM calibrations JOIN loads ON loads.id = calibrations.load_id AND loads.boat_id = calibrations.boat_id
       WHERE calibrations.boat_id = $1 AND ${ofStandingAct('calibrations')} ORDER BY calibrations.load_id, accepted_at DESC
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
