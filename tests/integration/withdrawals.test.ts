import { loadDemo } from '../../demo/loadDemo';
import { capeTorrin } from '../../demo/capeTorrin';
import { ormundSound } from '../../demo/ormundSound';
import * as MEASUREMENTS from '../../db/tables/measurements';
import { WITHDRAWABLE, type MeasurementKind } from '../../db/queries/corrections';
import { withdraw } from './acts';
import { asOwner, closeDatabase, freshDatabase } from './database';
import { must } from './gear';

beforeAll(async () => {
  await freshDatabase();
  await loadDemo([ormundSound, capeTorrin]);
}, 120_000);
afterAll(closeDatabase);

/** What the database keeps by itself. */
const KEPT_BY_DATABASE = ['noted_by', 'corrects_id', 'withdrawn', 'act_id'];

/** What a withdrawal is its own in; all else it repeats. */
const ITS_OWN = [...KEPT_BY_DATABASE, 'id', 'noted_at', 'note'];

const KINDS = Object.keys(WITHDRAWABLE) as MeasurementKind[];

/** The rig on which a row is taken back. */
const RIG_OF = {
  load: '(SELECT rig_id FROM loads WHERE id = row.load_id)',
  join: '(SELECT rig_id FROM joins WHERE id = row.join_id)',
  setting: '(SELECT rig_id FROM drag_settings WHERE id = row.drag_setting_id)',
  rig: 'row.rig_id',
  boat: '(SELECT id FROM rigs WHERE boat_id = row.boat_id LIMIT 1)',
} as const;

/** A standing row of each kind; where the demo has none, one is made with a value in every column. */
async function rowOf(kind: MeasurementKind) {
  const {
    table: { name: table },
    of,
  } = WITHDRAWABLE[kind];
  const found = await asOwner<{ row: Record<string, unknown>; rig_id: string }>(
    `SELECT to_jsonb(row) AS row, ${RIG_OF[of]} AS rig_id FROM ${table} row
     WHERE NOT withdrawn AND NOT EXISTS (SELECT FROM ${table} later WHERE later.corrects_id = row.id) LIMIT 1`,
  );
  return found.rows[0];
}

const MADE: Partial<Record<MeasurementKind, string>> = {
  colour: `INSERT INTO colour_readings (boat_id, load_id, segment_id, colours_on, reading, instrument)
    SELECT boat_id, load_id, segment_id, 1, 990, 'eye' FROM load_segments WHERE colours <> '{}' LIMIT 1`,
  joinPull: `INSERT INTO join_pulls (boat_id, join_id, school, peak_n, weaker_n, broke_at, instrument)
    SELECT boat_id, id, 'any', 80, 100, 'join', 'gauge' FROM joins WHERE removed_at IS NULL LIMIT 1`,
  reverseFill: `INSERT INTO reverse_fills (boat_id, reel_id, level_below_rim_m, even_tension, note)
    SELECT boat_id, id, 0.002, true, 'filled' FROM reels LIMIT 1`,
};

describe('a measurement that is taken back', () => {
  it.each(KINDS)('%s: is repeated in every column, once, on its own rig only', async (kind) => {
    const { name: table } = WITHDRAWABLE[kind].table;
    if (!(await rowOf(kind)) && MADE[kind]) await asOwner(MADE[kind]);
    const found = await rowOf(kind);
    if (!found) throw new Error(`there is no ${kind} to take back`);
    const [id, boatId] = [String(found.row.id), String(found.row.boat_id)];
    const other = await asOwner<{ id: string }>('SELECT id FROM rigs WHERE boat_id = $1 AND id <> $2 LIMIT 1', [
      boatId,
      found.rig_id,
    ]);
    if (WITHDRAWABLE[kind].of !== 'boat') {
      const elsewhere = { kind, id, rigId: other.rows[0]?.id ?? '', reason: 'tried' };
      expect(await withdraw(boatId, elsewhere)).toMatchObject({ status: 404 });
    }
    must(await withdraw(boatId, { kind, id, rigId: found.rig_id, reason: 'tried' }));
    const copy = await asOwner<{ row: Record<string, unknown> }>(
      `SELECT to_jsonb(row) AS row FROM ${table} row WHERE corrects_id = $1`,
      [id],
    );
    expect(copy.rows).toHaveLength(1);
    const withdrawn = copy.rows[0]?.row ?? {};
    expect(withdrawn).toMatchObject({ corrects_id: id, withdrawn: true });
    for (const [column, value] of Object.entries(found.row)) {
      if (!ITS_OWN.includes(column)) expect([column, withdrawn[column]]).toEqual([column, value]);
    }
    expect(await withdraw(boatId, { kind, id, rigId: found.rig_id, reason: 'again' })).toMatchObject({ status: 404 });
  });

  it('can be of every table that keeps withdrawals, or is one whose taking back has its reason to wait', async () => {
    const tables = await asOwner<{ table_name: string }>(
      "SELECT table_name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'withdrawn' ORDER BY 1",
    );
    const named = new Set<string>(Object.values(WITHDRAWABLE).map(({ table }) => table.name));
    // Lost line, a replaced segment and a slip check are undone by the next one that is noted.
    expect(tables.rows.map((row) => row.table_name).filter((name) => !named.has(name))).toEqual([
      'line_changes',
      'segment_replacements',
      'slip_checks',
    ]);
  });

  it.each(Object.values(MEASUREMENTS))('$name declares every column that its table has', async ({ name, list }) => {
    const has = await asOwner<{ column_name: string }>(
      'SELECT column_name FROM information_schema.columns WHERE table_name = $1',
      [name],
    );
    const declared = new Set<string>([...list.split(', '), 'boat_id', ...KEPT_BY_DATABASE]);
    expect(has.rows.map((row) => row.column_name).filter((column) => !declared.has(column))).toEqual([]);
  });
});
