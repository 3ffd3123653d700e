import { readdir } from 'node:fs/promises';
import { Client } from 'pg';
import { windingInput } from '../../usecases/load/loadInput';
import { beginWinding, makeBoat, noteWinding, readRigRecord } from './acts';
import { addressOf, newDatabase } from '../cluster';
import { asOwner, closeDatabase, freshDatabase, migrate } from './database';
import { bench, must, type Bench } from './gear';

let one: Bench;
let other: Bench;
let loadId: string;

beforeAll(async () => {
  await freshDatabase();
  one = await bench('Halyard Lark');
  other = await bench('Second Thought');
  loadId = must(await beginWinding(one.boatId, one.rigId, { version: 2, levelBelowRimM: 0.002 })).loadId;
  const segmentId = one.stack.segments[0]?.id ?? '';
  must(await noteWinding(one.boatId, one.rigId, loadId, windingInput.parse({ segmentId, reading: 870 })));
});
afterAll(closeDatabase);

const sql = (text: string, values: unknown[] = []) => asOwner<Record<string, string>>(text, values);

describe('migrations', () => {
  it('go down to nothing and up again', async () => {
    const scratch = addressOf(await newDatabase(), 'owner');
    const all = await migrate(scratch, 'up');
    expect(all).toBeGreaterThan(14);
    expect(await migrate(scratch, 'down', all)).toBe(all);
    expect(await migrate(scratch, 'up')).toBe(all);
    expect(await migrate(scratch, 'up')).toBe(0);
  });

  it('take a lever pull along that was noted before pulls belonged to loads', async () => {
    const scratch = addressOf(await newDatabase(), 'owner');
    const named = (await readdir('db/migrations')).filter((name) => name.endsWith('.sql')).toSorted();
    const before = named.findIndex((name) => name.startsWith('0012'));
    await migrate(scratch, 'up', before);
    const client = new Client({ connectionString: scratch });
    await client.connect();
    try {
      await client.query(`
        WITH boat AS (INSERT INTO boats (name, home_water) VALUES ('Halyard Lark', '') RETURNING id),
        reel AS (INSERT INTO reels (boat_id, name, kind, arbor_diameter_m, width_m, full_diameter_m, dimension_sd_m,
            dimension_source, counter_kind, drag_kind)
          SELECT id, 'Reel', 'conventional', 0.03, 0.03, 0.06, 0.0002, 'measured', 'none', 'lever' FROM boat RETURNING id, boat_id),
        rig AS (INSERT INTO rigs (boat_id, reel_id, name) SELECT boat_id, id, 'Rod' FROM reel RETURNING id, boat_id),
        load AS (INSERT INTO loads (boat_id, rig_id, status, basis) SELECT boat_id, id, 'winding', '{}' FROM rig RETURNING id, boat_id, rig_id),
        setting AS (INSERT INTO drag_settings (boat_id, rig_id, load_id, fraction, strength_basis, target_n, rod_angle_rad, basis)
          SELECT boat_id, rig_id, id, 0.25, 'weakest', 20, 1, '{}' FROM load RETURNING id, boat_id)
        INSERT INTO lever_points (boat_id, drag_setting_id, lever_position, preset_turns, force_n)
          SELECT boat_id, id, 0.5, 0, 20 FROM setting`);
      await migrate(scratch, 'up');
      const points = await client.query('SELECT lever_points.load_id = loads.id AS kept FROM lever_points, loads');
      expect(points.rows).toEqual([{ kept: true }]);
    } finally {
      await client.end();
    }
  });

  it('give every table its boat', async () => {
    const tables = await sql(
      `SELECT table_name FROM information_schema.tables WHERE table_schema = 'public' AND table_name NOT IN ('migrations', 'boats')
       AND table_name NOT IN (SELECT table_name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'boat_id')`,
    );
    expect(tables.rows).toEqual([]);
  });
});

describe('measurements', () => {
  const MEASUREMENTS = [
    'agreed_lengths',
    'winding_entries',
    'level_readings',
    'line_changes',
    'counter_trials',
    'calibrations',
    'strength_tests',
    'strength_pulls',
    'drag_pulls',
    'lever_points',
    'log_entries',
    'former_rows',
    'reel_resets',
    'reverse_fills',
    'reverse_fill_segments',
    'colour_readings',
    'segment_replacements',
    'supply_debits',
    'join_ties',
    'cadence_drills',
    'slip_checks',
    'tie_photos',
    'join_pulls',
    'line_marks',
    'load_joins',
    'own_figures',
    'preset_acts',
    'planer_looks',
    'water_marks',
  ];

  it('cannot be changed or deleted, whoever asks', async () => {
    await expect(sql('UPDATE winding_entries SET reading = 1')).rejects.toThrow(/are measurements: add a correction/);
    await expect(sql('DELETE FROM winding_entries')).rejects.toThrow(/are measurements: add a correction/);
  });

  it('are guarded in every table of them', async () => {
    const guarded = await sql(
      `SELECT event_object_table AS name FROM information_schema.triggers WHERE trigger_name = 'append_only' GROUP BY 1 ORDER BY 1`,
    );
    expect(guarded.rows.map((row) => (row as { name: string }).name)).toEqual(MEASUREMENTS.toSorted());
  });

  it('are corrected by a new row, and the one before it counts no more', async () => {
    const entry = await sql('SELECT id, boat_id, load_id, segment_id FROM winding_entries LIMIT 1');
    const row = entry.rows[0] as { id: string; boat_id: string; load_id: string; segment_id: string };
    const correct = (reading: number) =>
      sql(
        `INSERT INTO winding_entries (boat_id, load_id, segment_id, reading, instrument, corrects_id) VALUES ($1, $2, $3, $4, 'eye', $5)`,
        [row.boat_id, row.load_id, row.segment_id, reading, row.id],
      );
    await correct(868);
    const record = await readRigRecord(one.boatId, one.rigId);
    expect(record?.load?.winding.map((each) => each.reading)).toEqual([868]);
  });
});

