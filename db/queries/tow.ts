import type { TowedAs, WaterMarkRecord } from '../../core/record/tow';
import { WATER_MARKS } from '../tables/measurements';
import { insertRow, type NewRowOf } from '../tables/table';
import type { Queryable } from '../withBoat';
import { listStanding, type OfRig } from './standing';

/** The water logs of several rigs, oldest first. */
export function listWaterMarks(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
): Promise<readonly OfRig<WaterMarkRecord>[]> {
  return listStanding(db, boatId, WATER_MARKS, 'rig_id', rigIds);
}

export function insertWaterMark(
  db: Queryable,
  boatId: string,
  mark: NewRowOf<typeof WATER_MARKS.columns>,
): Promise<string> {
  return insertRow(db, boatId, WATER_MARKS, mark);
}

/** Keeps how a rig is towed; false when there is no such rig. */
export async function setTowedAs(db: Queryable, boatId: string, rigId: string, towed: TowedAs): Promise<boolean> {
  const result = await db.query('UPDATE rigs SET towed = $3 WHERE boat_id = $1 AND id = $2', [
    boatId,
    rigId,
    JSON.stringify(towed),
  ]);
  return result.rowCount === 1;
}
