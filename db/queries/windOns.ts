import type { Queryable } from '../withBoat';
import { onlyRow } from '../withBoat';
import { ofStandingAct, standing } from './standing';

/** A ready leader, and the rig on which it is now. */
export interface WindOnRow {
  readonly id: string;
  readonly name: string;
  readonly productId: string;
  readonly lengthM: number;
  readonly madeBy: string | null;
  readonly madeAt: string;
  readonly onRig: { readonly id: string; readonly name: string } | null;
}

/** The ready leaders of a boat that are still in use. */
export async function listWindOns(db: Queryable, boatId: string): Promise<readonly WindOnRow[]> {
  const result = await db.query<{
    id: string;
    name: string;
    line_product_id: string;
    length_m: number;
    person: string | null;
    made_at: string;
    rig_id: string | null;
    rig_name: string | null;
  }>(
    `SELECT wind_ons.id, wind_ons.name, wind_ons.line_product_id, wind_ons.length_m, people.name AS person, made_at,
       on_rig.id AS rig_id, on_rig.name AS rig_name
     FROM wind_ons
     LEFT JOIN people ON people.id = made_by AND people.boat_id = wind_ons.boat_id
     LEFT JOIN LATERAL (
       SELECT rigs.id, rigs.name FROM segment_replacements
       JOIN loads ON loads.id = segment_replacements.load_id
       JOIN rigs ON rigs.id = loads.rig_id
       WHERE wind_on_id = wind_ons.id AND ${standing('segment_replacements')}
         AND NOT EXISTS (SELECT FROM loads AS newer WHERE newer.rig_id = loads.rig_id AND newer.started_at > loads.started_at
           AND ${ofStandingAct('newer')})
         AND NOT EXISTS (
           SELECT FROM segment_replacements AS later WHERE later.load_id = segment_replacements.load_id
             AND later.segment_id = segment_replacements.segment_id AND later.noted_at > segment_replacements.noted_at
             AND ${ofStandingAct('later')})
       LIMIT 1
     ) on_rig ON true
     WHERE wind_ons.boat_id = $1 AND retired_at IS NULL ORDER BY wind_ons.name`,
    [boatId],
  );
  return result.rows.map((row) => ({
    id: row.id,
    name: row.name,
    productId: row.line_product_id,
    lengthM: row.length_m,
    madeBy: row.person,
    madeAt: row.made_at,
    onRig: row.rig_id !== null && row.rig_name !== null ? { id: row.rig_id, name: row.rig_name } : null,
  }));
}

export async function insertWindOn(
  db: Queryable,
  boatId: string,
  windOn: {
    readonly name: string;
    readonly productId: string;
    readonly lengthM: number;
    readonly personId: string | null;
  },
): Promise<string> {
  const result = await db.query<{ id: string }>(
    'INSERT INTO wind_ons (boat_id, name, line_product_id, length_m, made_by) VALUES ($1, $2, $3, $4, $5) RETURNING id',
    [boatId, windOn.name, windOn.productId, windOn.lengthM, windOn.personId],
  );
  return onlyRow(result).id;
}

/** Notes how long a ready leader is when it comes off a rig. */
export async function setWindOnLength(db: Queryable, boatId: string, id: string, lengthM: number): Promise<void> {
  await db.query('UPDATE wind_ons SET length_m = $3 WHERE boat_id = $1 AND id = $2', [boatId, id, lengthM]);
}

/** Takes a ready leader out of use; false when there is none such. Its history stays. */
export async function retireWindOn(db: Queryable, boatId: string, id: string): Promise<boolean> {
  const result = await db.query(
    'UPDATE wind_ons SET retired_at = now() WHERE boat_id = $1 AND id = $2 AND retired_at IS NULL',
    [boatId, id],
  );
  return result.rowCount === 1;
}
