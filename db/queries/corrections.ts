import {
  COLOUR_READINGS,
  COUNTER_TRIALS,
  DRAG_PULLS,
  JOIN_PULLS,
  JOIN_TIES,
  LEVEL_READINGS,
  LEVER_POINTS,
  LINE_MARKS,
  PLANER_LOOKS,
  REVERSE_FILLS,
  STRENGTH_PULLS,
  WATER_MARKS,
  WINDING_ENTRIES,
} from '../tables/measurements';
import type { Queryable } from '../withBoat';
import { standing } from './standing';

/** To what a measurement belongs: it is withdrawn on the rig of that and on no other; a boat's own has no rig. */
const BELONGS = {
  load: 'AND load_id IN (SELECT id FROM loads WHERE boat_id = $1 AND rig_id = $4)',
  join: 'AND join_id IN (SELECT id FROM joins WHERE boat_id = $1 AND rig_id = $4)',
  setting: 'AND drag_setting_id IN (SELECT id FROM drag_settings WHERE boat_id = $1 AND rig_id = $4)',
  rig: 'AND rig_id = $4',
  boat: '',
} as const;

/** Measurements that can be taken back, each with the table that declares it. */
export const WITHDRAWABLE = {
  winding: { table: WINDING_ENTRIES, of: 'load' },
  level: { table: LEVEL_READINGS, of: 'load' },
  colour: { table: COLOUR_READINGS, of: 'load' },
  trial: { table: COUNTER_TRIALS, of: 'load' },
  lineMark: { table: LINE_MARKS, of: 'load' },
  leverPoint: { table: LEVER_POINTS, of: 'load' },
  tie: { table: JOIN_TIES, of: 'join' },
  joinPull: { table: JOIN_PULLS, of: 'join' },
  dragPull: { table: DRAG_PULLS, of: 'setting' },
  planerLook: { table: PLANER_LOOKS, of: 'rig' },
  waterMark: { table: WATER_MARKS, of: 'rig' },
  strengthPull: { table: STRENGTH_PULLS, of: 'boat' },
  reverseFill: { table: REVERSE_FILLS, of: 'boat' },
} as const;

export type MeasurementKind = keyof typeof WITHDRAWABLE;

/** Where the reason for a withdrawal stands, in a table that has room for one. */
const NOTE = 'note';

/** The statement that withdraws a standing row: a copy that says so. $1 boat, $2 row, $3 reason, $4 rig. */
function withdrawal({ table: { name, written }, of }: (typeof WITHDRAWABLE)[MeasurementKind]): string {
  const repeated = written.map((column) => (column === NOTE ? '$3' : column));
  // Every statement takes the same four values, used or not.
  return `INSERT INTO ${name} (boat_id, ${written.join(', ')}, corrects_id, withdrawn)
    SELECT boat_id, ${repeated.join(', ')}, id, true FROM ${name}
    WHERE boat_id = $1 AND id = $2 AND ${standing(name)} ${BELONGS[of]} AND $3::text IS NOT NULL AND $4::uuid IS NOT NULL`;
}

/** Measurements that may be held out until somebody has answered. */
export type AskedKind = 'trial' | 'strengthPull';

/** The statement that lets a held-out row count: a copy that says so. $1 boat, $2 row, $3 rig. */
function answer({ table: { name, written }, of }: (typeof WITHDRAWABLE)[AskedKind]): string {
  const repeated = written.map((column) => (column === 'held_out' ? 'false' : column));
  return `INSERT INTO ${name} (boat_id, ${written.join(', ')}, corrects_id)
    SELECT boat_id, ${repeated.join(', ')}, id FROM ${name}
    WHERE boat_id = $1 AND id = $2 AND held_out AND ${standing(name)} ${BELONGS[of].replace('$4', '$3')} AND $3::uuid IS NOT NULL`;
}

/** Lets a held-out measurement count as it was noted; false when there is no such one of that rig. */
export async function countHeldOut(
  db: Queryable,
  boatId: string,
  kind: AskedKind,
  id: string,
  rigId: string,
): Promise<boolean> {
  await db.query('SELECT pg_advisory_xact_lock(hashtextextended($1, 0))', [id]);
  const result = await db.query(answer(WITHDRAWABLE[kind]), [boatId, id, rigId]);
  return result.rowCount === 1;
}

/** Withdraws one measurement by a new row; false when there is no such standing row of that rig on this boat. */
export async function withdrawMeasurement(
  db: Queryable,
  boatId: string,
  kind: MeasurementKind,
  id: string,
  rigId: string,
  reason: string,
): Promise<boolean> {
  // What belongs to the whole boat is taken back by whoever comes first, from whichever rig.
  await db.query('SELECT pg_advisory_xact_lock(hashtextextended($1, 0))', [id]);
  const result = await db.query(withdrawal(WITHDRAWABLE[kind]), [boatId, id, reason, rigId]);
  return result.rowCount === 1;
}
