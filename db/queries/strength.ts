import type { PullRecord, StrengthSessionRecord, StrengthTestRecord } from '../../core/rig/record';
import { onlyRow, type Queryable } from '../withBoat';
import { standing } from './standing';

interface TestRow {
  id: string;
  session_id: string | null;
  line_product_id: string;
  condition: StrengthTestRecord['condition'];
  gauge_length_m: number;
  expected_n: number;
  sample_label: string;
  started_at: string;
}

/** Every strength test of a boat with its standing pulls, oldest first. */
export async function listStrengthTests(db: Queryable, boatId: string): Promise<readonly StrengthTestRecord[]> {
  const tests = await db.query<TestRow>(
    `SELECT id, session_id, line_product_id, condition, gauge_length_m, expected_n, sample_label, started_at
     FROM strength_tests WHERE boat_id = $1 ORDER BY started_at`,
    [boatId],
  );
  const pulls = await db.query<{
    id: string;
    strength_test_id: string;
    peak_n: number;
    break_place: PullRecord['breakPlace'];
    instrument: string;
    note: string;
    noted_at: string;
  }>(
    `SELECT id, strength_test_id, peak_n, break_place, instrument, note, noted_at FROM strength_pulls
     WHERE boat_id = $1 AND ${standing('strength_pulls')} ORDER BY noted_at`,
    [boatId],
  );
  return tests.rows.map((test) => ({
    id: test.id,
    sessionId: test.session_id,
    productId: test.line_product_id,
    condition: test.condition,
    gaugeLengthM: test.gauge_length_m,
    expectedN: test.expected_n,
    sampleLabel: test.sample_label,
    at: test.started_at,
    pulls: pulls.rows
      .filter((pull) => pull.strength_test_id === test.id)
      .map((pull) => ({
        id: pull.id,
        peakN: pull.peak_n,
        breakPlace: pull.break_place,
        instrument: pull.instrument,
        note: pull.note,
        at: pull.noted_at,
      })),
  }));
}

export async function insertStrengthTest(
  db: Queryable,
  boatId: string,
  test: Omit<StrengthTestRecord, 'id' | 'at' | 'pulls'>,
): Promise<string> {
  const result = await db.query<{ id: string }>(
    `INSERT INTO strength_tests (boat_id, line_product_id, condition, gauge_length_m, expected_n, sample_label, session_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7) RETURNING id`,
    [boatId, test.productId, test.condition, test.gaugeLengthM, test.expectedN, test.sampleLabel, test.sessionId],
  );
  return onlyRow(result).id;
}

export async function insertStrengthPull(
  db: Queryable,
  boatId: string,
  testId: string,
  pull: Omit<PullRecord, 'id' | 'at'> & { readonly correctsId: string | null },
): Promise<void> {
  await db.query(
    `INSERT INTO strength_pulls (boat_id, strength_test_id, peak_n, break_place, instrument, note, corrects_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7)`,
    [boatId, testId, pull.peakN, pull.breakPlace, pull.instrument, pull.note, pull.correctsId],
  );
}

/** The planned sessions of a boat, oldest first. */
export async function listStrengthSessions(db: Queryable, boatId: string): Promise<readonly StrengthSessionRecord[]> {
  const result = await db.query<{ id: string; name: string; pulls_each: number; planned_at: string }>(
    'SELECT id, name, pulls_each, planned_at FROM strength_sessions WHERE boat_id = $1 ORDER BY planned_at',
    [boatId],
  );
  return result.rows.map((row) => ({ id: row.id, name: row.name, pullsEach: row.pulls_each, at: row.planned_at }));
}

export async function insertStrengthSession(
  db: Queryable,
  boatId: string,
  session: Omit<StrengthSessionRecord, 'id' | 'at'>,
): Promise<string> {
  const result = await db.query<{ id: string }>(
    'INSERT INTO strength_sessions (boat_id, name, pulls_each) VALUES ($1, $2, $3) RETURNING id',
    [boatId, session.name, session.pullsEach],
  );
  return onlyRow(result).id;
}
