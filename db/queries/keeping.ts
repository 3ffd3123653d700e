import type { KeptPlanRecord, PlannedStack } from '../../core/record/record';
import type { Thing } from '../../core/record/things';
import { onlyRow, type Queryable } from '../withBoat';

/** The table of each kind of thing, the column of its name, and whether a form that changes it holds its version. */
const KEPT_IN: Readonly<Record<Thing, { readonly table: string; readonly name: string; readonly versioned: boolean }>> =
  {
    boat: { table: 'boats', name: 'name', versioned: false },
    person: { table: 'people', name: 'name', versioned: false },
    reel: { table: 'reels', name: 'name', versioned: true },
    line: { table: 'line_products', name: 'name', versioned: true },
    supply: { table: 'supply_spools', name: 'label', versioned: false },
    rig: { table: 'rigs', name: 'name', versioned: false },
    plan: { table: 'kept_plans', name: 'name', versioned: false },
  };

/** Only what belongs to the boat: a boat is its own. */
const ofBoat = (thing: Thing): string => (thing === 'boat' ? 'id = $1' : 'boat_id = $1');
const nextVersion = (thing: Thing): string => (KEPT_IN[thing].versioned ? ', version = version + 1' : '');

/** Calls a thing by another name; false when there is no such thing on the boat. */
export async function renameThing(
  db: Queryable,
  boatId: string,
  thing: Thing,
  id: string,
  name: string,
): Promise<boolean> {
  const { table, name: column } = KEPT_IN[thing];
  const result = await db.query(
    `UPDATE ${table} SET ${column} = $3${nextVersion(thing)} WHERE ${ofBoat(thing)} AND id = $2`,
    [boatId, id, name],
  );
  return result.rowCount === 1;
}

/** Puts a thing away, or brings it back; false when there is no such thing on the boat. */
export async function archiveThing(
  db: Queryable,
  boatId: string,
  thing: Thing,
  id: string,
  isAway: boolean,
): Promise<boolean> {
  const result = await db.query(
    `UPDATE ${KEPT_IN[thing].table} SET archived_at = CASE WHEN $3 THEN coalesce(archived_at, now()) END${nextVersion(thing)}
     WHERE ${ofBoat(thing)} AND id = $2`,
    [boatId, id, isAway],
  );
  return result.rowCount === 1;
}

/** Takes a thing out for good; false when it is not there, or something rests on it. */
export async function removeThing(db: Queryable, thing: Exclude<Thing, 'boat'>, id: string): Promise<boolean> {
  const result = await db.query<{ gone: boolean }>('SELECT remove_if_free($1, $2) AS gone', [KEPT_IN[thing].table, id]);
  return onlyRow(result).gone;
}

/** The plans that a boat keeps under a name, newest first. */
export async function listKeptPlans(db: Queryable, boatId: string): Promise<readonly KeptPlanRecord[]> {
  const result = await db.query<{ id: string; name: string; kept_at: string; stack: PlannedStack }>(
    'SELECT id, name, kept_at, stack FROM kept_plans WHERE boat_id = $1 AND archived_at IS NULL ORDER BY kept_at DESC',
    [boatId],
  );
  // Plans from before a place could hold several structures name what meets there alone.
  return result.rows.map(({ kept_at: at, stack, ...row }) => ({
    ...row,
    at,
    stack: { ...stack, joins: stack.joins.map((join) => ({ ...join, part: join.part ?? 'join' })) },
  }));
}

export async function insertKeptPlan(
  db: Queryable,
  boatId: string,
  name: string,
  stack: PlannedStack,
): Promise<string> {
  const result = await db.query<{ id: string }>(
    'INSERT INTO kept_plans (boat_id, name, stack) VALUES ($1, $2, $3) RETURNING id',
    [boatId, name, JSON.stringify(stack)],
  );
  return onlyRow(result).id;
}
