import type { Queryable } from '../withTransaction';

/** The statement that withdraws a standing row of each kind of measurement: a copy that says so. */
const WITHDRAW = {
  winding: `INSERT INTO winding_entries (boat_id, load_id, segment_id, reading, metered_length_m, turns_counted, instrument, length_by_counter, note, corrects_id, withdrawn)
    SELECT boat_id, load_id, segment_id, reading, metered_length_m, turns_counted, instrument, length_by_counter, $3, id, true FROM winding_entries
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn`,
  trial: `INSERT INTO counter_trials (boat_id, load_id, kind, true_length_m, turns, between_flips, reading, stripped_before_m, instrument, corrects_id, withdrawn)
    SELECT boat_id, load_id, kind, true_length_m, turns, between_flips, reading, stripped_before_m, instrument, id, true FROM counter_trials
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND $3::text IS NOT NULL`,
  strengthPull: `INSERT INTO strength_pulls (boat_id, strength_test_id, peak_n, break_place, instrument, note, corrects_id, withdrawn)
    SELECT boat_id, strength_test_id, peak_n, break_place, instrument, $3, id, true FROM strength_pulls
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn`,
  dragPull: `INSERT INTO drag_pulls (boat_id, drag_setting_id, kind, moving_n, breakaway_n, setting_step, instrument, corrects_id, withdrawn)
    SELECT boat_id, drag_setting_id, kind, moving_n, breakaway_n, setting_step, instrument, id, true FROM drag_pulls
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND $3::text IS NOT NULL`,
  colour: `INSERT INTO colour_readings (boat_id, load_id, segment_id, colours_on, reading, instrument, corrects_id, withdrawn)
    SELECT boat_id, load_id, segment_id, colours_on, reading, instrument, id, true FROM colour_readings
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND $3::text IS NOT NULL`,
  reverseFill: `INSERT INTO reverse_fills (boat_id, reel_id, level_below_rim_m, even_tension, note, corrects_id, withdrawn)
    SELECT boat_id, reel_id, level_below_rim_m, even_tension, $3, id, true FROM reverse_fills
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn`,
  tie: `INSERT INTO join_ties (boat_id, join_id, person_id, school, seated_n, pull_tested, note, corrects_id, withdrawn)
    SELECT boat_id, join_id, person_id, school, seated_n, pull_tested, $3, id, true FROM join_ties
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn`,
  joinPull: `INSERT INTO join_pulls (boat_id, join_id, school, peak_n, weaker_n, broke_at, instrument, corrects_id, withdrawn)
    SELECT boat_id, join_id, school, peak_n, weaker_n, broke_at, instrument, id, true FROM join_pulls
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND $3::text IS NOT NULL`,
  lineMark: `INSERT INTO line_marks (boat_id, load_id, kind, looks, segment_id, from_inner_m, corrects_id, withdrawn)
    SELECT boat_id, load_id, kind, looks, segment_id, from_inner_m, id, true FROM line_marks
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND $3::text IS NOT NULL`,
  leverPoint: `INSERT INTO lever_points (boat_id, load_id, drag_setting_id, lever_position, preset_turns, force_n, instrument, corrects_id, withdrawn)
    SELECT boat_id, load_id, drag_setting_id, lever_position, preset_turns, force_n, instrument, id, true FROM lever_points
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND $3::text IS NOT NULL`,
  planerLook: `INSERT INTO planer_looks (boat_id, rig_id, planer, speed_m_s, holds_n, lever_position, heading, current, creep, is_set, instrument, corrects_id, withdrawn)
    SELECT boat_id, rig_id, planer, speed_m_s, holds_n, lever_position, heading, current, creep, is_set, instrument, id, true FROM planer_looks
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn AND $3::text IS NOT NULL`,
} as const;

export type MeasurementKind = keyof typeof WITHDRAW;

/** Withdraws one measurement by a new row; false when there is no such standing row on this boat. */
export async function withdrawMeasurement(
  db: Queryable,
  boatId: string,
  kind: MeasurementKind,
  id: string,
  reason: string,
): Promise<boolean> {
  const result = await db.query(WITHDRAW[kind], [boatId, id, reason]);
  return result.rowCount === 1;
}
