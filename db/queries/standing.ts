/** Rows that stand: not withdrawn, and no later row corrects them. */
export function standing(table: string): string {
  return `NOT withdrawn AND NOT EXISTS (SELECT 1 FROM ${table} later WHERE later.corrects_id = ${table}.id)`;
}

/** A row with the load that it belongs to. */
export type OfLoad<T> = T & { readonly loadId: string };

/** A row with the rig that it belongs to. */
export type OfRig<T> = T & { readonly rigId: string };