describe('what is written over', () => {
  it('keeps the row that it was, and says nothing of a version that moves on by itself', async () => {
    const kept = async () => {
      const rows = await sql(
        `SELECT of_table, was ->> 'name' AS name, was ->> 'note' AS note FROM former_rows WHERE row_id = $1 ORDER BY noted_at`,
        [other.rigId],
      );
      return rows.rows;
    };
    await sql('UPDATE rigs SET version = version + 1 WHERE id = $1', [other.rigId]);
    expect(await kept()).toEqual([]);
    const before = (await sql('SELECT name FROM rigs WHERE id = $1', [other.rigId])).rows[0]?.name;
    await sql("UPDATE rigs SET note = 'for the stern', version = version + 1 WHERE id = $1", [other.rigId]);
    await sql("UPDATE rigs SET note = '' WHERE id = $1", [other.rigId]);
    expect(await kept()).toEqual([
      { of_table: 'rigs', name: before, note: '' },
      { of_table: 'rigs', name: before, note: 'for the stern' },
    ]);
    await expect(sql('DELETE FROM former_rows')).rejects.toThrow(/are measurements/);
  });

  it('is kept by every table whose rows a person’s act changes or takes out', async () => {
    const keeping = await sql(
      "SELECT event_object_table AS name FROM information_schema.triggers WHERE trigger_name = 'keeps_former' GROUP BY 1",
    );
    const changed = await sql(
      `SELECT table_name AS name FROM information_schema.role_table_grants WHERE grantee = 'tidy_marlin_app'
       AND privilege_type IN ('UPDATE', 'DELETE') GROUP BY 1`,
    );
    const names = (rows: readonly Record<string, string>[]) => rows.map((row) => row.name ?? '').toSorted();
    // These are no records of what a person did.
    const others = ['boat_learning', 'once_keys', 'reel_learning', 'virtual_lines'];
    // Of boats only some columns may be changed, which these grants do not show.
    expect([...names(changed.rows), 'boats'].toSorted()).toEqual([...names(keeping.rows), ...others].toSorted());
  });
});

const SPARE_REEL = '00000000-0000-4000-8000-000000000001';

describe('constraints', () => {
  it.each([
    ['a reel fuller than empty', `UPDATE reels SET full_diameter_m = 0.02`],
    ['a 3 m arbor', `UPDATE reels SET arbor_diameter_m = 3`],
    ['a counter without a unit', `UPDATE reels SET counter_unit_m = NULL`],
    ['a line of negative thickness', `UPDATE line_products SET diameter_m = -0.0004`],
    ['a packing above one', `UPDATE line_products SET packing = 1.2`],
    ['a 40 km top shot', `UPDATE segments SET length_m = 40000`],
    ['two unknown lengths', `UPDATE segments SET length_m = NULL`],
    ['a hand-lined segment without length', `UPDATE segments SET wound = false WHERE length_m IS NULL`],
    ['a finished load that is not finished', `UPDATE loads SET finished_at = now()`],
    ['a material that does not exist', `UPDATE line_products SET material = 'spaghetti'`],
  ])('refuse %s', async (_, statement) => {
    await expect(sql(statement)).rejects.toThrow(/violates/);
  });

  it('refuse a row of one boat that points at another’s', async () => {
    await sql(
      'INSERT INTO reels SELECT (jsonb_populate_record(NULL::reels, to_jsonb(reels) || $2)).* FROM reels WHERE id = $1',
      [other.reelId, JSON.stringify({ id: SPARE_REEL })],
    );
    await expect(sql('UPDATE rigs SET reel_id = $1 WHERE boat_id = $2', [SPARE_REEL, one.boatId])).rejects.toThrow(
      /foreign key/,
    );
    await expect(sql('UPDATE rigs SET reel_id = $1 WHERE id = $2', [other.reelId, one.rigId])).rejects.toThrow(
      /rigs_one_a_reel/,
    );
    await expect(
      sql('UPDATE segments SET line_product_id = $1 WHERE boat_id = $2', [other.lineIds[0], one.boatId]),
    ).rejects.toThrow(/foreign key/);
  });

  it('refuse a second winding of one rig, and a boat’s name twice', async () => {
    await expect(
      sql(
        `INSERT INTO loads (boat_id, rig_id, reel_id, status, basis) SELECT $1, id, reel_id, 'winding', '{}' FROM rigs WHERE id = $2`,
        [one.boatId, one.rigId],
      ),
    ).rejects.toThrow(/loads_one_winding/);
    await expect(makeBoat('halyard LARK', '')).rejects.toThrow(/boats_name_once_an_owner/);
  });
});
