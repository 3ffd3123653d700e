import type { Column, RowOf, Table } from '../tables/table';
import type { Queryable } from '../withBoat';

/** Rows that stand: not withdrawn, and no later row corrects them. */
export function standing(table: string): string {
  return `NOT withdrawn AND NOT EXISTS (SELECT 1 FROM ${table} later WHERE later.corrects_id = ${table}.id)`;
}

/**
 * The standing rows of several loads, rigs, settings or whatever they belong to, oldest first.
 *
 * @param of the column that says to what a row belongs
 */
export async function listStanding<C extends Readonly<Record<string, Column<unknown>>>>(
  db: Queryable,
  boatId: string,
  { name, list, read }: Table<C>,
  of: 'load_id' | 'rig_id' | 'drag_setting_id',
  ids: readonly string[],
): Promise<readonly RowOf<C>[]> {
  const result = await db.query(
    `SELECT ${list} FROM ${name} WHERE boat_id = $1 AND ${of} = ANY($2) AND ${standing(name)} ORDER BY noted_at`,
    [boatId, ids],
  );
  return result.rows.map(read);
}

/** A row with the load that it belongs to. */
export type OfLoad<T> = T & { readonly loadId: string };

/** A row with the rig that it belongs to. */
export type OfRig<T> = T & { readonly rigId: string };
