import { randomBytes } from 'node:crypto';
import { Client } from 'pg';
import { insertBoat } from '../../db/queries/boats';
import { reader } from '../../db/withTransaction';
import { windingInput } from '../../usecases/load/loadInput';
import { beginWinding, noteWinding } from '../../usecases/load/winding';
import { closeDatabase, freshDatabase, migrate } from './database';
import { bench, must, type Bench } from './gear';

let url: string;
let one: Bench;
let other: Bench;
let loadId: string;

beforeAll(async () => {
  url = await freshDatabase();
  one = await bench('Halyard Lark');
  other = await bench('Second Thought');
  loadId = must(await beginWinding(one.boatId, one.rigId, { version: 2, levelBelowRimM: 0.002 })).loadId;
  const segmentId = one.stack.segments[0]?.id ?? '';
  must(await noteWinding(one.boatId, one.rigId, loadId, windingInput.parse({ segmentId, reading: 870 })));
});
afterAll(closeDatabase);

const sql = (text: string, values: unknown[] = []) => reader().query(text, values);

describe('migrations', () => {
  it('go down to nothing and up again', async () => {
    const scratch = await freshScratch();
    expect(await migrate(scratch, 'down', 12)).toBe(12);
    expect(await migrate(scratch, 'up')).toBe(12);
    expect(await migrate(scratch, 'up')).toBe(0);
  });

  it('give every table its boat', async () => {
    const tables = await sql(
      `SELECT table_name FROM information_schema.tables WHERE table_schema = 'public' AND table_name NOT IN ('migrations', 'boats')
       AND table_name NOT IN (SELECT table_name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'boat_id')`,
    );
    expect(tables.rows).toEqual([]);
  });
});

async function freshScratch(): Promise<string> {
  const admin = new Client({ connectionString: url });
  await admin.connect();
  const name = `test_scratch_${randomBytes(4).toString('hex')}`;
  await admin.query(`CREATE DATABASE ${admin.escapeIdentifier(name)}`);
  await admin.end();
  const scratch = new URL(url);
  scratch.pathname = `/${name}`;
  await migrate(scratch.href, 'up');
  return scratch.href;
}

describe('measurements', () => {
  const MEASUREMENTS = [
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
    'preset_acts',
    'planer_looks',
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

  it('are corrected by a new row, once', async () => {
    const entry = await sql('SELECT id, boat_id, load_id, segment_id FROM winding_entries LIMIT 1');
    const row = entry.rows[0] as { id: string; boat_id: string; load_id: string; segment_id: string };
    const correct = (reading: number) =>
      sql(
        `INSERT INTO winding_entries (boat_id, load_id, segment_id, reading, instrument, corrects_id) VALUES ($1, $2, $3, $4, 'eye', $5)`,
        [row.boat_id, row.load_id, row.segment_id, reading, row.id],
      );
    await correct(868);
    await expect(correct(867)).rejects.toThrow(/corrected_once/);
  });
});

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
    await expect(sql('UPDATE rigs SET reel_id = $1 WHERE boat_id = $2', [other.reelId, one.boatId])).rejects.toThrow(
      /foreign key/,
    );
    await expect(
      sql('UPDATE segments SET line_product_id = $1 WHERE boat_id = $2', [other.lineIds[0], one.boatId]),
    ).rejects.toThrow(/foreign key/);
  });

  it('refuse a second winding of one rig, and a boat’s name twice', async () => {
    await expect(
      sql(`INSERT INTO loads (boat_id, rig_id, status, basis) VALUES ($1, $2, 'winding', '{}')`, [
        one.boatId,
        one.rigId,
      ]),
    ).rejects.toThrow(/loads_one_winding/);
    await expect(insertBoat(reader(), 'halyard LARK', '')).rejects.toThrow(/boats_name_once/);
  });
});
