import type { Queryable } from '../withBoat';

/**
 * The statement that withdraws a standing row of each kind of measurement: a copy that says so. $1 boat, $2 row, $3 reason,
 * $4 rig: what belongs to a rig is withdrawn on that rig and no other.
 */
const WITHDRAW = {
  winding: `INSERT INTO winding_entries (boat_id, load_id, segment_id, reading, metered_length_m, turns_counted, instrument, length_by_counter, note, corrects_id, withdrawn)
    SELECT boat_id, load_id, segment_id, reading, metered_length_m, turns_counted, instrument, length_by_counter, $3, id, true FROM winding_entries
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND load_id IN (SELECT id FROM loads WHERE boat_id = $1 AND rig_id = $4)`,
  trial: `INSERT INTO counter_trials (boat_id, load_id, kind, true_length_m, turns, between_flips, reading, stripped_before_m, instrument, corrects_id, withdrawn)
    SELECT boat_id, load_id, kind, true_length_m, turns, between_flips, reading, stripped_before_m, instrument, id, true FROM counter_trials
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND load_id IN (SELECT id FROM loads WHERE boat_id = $1 AND rig_id = $4)`,
  strengthPull: `INSERT INTO strength_pulls (boat_id, strength_test_id, peak_n, break_place, instrument, note, corrects_id, withdrawn)
    SELECT boat_id, strength_test_id, peak_n, break_place, instrument, $3, id, true FROM strength_pulls
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn`,
  dragPull: `INSERT INTO drag_pulls (boat_id, drag_setting_id, kind, moving_n, breakaway_n, setting_step, instrument, corrects_id, withdrawn)
    SELECT boat_id, drag_setting_id, kind, moving_n, breakaway_n, setting_step, instrument, id, true FROM drag_pulls
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND drag_setting_id IN (SELECT id FROM drag_settings WHERE boat_id = $1 AND rig_id = $4)`,
  level: `INSERT INTO level_readings (boat_id, load_id, segment_id, level_below_rim_m, instrument, corrects_id, withdrawn)
    SELECT boat_id, load_id, segment_id, level_below_rim_m, instrument, id, true FROM level_readings
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND load_id IN (SELECT id FROM loads WHERE boat_id = $1 AND rig_id = $4)`,
  colour: `INSERT INTO colour_readings (boat_id, load_id, segment_id, colours_on, reading, instrument, corrects_id, withdrawn)
    SELECT boat_id, load_id, segment_id, colours_on, reading, instrument, id, true FROM colour_readings
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND load_id IN (SELECT id FROM loads WHERE boat_id = $1 AND rig_id = $4)`,
  reverseFill: `INSERT INTO reverse_fills (boat_id, reel_id, level_below_rim_m, even_tension, note, corrects_id, withdrawn)
    SELECT boat_id, reel_id, level_below_rim_m, even_tension, $3, id, true FROM reverse_fills
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn`,
  tie: `INSERT INTO join_ties (boat_id, join_id, person_id, school, seated_n, pull_tested, note, corrects_id, withdrawn)
    SELECT boat_id, join_id, person_id, school, seated_n, pull_tested, $3, id, true FROM join_ties
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND join_id IN (SELECT id FROM joins WHERE boat_id = $1 AND rig_id = $4)`,
  joinPull: `INSERT INTO join_pulls (boat_id, join_id, school, peak_n, weaker_n, broke_at, instrument, corrects_id, withdrawn)
    SELECT boat_id, join_id, school, peak_n, weaker_n, broke_at, instrument, id, true FROM join_pulls
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND join_id IN (SELECT id FROM joins WHERE boat_id = $1 AND rig_id = $4)`,
  lineMark: `INSERT INTO line_marks (boat_id, load_id, kind, looks, segment_id, from_inner_m, corrects_id, withdrawn)
    SELECT boat_id, load_id, kind, looks, segment_id, from_inner_m, id, true FROM line_marks
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND load_id IN (SELECT id FROM loads WHERE boat_id = $1 AND rig_id = $4)`,
  leverPoint: `INSERT INTO lever_points (boat_id, load_id, drag_setting_id, lever_position, preset_turns, force_n, instrument, corrects_id, withdrawn)
    SELECT boat_id, load_id, drag_setting_id, lever_position, preset_turns, force_n, instrument, id, true FROM lever_points
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND load_id IN (SELECT id FROM loads WHERE boat_id = $1 AND rig_id = $4)`,
  planerLook: `INSERT INTO planer_looks (boat_id, rig_id, planer, speed_m_s, holds_n, lever_position, heading, current, creep, is_set, instrument, corrects_id, withdrawn)
    SELECT boat_id, rig_id, planer, speed_m_s, holds_n, lever_position, heading, current, creep, is_set, instrument, id, true FROM planer_looks
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND rig_id = $4`,
} as const;

export type MeasurementKind = keyof typeof WITHDRAW;

/** Withdraws one measurement by a new row; false when there is no such standing row of that rig on this boat. */
export async function withdrawMeasurement(
  db: Queryable,
  boatId: string,
  kind: MeasurementKind,
  id: string,
  rigId: string,
  reason: string,
): Promise<boolean> {
  // Every statement takes the same four values, used or not.
  const result = await db.query(`${WITHDRAW[kind]} AND $3::text IS NOT NULL AND $4::uuid IS NOT NULL`, [
    boatId,
    id,
    reason,
    rigId,
  ]);
  return result.rowCount === 1;
}
