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

/** Keeps what the lure of a rig pulls, where it is still towed with that lure at that speed (m/s); false when it is not. */
export async function setLurePull(
  db: Queryable,
  boatId: string,
  rigId: string,
  { lure, speedMS, lurePullN }: { readonly lure: string; readonly speedMS: number; readonly lurePullN: number },
): Promise<boolean> {
  const result = await db.query(
    `UPDATE rigs SET towed = jsonb_set(towed, '{lurePullN}', to_jsonb($5::float8))
     WHERE boat_id = $1 AND id = $2 AND towed->>'lure' = $3 AND (towed->>'speedMS')::float8 = $4`,
    [boatId, rigId, lure, speedMS, lurePullN],
  );
  return result.rowCount === 1;
}
