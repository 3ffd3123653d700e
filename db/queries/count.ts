import type { CalibrationRecord, TrialRecord } from '../../core/record/record';
import { CALIBRATIONS, COUNTER_TRIALS } from '../tables/measurements';
import { insertRow, type NewRowOf } from '../tables/table';
import type { Queryable } from '../withBoat';
import { listStanding, ofStandingAct, standing, type OfRig } from './standing';

/** Tests of the counter on several loads, oldest first. */
export function listTrials(db: Queryable, boatId: string, loadIds: readonly string[]): Promise<readonly TrialRecord[]> {
  return listStanding(db, boatId, COUNTER_TRIALS, 'load_id', loadIds);
}

/** The tests of the counter that count, of all of a boat's loads, oldest first. */
export async function listTrialsOfBoat(db: Queryable, boatId: string): Promise<readonly TrialRecord[]> {
  const { name, list, read } = COUNTER_TRIALS;
  const result = await db.query(
    `SELECT ${list} FROM ${name} WHERE boat_id = $1 AND NOT held_out AND ${standing(name)} ORDER BY noted_at`,
    [boatId],
  );
  return result.rows.map(read);
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
