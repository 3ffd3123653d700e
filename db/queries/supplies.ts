import type { SupplySpoolRecord } from '../../core/record/record';
import { onlyRow, type Queryable } from '../withBoat';
import { ofStandingAct } from './standing';

/** What is left on a spool (m): what was there, less what was taken by acts that stand. */
const REMAINING = `(length_before_debits_m - (SELECT coalesce(sum(length_m), 0) FROM supply_debits
  WHERE supply_debits.supply_spool_id = supply_spools.id AND ${ofStandingAct('supply_debits')}))`;

export async function listSupplySpools(db: Queryable, boatId: string): Promise<readonly SupplySpoolRecord[]> {
  const result = await db.query<{
    id: string;
    line_product_id: string;
    label: string;
    bought_length_m: number;
    remaining_length_m: number;
    archived_at: string | null;
  }>(
    `SELECT id, line_product_id, label, bought_length_m, greatest(0, ${REMAINING}) AS remaining_length_m, archived_at
     FROM supply_spools WHERE boat_id = $1 AND ${ofStandingAct('supply_spools')} ORDER BY label`,
    [boatId],
  );
  return result.rows.map((row) => ({
    id: row.id,
    lineProductId: row.line_product_id,
    label: row.label,
    boughtLengthM: row.bought_length_m,
    remainingLengthM: row.remaining_length_m,
    archivedAt: row.archived_at,
  }));
}

export async function insertSupplySpool(
  db: Queryable,
  boatId: string,
  spool: {
    readonly lineProductId: string;
    readonly label: string;
    readonly boughtLengthM: number;
    readonly remainingLengthM: number;
  },
): Promise<string> {
  const result = await db.query<{ id: string }>(
    `INSERT INTO supply_spools (boat_id, line_product_id, label, bought_length_m, length_before_debits_m)
     VALUES ($1, $2, $3, $4, $5) RETURNING id`,
    [boatId, spool.lineProductId, spool.label, spool.boughtLengthM, spool.remainingLengthM],
  );
  return onlyRow(result).id;
}

/**
 * Takes line from a supply spool; false when there is not so much left on it (another hand may have taken it).
 */
export async function debitSupplySpool(
  db: Queryable,
  boatId: string,
  debit: {
    readonly supplySpoolId: string;
    readonly loadId: string;
    readonly segmentId: string;
    readonly lengthM: number;
  },
): Promise<boolean> {
  await db.query('SELECT FROM supply_spools WHERE boat_id = $1 AND id = $2 FOR UPDATE', [boatId, debit.supplySpoolId]);
  const taken = await db.query(
    `INSERT INTO supply_debits (boat_id, supply_spool_id, load_id, segment_id, length_m)
     SELECT boat_id, id, $3, $4, $5 FROM supply_spools
     WHERE boat_id = $1 AND id = $2 AND ${REMAINING} >= $5`,
    [boatId, debit.supplySpoolId, debit.loadId, debit.segmentId, debit.lengthM],
  );
  return taken.rowCount === 1;
}

/** A spool from which more has been taken than was on it, or that came of an act which is undone; null when there is none. */
export async function findOverdrawnSpool(db: Queryable, boatId: string): Promise<string | null> {
  const found = await db.query<{ label: string }>(
    `SELECT label FROM supply_spools WHERE boat_id = $1 AND (${REMAINING} < -1e-6 OR (NOT ${ofStandingAct('supply_spools')} AND ${REMAINING} < length_before_debits_m)) LIMIT 1`,
    [boatId],
  );
  return found.rows[0]?.label ?? null;
}
