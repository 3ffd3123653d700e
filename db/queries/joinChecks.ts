import type { Queryable } from '../withTransaction';

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
