import type { SupplySpoolRecord } from '../../core/record/record';
import { onlyRow, type Queryable } from '../withBoat';

export async function listSupplySpools(db: Queryable, boatId: string): Promise<readonly SupplySpoolRecord[]> {
  const result = await db.query<{
    id: string;
    line_product_id: string;
    label: string;
    bought_length_m: number;
    remaining_length_m: number;
  }>('SELECT * FROM supply_spools WHERE boat_id = $1 ORDER BY label', [boatId]);
  return result.rows.map((row) => ({
    id: row.id,
    lineProductId: row.line_product_id,
    label: row.label,
    boughtLengthM: row.bought_length_m,
    remainingLengthM: row.remaining_length_m,
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
    `INSERT INTO supply_spools (boat_id, line_product_id, label, bought_length_m, remaining_length_m)
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
  const taken = await db.query(
    `UPDATE supply_spools SET remaining_length_m = remaining_length_m - $3, version = version + 1
     WHERE boat_id = $1 AND id = $2 AND remaining_length_m >= $3`,
    [boatId, debit.supplySpoolId, debit.lengthM],
  );
  if (taken.rowCount !== 1) return false;
  await db.query(
    'INSERT INTO supply_debits (boat_id, supply_spool_id, load_id, segment_id, length_m) VALUES ($1, $2, $3, $4, $5)',
    [boatId, debit.supplySpoolId, debit.loadId, debit.segmentId, debit.lengthM],
  );
  return true;
}
