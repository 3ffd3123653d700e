import type { Guides } from '../../core/drag/guideFactor';
import type { PlannedFill } from '../../core/load/fillTarget';
import type { TowedAs } from '../../core/record/tow';
import type { SaidReach } from '../../core/record/reach';
import type { DragAim, SegmentRecord, SegmentRole } from '../../core/record/record';
import type { RodPosition } from '../../core/record/rodPosition';
import { onlyRow, type Queryable } from '../withBoat';
import type { OfRig } from './standing';

export interface RigRow {
  readonly id: string;
  readonly reelId: string;
  readonly name: string;
  readonly note: string;
  readonly hangM: number | null;
  readonly workingRange: { readonly fromM: number; readonly toM: number } | null;
  readonly guides: Guides | null;
  /** Where its rod stands on the boat; null while nobody has said. */
  readonly rodPosition: RodPosition | null;
  /** The smallest opening that a join has to pass (m); null while nobody has measured it. */
  readonly smallestOpeningM: number | null;
  readonly reach: SaidReach | null;
  readonly meantPlaceId: string | null;
  readonly fill: PlannedFill | null;
  /** Since when it has been on this reel, and on this rod, where it was moved; null: from the beginning. */
  readonly reelSince: string | null;
  readonly rodSince: string | null;
  readonly archivedAt: string | null;
  readonly dragAim: DragAim | null;
  /** How it is towed; null while nobody has said. */
  readonly towed: TowedAs | null;
  readonly version: number;
}

interface Row {
  id: string;
  reel_id: string;
  name: string;
  note: string;
  hang_m: number | null;
  working_from_m: number | null;
  working_to_m: number | null;
  reach_kind: SaidReach['kind'] | null;
  reach_run_m: number | null;
  guide_kind: Guides['kind'] | null;
  guide_count: number | null;
  rod_position: RodPosition | null;
  smallest_opening_m: number | null;
  meant_place_id: string | null;
  fill: PlannedFill | null;
  reel_since: string | null;
  rod_since: string | null;
  archived_at: string | null;
  drag_aim: DragAim | null;
  towed: TowedAs | null;
  version: number;
}

const COLUMNS =
  'id, reel_id, name, note, hang_m, working_from_m, working_to_m, reach_kind, reach_run_m, guide_kind, guide_count, rod_position, smallest_opening_m, meant_place_id, fill, reel_since, rod_since, archived_at, drag_aim, towed, version';

const toRig = (row: Row): RigRow => ({
  id: row.id,
  reelId: row.reel_id,
  name: row.name,
  note: row.note,
  hangM: row.hang_m,
  workingRange:
    row.working_from_m === null || row.working_to_m === null
      ? null
      : { fromM: row.working_from_m, toM: row.working_to_m },
  reach: row.reach_kind === null ? null : { kind: row.reach_kind, runM: row.reach_run_m },
  guides: row.guide_kind === null || row.guide_count === null ? null : { kind: row.guide_kind, count: row.guide_count },
  rodPosition: row.rod_position,
  smallestOpeningM: row.smallest_opening_m,
  meantPlaceId: row.meant_place_id,
  fill: row.fill,
  reelSince: row.reel_since,
  rodSince: row.rod_since,
  archivedAt: row.archived_at,
  dragAim: row.drag_aim,
  towed: row.towed,
  version: row.version,
});

export async function listRigs(db: Queryable, boatId: string): Promise<readonly RigRow[]> {
  const result = await db.query<Row>(
    `SELECT ${COLUMNS} FROM rigs WHERE boat_id = $1 AND archived_at IS NULL ORDER BY locker_order, name`,
    [boatId],
  );
  return result.rows.map(toRig);
}

/** The rig that is in use on a reel, or null. */
export async function rigOnReel(
  db: Queryable,
  boatId: string,
  reelId: string,
): Promise<{ readonly id: string; readonly name: string } | null> {
  const result = await db.query<{ id: string; name: string }>(
    'SELECT id, name FROM rigs WHERE boat_id = $1 AND reel_id = $2 AND archived_at IS NULL',
    [boatId, reelId],
  );
  return result.rows[0] ?? null;
}

/** The rigs of a boat that are put away, the last one first. */
export async function listRigsPutAway(
  db: Queryable,
  boatId: string,
): Promise<readonly { readonly id: string; readonly name: string }[]> {
  const result = await db.query<{ id: string; name: string }>(
    'SELECT id, name FROM rigs WHERE boat_id = $1 AND archived_at IS NOT NULL ORDER BY archived_at DESC',
    [boatId],
  );
  return result.rows;
}

/** Locks a rig until the transaction ends, so that writes on it follow each other; null when there is no such rig. */
export async function lockRig(db: Queryable, boatId: string, rigId: string): Promise<RigRow | null> {
  const result = await db.query<Row>(`SELECT ${COLUMNS} FROM rigs WHERE boat_id = $1 AND id = $2 FOR UPDATE`, [
    boatId,
    rigId,
  ]);
  return result.rows[0] ? toRig(result.rows[0]) : null;
}

/** A page of a boat's rigs in the order of the locker, and how many there are; `find` looks in names, notes aside. */
export async function listRigPage(
  db: Queryable,
  boatId: string,
  page: { readonly find: string; readonly offset: number; readonly limit: number },
): Promise<{ readonly rigs: readonly RigRow[]; readonly total: number }> {
  const result = await db.query<Row & { total: string }>(
    `SELECT ${COLUMNS}, count(*) OVER () AS total FROM rigs
     WHERE boat_id = $1 AND archived_at IS NULL AND ($2 = '' OR strpos(lower(name), lower($2)) > 0)
     ORDER BY locker_order, name LIMIT $3 OFFSET $4`,
    [boatId, page.find, page.limit, page.offset],
  );
  return { rigs: result.rows.map(toRig), total: Number(result.rows[0]?.total ?? 0) };
}

