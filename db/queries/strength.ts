import type { StrengthSessionRecord, StrengthTestRecord } from '../../core/record/record';
import { STRENGTH_PULLS, STRENGTH_SESSIONS, STRENGTH_TESTS } from '../tables/measurements';
import { insertRow, type NewRowOf } from '../tables/table';
import type { Queryable } from '../withBoat';
import { standing } from './standing';

/** Every strength test of a boat with its standing pulls, oldest first. */
export async function listStrengthTests(db: Queryable, boatId: string): Promise<readonly StrengthTestRecord[]> {
  const tests = await db.query(
    `SELECT ${STRENGTH_TESTS.list} FROM strength_tests WHERE boat_id = $1 ORDER BY started_at`,
    [boatId],
  );
  const pulls = await db.query(
    `SELECT ${STRENGTH_PULLS.list} FROM strength_pulls
     WHERE boat_id = $1 AND ${standing('strength_pulls')} ORDER BY noted_at`,
    [boatId],
  );
  const read = pulls.rows.map(STRENGTH_PULLS.read);
  return tests.rows.map((row) => {
    const test = STRENGTH_TESTS.read(row);
    const ofTest = read.filter((pull) => pull.testId === test.id);
    return { ...test, pulls: ofTest.filter((pull) => !pull.heldOut), openPulls: ofTest.filter((pull) => pull.heldOut) };
  });
}

export function insertStrengthTest(
  db: Queryable,
  boatId: string,
  test: NewRowOf<typeof STRENGTH_TESTS.columns>,
): Promise<string> {
  return insertRow(db, boatId, STRENGTH_TESTS, test);
}

/** Keeps a pull; `correctsId` names the row that it stands for, where it was given to the wrong test or read wrongly. */
export function insertStrengthPull(
  db: Queryable,
  boatId: string,
  pull: NewRowOf<typeof STRENGTH_PULLS.columns>,
  correctsId: string | null = null,
): Promise<string> {
  return insertRow(db, boatId, STRENGTH_PULLS, pull, { id: correctsId });
}

/** The planned sessions of a boat, oldest first. */
export async function listStrengthSessions(db: Queryable, boatId: string): Promise<readonly StrengthSessionRecord[]> {
  const result = await db.query(
    `SELECT ${STRENGTH_SESSIONS.list} FROM strength_sessions WHERE boat_id = $1 ORDER BY planned_at`,
    [boatId],
  );
  return result.rows.map(STRENGTH_SESSIONS.read);
}

export function insertStrengthSession(
  db: Queryable,
  boatId: string,
  session: NewRowOf<typeof STRENGTH_SESSIONS.columns>,
): Promise<string> {
  return insertRow(db, boatId, STRENGTH_SESSIONS, session);
}
