import type { Queryable } from '../withBoat';

/** To what a measurement belongs: it is withdrawn on the rig of that and on no other; a boat's own has no rig. */
const BELONGS = {
  load: 'AND load_id IN (SELECT id FROM loads WHERE boat_id = $1 AND rig_id = $4)',
  join: 'AND join_id IN (SELECT id FROM joins WHERE boat_id = $1 AND rig_id = $4)',
  setting: 'AND drag_setting_id IN (SELECT id FROM drag_settings WHERE boat_id = $1 AND rig_id = $4)',
  rig: 'AND rig_id = $4',
  boat: '',
} as const;

interface Withdrawable {
  readonly table: string;
  readonly of: keyof typeof BELONGS;
  /** Every column that says what was measured: a withdrawal repeats them. A test holds this list against the table. */
  readonly columns: string;
  /** True where the reason has a column of its own to stand in. */
  readonly keepsReason: boolean;
}

/** Measurements that can be taken back. A new column of one of them is a migration and a word here. */
export const WITHDRAWABLE = {
  winding: {
    table: 'winding_entries',
    of: 'load',
    columns: 'load_id, segment_id, reading, metered_length_m, turns_counted, instrument, length_by_counter',
    keepsReason: true,
  },
  level: {
    table: 'level_readings',
    of: 'load',
    columns: 'load_id, segment_id, level_below_rim_m, instrument',
    keepsReason: false,
  },
  colour: {
    table: 'colour_readings',
    of: 'load',
    columns: 'load_id, segment_id, colours_on, reading, instrument',
    keepsReason: false,
  },
  trial: {
    table: 'counter_trials',
    of: 'load',
    columns: 'load_id, kind, true_length_m, turns, between_flips, reading, stripped_before_m, instrument',
    keepsReason: false,
  },
  lineMark: {
    table: 'line_marks',
    of: 'load',
    columns: 'load_id, kind, looks, segment_id, from_inner_m',
    keepsReason: false,
  },
  leverPoint: {
    table: 'lever_points',
    of: 'load',
    columns: 'load_id, drag_setting_id, lever_position, preset_turns, force_n, instrument',
    keepsReason: false,
  },
  tie: {
    table: 'join_ties',
    of: 'join',
    columns: 'join_id, person_id, school, seated_n, pull_tested',
    keepsReason: true,
  },
  joinPull: {
    table: 'join_pulls',
    of: 'join',
    columns: 'join_id, school, peak_n, weaker_n, broke_at, instrument',
    keepsReason: false,
  },
  dragPull: {
    table: 'drag_pulls',
    of: 'setting',
    columns: 'drag_setting_id, kind, moving_n, breakaway_n, setting_step, instrument',
    keepsReason: false,
  },
  planerLook: {
    table: 'planer_looks',
    of: 'rig',
    columns: 'rig_id, planer, speed_m_s, holds_n, lever_position, heading, current, creep, is_set, instrument',
    keepsReason: false,
  },
  strengthPull: {
    table: 'strength_pulls',
    of: 'boat',
    columns: 'strength_test_id, peak_n, break_place, instrument',
    keepsReason: true,
  },
  reverseFill: {
    table: 'reverse_fills',
    of: 'boat',
    columns: 'reel_id, level_below_rim_m, even_tension',
    keepsReason: true,
  },
} as const satisfies Record<string, Withdrawable>;

export type MeasurementKind = keyof typeof WITHDRAWABLE;

/** The statement that withdraws a standing row: a copy that says so. $1 boat, $2 row, $3 reason, $4 rig. */
function withdrawal({ table, of, columns, keepsReason }: Withdrawable): string {
  const [note, reason] = keepsReason ? [', note', ', $3'] : ['', ''];
  // Every statement takes the same four values, used or not.
  return `INSERT INTO ${table} (boat_id, ${columns}${note}, corrects_id, withdrawn)
    SELECT boat_id, ${columns}${reason}, id, true FROM ${table}
    WHERE boat_id = $1 AND id = $2 AND NOT withdrawn ${BELONGS[of]} AND $3::text IS NOT NULL AND $4::uuid IS NOT NULL`;
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
  const result = await db.query(withdrawal(WITHDRAWABLE[kind]), [boatId, id, reason, rigId]);
  return result.rowCount === 1;
}
