import type { Basis } from '../../core/provenance/basis';
import type { LoadRecord, LoadSegmentRecord } from '../../core/record/record';
import { LOAD_SEGMENTS } from '../tables/measurements';
import { insertRow, type NewRowOf } from '../tables/table';
import { onlyRow, type Queryable } from '../withBoat';
import { listLineChanges, listReplacements } from './lineChanges';
import { ofStandingAct, type OfLoad, type OfRig } from './standing';
import { listColourReadings, listLevels, listWindingEntries } from './windingLog';

export interface LoadRow {
  id: string;
  status: LoadRecord['status'] | 'abandoned';
  started_at: string;
  finished_at: string | null;
  basis: Basis;
  version: number;
}

/**
 * The newest load of each of several rigs with all that belongs to it. An abandoned winding leaves a spool of
 * which nothing is known, so the loads before it do not count either.
 */
export async function listNewestLoads(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
  notes: LoadNotes = 'all',
): Promise<readonly OfRig<LoadRecord>[]> {
  const loads = await db.query<LoadRow & { rig_id: string }>(
    `SELECT DISTINCT ON (rig_id) rig_id, id, status, started_at, finished_at, basis, version FROM loads
     WHERE boat_id = $1 AND rig_id = ANY($2) AND ${ofStandingAct('loads')} ORDER BY rig_id, started_at DESC`,
    [boatId, rigIds],
  );
  const rows = loads.rows.filter((load) => load.status !== 'abandoned');
  const records = await readLoads(db, boatId, rows, notes);
  return records.map((record, index) => ({ ...record, rigId: rows[index]?.rig_id ?? '' }));
}

/** What of a load is read: its winding log alone, or everything that was noted of it. */
export type LoadNotes = 'winding' | 'all';

/** All that belongs to several loads, in their order, with one statement a table. */
export async function readLoads(
  db: Queryable,
  boatId: string,
  loads: readonly LoadRow[],
  notes: LoadNotes = 'all',
): Promise<readonly LoadRecord[]> {
  if (loads.length === 0) return [];
  const all = notes === 'all';
  const ids = loads.map((load) => load.id);
  const [segments, winding, levels, changes, colourReadings, replacements] = await Promise.all([
    listLoadSegments(db, boatId, ids),
    listWindingEntries(db, boatId, ids),
    all ? listLevels(db, boatId, ids) : [],
    all ? listLineChanges(db, boatId, ids) : [],
    all ? listColourReadings(db, boatId, ids) : [],
    all ? listReplacements(db, boatId, ids) : [],
  ]);
  return loads.map((load): LoadRecord => {
    const of = <T>(rows: readonly OfLoad<T>[]): readonly T[] => rows.filter((row) => row.loadId === load.id);
    const ofSegments = of(segments);
    const ofLevels = of(levels);
    const last = ofSegments.findLast((segment) => segment.wound)?.segmentId;
    return {
      id: load.id,
      status: load.status === 'abandoned' ? 'winding' : load.status,
      startedAt: load.started_at,
      finishedAt: load.finished_at,
      levelBelowRimM:
        load.status === 'wound'
          ? (ofLevels.findLast((level) => level.segmentId === last)?.levelBelowRimM ?? null)
          : null,
      basis: load.basis,
      version: load.version,
      segments: ofSegments,
      winding: of(winding),
      levels: ofLevels,
      changes: of(changes),
      colourReadings: of(colourReadings),
      replacements: of(replacements),
    };
  });
}

async function listLoadSegments(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<LoadSegmentRecord>[]> {
  const result = await db.query(
    `SELECT ${LOAD_SEGMENTS.list} FROM load_segments WHERE boat_id = $1 AND load_id = ANY($2) ORDER BY position`,
    [boatId, loadIds],
  );
  return result.rows.map(LOAD_SEGMENTS.read);
}

export async function insertLoad(db: Queryable, boatId: string, rigId: string, basis: Basis): Promise<string> {
  const result = await db.query<{ id: string }>(
    "INSERT INTO loads (boat_id, rig_id, status, basis, started_at) VALUES ($1, $2, 'winding', $3, clock_timestamp()) RETURNING id",
    [boatId, rigId, JSON.stringify(basis)],
  );
  return onlyRow(result).id;
}

export function insertLoadSegment(
  db: Queryable,
  boatId: string,
  segment: NewRowOf<typeof LOAD_SEGMENTS.columns>,
): Promise<string> {
  return insertRow(db, boatId, LOAD_SEGMENTS, segment);
}

/** Marks a load as wound, over the version that was read; false when somebody else has written since. */
export async function finishLoad(db: Queryable, boatId: string, loadId: string, version: number): Promise<boolean> {
  const result = await db.query(
    `UPDATE loads SET status = 'wound', finished_at = clock_timestamp(), version = version + 1
     WHERE boat_id = $1 AND id = $2 AND version = $3 AND status = 'winding'`,
    [boatId, loadId, version],
  );
  return result.rowCount === 1;
}

/** Gives up a winding; false when it is not being wound any more, or on another rig. */
export async function abandonLoad(db: Queryable, boatId: string, rigId: string, loadId: string): Promise<boolean> {
  const result = await db.query(
    `UPDATE loads SET status = 'abandoned', version = version + 1
     WHERE boat_id = $1 AND rig_id = $2 AND id = $3 AND status = 'winding'`,
    [boatId, rigId, loadId],
  );
  return result.rowCount === 1;
}
