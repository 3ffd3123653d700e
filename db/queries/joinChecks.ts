import type { JoinBreakRecord } from '../../core/rig/record';
import type { Queryable } from '../withTransaction';
import { standing } from './standing';

export async function insertSlipCheck(
  db: Queryable,
  boatId: string,
  joinId: string,
  check: { readonly movedM: number; readonly pulledN: number | null },
): Promise<void> {
  await db.query('INSERT INTO slip_checks (boat_id, join_id, moved_m, pulled_n) VALUES ($1, $2, $3, $4)', [
    boatId,
    joinId,
    check.movedM,
    check.pulledN,
  ]);
}

/** Keeps a photo of a tie; false when there is no such tie on this boat. */
export async function insertTiePhoto(db: Queryable, boatId: string, tieId: string, jpeg: Buffer): Promise<boolean> {
  const result = await db.query(
    'INSERT INTO tie_photos (boat_id, tie_id, jpeg) SELECT boat_id, id, $3 FROM join_ties WHERE boat_id = $1 AND id = $2',
    [boatId, tieId, jpeg],
  );
  return result.rowCount === 1;
}

/** The newest photo of a tie, or null. */
export async function findTiePhoto(db: Queryable, boatId: string, tieId: string): Promise<Buffer | null> {
  const result = await db.query<{ jpeg: Buffer }>(
    'SELECT jpeg FROM tie_photos WHERE boat_id = $1 AND tie_id = $2 ORDER BY noted_at DESC LIMIT 1',
    [boatId, tieId],
  );
  return result.rows[0]?.jpeg ?? null;
}

/** Pulls of a rig's joins to the break, oldest first. */
export async function listJoinBreaks(
  db: Queryable,
  boatId: string,
  rigId: string,
): Promise<readonly (JoinBreakRecord & { readonly joinId: string })[]> {
  const result = await db.query<{
    id: string;
    join_id: string;
    school: string | null;
    peak_n: number;
    weaker_n: number;
    broke_at: JoinBreakRecord['brokeAt'];
    instrument: string;
    noted_at: string;
  }>(
    `SELECT join_pulls.* FROM join_pulls JOIN joins ON joins.id = join_id AND joins.boat_id = join_pulls.boat_id
     WHERE join_pulls.boat_id = $1 AND rig_id = $2 AND ${standing('join_pulls')} ORDER BY noted_at`,
    [boatId, rigId],
  );
  return result.rows.map((row) => ({
    id: row.id,
    joinId: row.join_id,
    school: row.school,
    peakN: row.peak_n,
    weakerN: row.weaker_n,
    brokeAt: row.broke_at,
    instrument: row.instrument,
    at: row.noted_at,
  }));
}

export async function insertJoinBreak(
  db: Queryable,
  boatId: string,
  joinId: string,
  pull: Omit<JoinBreakRecord, 'id' | 'at'>,
): Promise<void> {
  await db.query(
    `INSERT INTO join_pulls (boat_id, join_id, school, peak_n, weaker_n, broke_at, instrument)
     VALUES ($1, $2, $3, $4, $5, $6, $7)`,
    [boatId, joinId, pull.school, pull.peakN, pull.weakerN, pull.brokeAt, pull.instrument],
  );
}
