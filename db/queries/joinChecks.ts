import type { JoinKind } from '../../core/joins/joinKinds';
import type { BoatJoinBreakRecord } from '../../core/record/record';
import type { BoatDb, Queryable } from '../withBoat';
import { JOIN_PULLS, SLIP_CHECKS } from '../tables/measurements';
import { insertRow, type NewRowOf } from '../tables/table';
import { standing } from './standing';

export function insertSlipCheck(
  db: Queryable,
  boatId: string,
  check: NewRowOf<typeof SLIP_CHECKS.columns>,
): Promise<string> {
  return insertRow(db, boatId, SLIP_CHECKS, check);
}

/** Keeps a photo of a tie; false when there is no such tie on this boat. */
export async function insertTiePhoto(db: Queryable, boatId: string, tieId: string, jpeg: Buffer): Promise<boolean> {
  const result = await db.query(
    'INSERT INTO tie_photos (boat_id, tie_id, jpeg) SELECT boat_id, id, $3 FROM join_ties WHERE boat_id = $1 AND id = $2',
    [boatId, tieId, jpeg],
  );
  return result.rowCount === 1;
}

/** What the photos of a boat take (bytes). */
export async function photoBytes(db: BoatDb): Promise<number> {
  const result = await db.query<{ bytes: string }>(
    'SELECT coalesce(sum(octet_length(jpeg)), 0) AS bytes FROM tie_photos WHERE boat_id = $1',
    [db.boatId],
  );
  return Number(result.rows[0]?.bytes ?? 0);
}

/** The newest photo of a tie, or null. */
export async function findTiePhoto(db: Queryable, boatId: string, tieId: string): Promise<Buffer | null> {
  const result = await db.query<{ jpeg: Buffer }>(
    'SELECT jpeg FROM tie_photos WHERE boat_id = $1 AND tie_id = $2 ORDER BY noted_at DESC LIMIT 1',
    [boatId, tieId],
  );
  return result.rows[0]?.jpeg ?? null;
}

/** Every join of a boat pulled to the break, oldest first, with the two lines that met. */
export async function listJoinBreaks(
  db: Queryable,
  boatId: string,
): Promise<readonly (BoatJoinBreakRecord & { readonly joinId: string })[]> {
  const result = await db.query<{ kind: JoinKind; lines: string }>(
    `SELECT ${JOIN_PULLS.fullList}, joins.kind, concat_ws(' to ', inner_line.name, outer_line.name) AS lines
     FROM join_pulls
     JOIN joins ON joins.id = join_id AND joins.boat_id = join_pulls.boat_id
     JOIN segments outer_segment ON outer_segment.id = outer_segment_id AND outer_segment.boat_id = joins.boat_id
     JOIN line_products outer_line ON outer_line.id = outer_segment.line_product_id
     LEFT JOIN segments inner_segment ON inner_segment.id = inner_segment_id AND inner_segment.boat_id = joins.boat_id
     LEFT JOIN line_products inner_line ON inner_line.id = inner_segment.line_product_id
     WHERE join_pulls.boat_id = $1 AND ${standing('join_pulls')} ORDER BY join_pulls.noted_at`,
    [boatId],
  );
  return result.rows.map((row) => ({ ...JOIN_PULLS.read(row), kind: row.kind, lines: row.lines }));
}

export function insertJoinBreak(
  db: Queryable,
  boatId: string,
  pull: NewRowOf<typeof JOIN_PULLS.columns>,
): Promise<string> {
  return insertRow(db, boatId, JOIN_PULLS, pull);
}
