import { randomUUID } from 'node:crypto';
import { Client } from 'pg';
import { NOBODY, withBoat } from '../../db/withBoat';
import { windingInput } from '../../usecases/load/loadInput';
import { addPerson, beginWinding, noteWinding, readRigRecord } from './acts';
import { addressOf } from '../cluster';
import { asOwner, closeDatabase, freshDatabase } from './database';
import { bench, must, type Bench } from './gear';

/** A session of the application's own role that somebody else steers: what row security must hold by itself. */
let hostile: Client;
let mine: Bench;
let theirs: Bench;

beforeAll(async () => {
  const name = await freshDatabase();
  mine = await bench('Halyard Lark');
  theirs = await bench('Second Thought');
  for (const boat of [mine, theirs]) {
    const begun = must(await beginWinding(boat.boatId, boat.rigId, { version: 2, levelBelowRimM: 0.002 }));
    const segmentId = boat.stack.segments[0]?.id ?? '';
    const note = windingInput.parse({ segmentId, reading: 870 });
    must(await noteWinding(boat.boatId, boat.rigId, begun.loadId, note));
  }
  hostile = new Client({ connectionString: addressOf(name, 'app') });
  await hostile.connect();
});
afterAll(async () => {
  await hostile.end();
  await closeDatabase();
});

const steer = async (boatId: string): Promise<void> => {
  await hostile.query("SELECT set_config('tidy_marlin.boat', $1, false)", [boatId]);
};

async function boatTables(): Promise<readonly string[]> {
  const found = await asOwner<{ table_name: string }>(
    "SELECT table_name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'boat_id' ORDER BY 1",
  );
  return found.rows.map((row) => row.table_name);
}

describe('the application’s role', () => {
  it('is no superuser, passes by no row security, makes no roles and owns nothing', async () => {
    const role = await asOwner(
      'SELECT rolsuper, rolbypassrls, rolcreaterole, rolcreatedb FROM pg_roles WHERE rolname = $1',
      ['tidy_marlin_app'],
    );
    expect(role.rows).toEqual([{ rolsuper: false, rolbypassrls: false, rolcreaterole: false, rolcreatedb: false }]);
    const owned = await asOwner("SELECT FROM pg_class WHERE relowner = 'tidy_marlin_app'::regrole");
    expect(owned.rows).toEqual([]);
  });

  it('stands under row security on every table of boats, forced on the owner too', async () => {
    const open = await asOwner(
      `SELECT relname FROM pg_class WHERE relnamespace = 'public'::regnamespace AND relname = ANY($1)
       AND NOT (relrowsecurity AND relforcerowsecurity AND EXISTS (SELECT FROM pg_policy WHERE polrelid = pg_class.oid))`,
      [await boatTables()],
    );
    expect(open.rows).toEqual([]);
    expect((await boatTables()).length).toBeGreaterThan(30);
  });
});

