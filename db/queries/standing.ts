import type { Column, RowOf, Table } from '../tables/table';
import type { Queryable } from '../withBoat';

/** Rows whose act stands: it was not undone, or it is from before acts were kept. */
export function ofStandingAct(table: string): string {
  return `NOT EXISTS (SELECT FROM acts WHERE acts.boat_id = ${table}.boat_id AND acts.id = ${table}.act_id AND acts.undone_by IS NOT NULL)`;
}

/** Rows that no later row corrects; one whose act was undone corrects nothing. */
export function uncorrected(table: string): string {
  return `${ofStandingAct(table)}
    AND NOT EXISTS (SELECT FROM ${table} later WHERE later.corrects_id = ${table}.id AND ${ofStandingAct('later')})`;
}

/** Rows that stand: not withdrawn, not undone, and no later row corrects them. */
export function standing(table: string): string {
  return `NOT ${table}.withdrawn AND ${uncorrected(table)}`;
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