export async function findRig(db: Queryable, boatId: string, rigId: string): Promise<RigRow | null> {
  const result = await db.query<Row>(`SELECT ${COLUMNS} FROM rigs WHERE boat_id = $1 AND id = $2`, [boatId, rigId]);
  return result.rows[0] ? toRig(result.rows[0]) : null;
}

export async function insertRig(
  db: Queryable,
  boatId: string,
  rig: { readonly reelId: string; readonly name: string; readonly note: string; readonly lockerOrder: number },
): Promise<string> {
  const result = await db.query<{ id: string }>(
    'INSERT INTO rigs (boat_id, reel_id, name, note, locker_order) VALUES ($1, $2, $3, $4, $5) RETURNING id',
    [boatId, rig.reelId, rig.name, rig.note, rig.lockerOrder],
  );
  return onlyRow(result).id;
}

/** Keeps where the fill of a rig's plan is to end. */
export async function keepFill(db: Queryable, boatId: string, rigId: string, fill: PlannedFill | null): Promise<void> {
  await db.query('UPDATE rigs SET fill = $3 WHERE boat_id = $1 AND id = $2', [
    boatId,
    rigId,
    fill && JSON.stringify(fill),
  ]);
}

/** Moves a rig on from the version that was read; false when somebody else has written since. */
export async function advanceRigVersion(
  db: Queryable,
  boatId: string,
  rigId: string,
  version: number,
): Promise<boolean> {
  const result = await db.query(
    'UPDATE rigs SET version = version + 1 WHERE boat_id = $1 AND id = $2 AND version = $3',
    [boatId, rigId, version],
  );
  return result.rowCount === 1;
}

interface SegmentRow {
  rig_id: string;
  id: string;
  name: string;
  role: SegmentRole;
  line_product_id: string;
  length_m: number | null;
  length_known: boolean;
  wound: boolean;
  colours: string[];
  colour_length_m: number | null;
  purpose: SegmentRecord['purpose'];
}

/** The present stacks of several rigs, each from the arbor outwards. */
export async function listSegments(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
): Promise<readonly OfRig<SegmentRecord>[]> {
  const result = await db.query<SegmentRow>(
    `SELECT rig_id, id, name, role, line_product_id, length_m, length_known, wound, colours,
       colour_length_m, purpose FROM segments
     WHERE boat_id = $1 AND rig_id = ANY($2) AND removed_at IS NULL ORDER BY position`,
    [boatId, rigIds],
  );
  return result.rows.map((row) => ({
    rigId: row.rig_id,
    id: row.id,
    name: row.name,
    role: row.role,
    productId: row.line_product_id,
    lengthM: row.length_m,
    lengthKnown: row.length_known,
    wound: row.wound,
    colours: row.colours,
    colourLengthM: row.colour_length_m,
    purpose: row.purpose,
  }));
}

/** Takes every segment and join of a rig out of the present stack; loads keep pointing at them. */
export async function clearStack(db: Queryable, boatId: string, rigId: string): Promise<void> {
  await db.query('UPDATE joins SET removed_at = now() WHERE boat_id = $1 AND rig_id = $2 AND removed_at IS NULL', [
    boatId,
    rigId,
  ]);
  await db.query('UPDATE segments SET removed_at = now() WHERE boat_id = $1 AND rig_id = $2 AND removed_at IS NULL', [
    boatId,
    rigId,
  ]);
}

/** Puts a segment into the present stack, new or back again under its own id; false when another rig has that id. */
export async function placeSegment(
  db: Queryable,
  boatId: string,
  rigId: string,
  position: number,
  segment: SegmentRecord,
): Promise<boolean> {
  const result = await db.query(
    `INSERT INTO segments (id, boat_id, rig_id, line_product_id, position, name, role, length_m, length_known, wound, colours,
       colour_length_m, purpose)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13)
     ON CONFLICT (boat_id, id) DO UPDATE SET line_product_id = $4, position = $5, name = $6, role = $7, length_m = $8,
       length_known = $9, wound = $10, colours = $11, colour_length_m = $12, purpose = $13, removed_at = NULL
     WHERE segments.rig_id = $3`,
    [
      segment.id,
      boatId,
      rigId,
      segment.productId,
      position,
      segment.name,
      segment.role,
      segment.lengthM,
      segment.lengthKnown,
      segment.wound,
      segment.colours,
      segment.colourLengthM,
      segment.purpose,
    ],
  );
  return result.rowCount === 1;
}

/** Moves a rig to a reel: what is in force on the reel begins now. What hung from the tip stays as it was. */
export async function moveToReel(db: Queryable, boatId: string, rigId: string, reelId: string): Promise<void> {
  await db.query(
    'UPDATE rigs SET reel_id = $3, reel_since = clock_timestamp(), version = version + 1 WHERE boat_id = $1 AND id = $2',
    [boatId, rigId, reelId],
  );
}

/** Notes that reel and line of a rig are on another rod from now on, and what that rod is called. */
export async function changeRod(db: Queryable, boatId: string, rigId: string, name: string): Promise<void> {
  await db.query(
    'UPDATE rigs SET name = $3, rod_since = clock_timestamp(), hang_m = NULL WHERE boat_id = $1 AND id = $2',
    [boatId, rigId, name],
  );
}