describe('a session that somebody else steers', () => {
  it('sees no row of any boat while it names none', async () => {
    await steer('');
    for (const table of await boatTables()) {
      const seen = await hostile.query(`SELECT FROM ${table} LIMIT 1`);
      expect([table, seen.rowCount]).toEqual([table, 0]);
    }
  });

  it('sees, changes, deletes and adds nothing of another boat', async () => {
    await steer(mine.boatId);
    for (const table of await boatTables()) {
      const seen = await hostile.query(`SELECT FROM ${table} WHERE boat_id = $1`, [theirs.boatId]);
      expect([table, seen.rowCount]).toEqual([table, 0]);
    }
    const changed = await hostile.query('UPDATE rigs SET name = $1 WHERE id = $2', ['mine now', theirs.rigId]);
    expect(changed.rowCount).toBe(0);
    await expect(hostile.query('UPDATE rigs SET boat_id = $1', [theirs.boatId])).rejects.toThrow(/row-level security/);
    await expect(
      hostile.query("INSERT INTO people (boat_id, name) VALUES ($1, 'a stranger')", [theirs.boatId]),
    ).rejects.toThrow(/row-level security/);
    const renamed = await hostile.query("UPDATE boats SET name = 'mine now' WHERE id <> $1", [mine.boatId]);
    expect(renamed.rowCount).toBe(0);
    const removed = await hostile.query<{ gone: boolean }>("SELECT remove_if_free('reels', $1) AS gone", [
      theirs.reelId,
    ]);
    expect(removed.rows).toEqual([{ gone: false }]);
    await expect(hostile.query('DELETE FROM rigs')).rejects.toThrow(/permission denied/);
  });

  it('cannot change or take away a measurement of its own boat, nor the boats, nor its own rights', async () => {
    await steer(mine.boatId);
    for (const statement of [
      'UPDATE winding_entries SET reading = 1',
      'DELETE FROM winding_entries',
      'TRUNCATE winding_entries CASCADE',
      'ALTER TABLE winding_entries DISABLE TRIGGER append_only',
      'ALTER TABLE rigs DISABLE ROW LEVEL SECURITY',
      'DELETE FROM boats',
      'UPDATE boats SET created_at = now()',
      'ALTER ROLE tidy_marlin_app BYPASSRLS',
      'SET ROLE tidy_marlin_owner',
      'DROP TABLE rigs',
    ]) {
      await expect(hostile.query(statement)).rejects.toThrow(/permission denied|must be owner|must be superuser/);
    }
  });
});

describe('withBoat', () => {
  it('shows one snapshot to a reader, who cannot write', async () => {
    await withBoat(NOBODY, mine.boatId, 'read', async (db) => {
      const before = await db.query('SELECT FROM people');
      must(await addPerson(mine.boatId, { name: 'Wren', hand: 'left' }));
      expect((await db.query('SELECT FROM people')).rowCount).toBe(before.rowCount);
    });
    await expect(
      withBoat(NOBODY, mine.boatId, 'read', (db) => db.query('UPDATE rigs SET note = $1', ['x'])),
    ).rejects.toThrow(/read-only/);
  });

  it('keeps nothing of work that throws or refuses, and shows the first error', async () => {
    const note = (text: string) =>
      withBoat(NOBODY, mine.boatId, 'write', async (db) => {
        await db.query('UPDATE rigs SET note = $1', [text]);
        if (text === 'refused') return { ok: false as const };
        await db.query('SELECT 1 / 0');
        return { ok: true as const };
      });
    await expect(note('thrown')).rejects.toThrow(/division by zero/);
    expect(await note('refused')).toEqual({ ok: false });
    expect((await readRigRecord(mine.boatId, mine.rigId))?.note).toBe('');
  });

  it('ends with the one who asked', async () => {
    const gone = new AbortController();
    const work = withBoat(
      NOBODY,
      mine.boatId,
      'read',
      async (db) => {
        gone.abort();
        await db.query('SELECT pg_sleep(5)');
      },
      gone.signal,
    );
    await expect(work).rejects.toThrow(/abort/i);
  });

  it('notes who is at the bench; a stranger is nobody', async () => {
    const { id } = must(await addPerson(mine.boatId, { name: 'Finch', hand: 'right' }));
    const stranger = must(await addPerson(theirs.boatId, { name: 'Rook', hand: 'right' })).id;
    const note = async (personId: string): Promise<string | null> => {
      const entry = await withBoat({ personId }, mine.boatId, 'write', (db) =>
        db.query<{ noted_by: string | null }>(
          "INSERT INTO log_entries (boat_id, rig_id, topic, reason, figures) VALUES ($1, $2, 'note', 'noted', '{}') RETURNING noted_by",
          [mine.boatId, mine.rigId],
        ),
      );
      return entry.rows[0]?.noted_by ?? null;
    };
    expect(await note(id)).toBe(id);
    expect(await note(stranger)).toBeNull();
    expect(await note(randomUUID())).toBeNull();
    expect((await readRigRecord(mine.boatId, mine.rigId))?.log.map((entry) => entry.person)).toContain('Finch');
  });
});
