import type { PersonRecord } from '../../core/record/crew';
import { onlyRow, type Queryable } from '../withBoat';

export interface BoatRow {
  readonly id: string;
  readonly name: string;
  readonly homeWater: string;
  readonly archivedAt: string | null;
}

interface Row {
  id: string;
  name: string;
  home_water: string;
  archived_at: string | null;
}

const toBoat = (row: Row): BoatRow => ({
  id: row.id,
  name: row.name,
  homeWater: row.home_water,
  archivedAt: row.archived_at,
});

export async function listBoats(db: Queryable): Promise<readonly BoatRow[]> {
  const result = await db.query<Row>('SELECT id, name, home_water, archived_at FROM boats ORDER BY created_at, name');
  return result.rows.map(toBoat);
}

export async function boatNameTaken(db: Queryable, name: string): Promise<boolean> {
  const result = await db.query('SELECT 1 FROM boats WHERE lower(name) = lower($1)', [name]);
  return result.rows.length > 0;
}

export async function insertBoat(db: Queryable, name: string, homeWater: string): Promise<string> {
  const result = await db.query<{ id: string }>(
    'INSERT INTO boats (name, home_water, created_at) VALUES ($1, $2, clock_timestamp()) RETURNING id',
    [name, homeWater],
  );
  return onlyRow(result).id;
}

export async function insertPerson(
  db: Queryable,
  boatId: string,
  name: string,
  hand: 'left' | 'right',
): Promise<string> {
  const result = await db.query<{ id: string }>(
    'INSERT INTO people (boat_id, name, working_hand) VALUES ($1, $2, $3) RETURNING id',
    [boatId, name, hand],
  );
  return onlyRow(result).id;
}

/** The crew of a boat, those who are put away among them. */
export async function listPeople(db: Queryable, boatId: string): Promise<readonly PersonRecord[]> {
  const result = await db.query<{
    id: string;
    name: string;
    working_hand: 'left' | 'right';
    archived_at: string | null;
  }>('SELECT id, name, working_hand, archived_at FROM people WHERE boat_id = $1 ORDER BY name', [boatId]);
  return result.rows.map((row) => ({
    id: row.id,
    name: row.name,
    hand: row.working_hand,
    archivedAt: row.archived_at,
  }));
}
