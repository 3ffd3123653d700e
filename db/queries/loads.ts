import type { Basis } from '../../core/provenance/basis';
import type { LoadRecord, LoadSegmentRecord } from '../../core/record/record';
import { AGREED_LENGTHS, LOAD_SEGMENTS } from '../tables/measurements';
import { insertRow, type NewRowOf } from '../tables/table';
import { onlyRow, type Queryable } from '../withBoat';
import { listLineChanges, listReplacements } from './lineChanges';
import { ofStandingAct, type OfLoad, type OfRig } from './standing';
import { listColourReadings, listLevels, listWindingEntries } from './windingLog';

export interface LoadRow {
  id: string;
  status: LoadRecord['status'] | 'abandoned' | 'cancelled';
  started_at: string;
  finished_at: string | null;
  basis: Basis;
  version: number;
  act_id: string | null;
  laid_by: LoadRecord['laidBy'];
  tension_n: number | null;
  shims: number | null;
}

/** A load, and whether an end of it was ever noted: then the line before it is off, even where that note was taken back. */
type LoadOnRow = LoadRow & { rig_id: string; is_begun: boolean };

/**
 * The loads of several rigs that are on or going on, each with all that belongs to it: of every rig the newest one, and, where
 * nothing of that one is on yet, the one before it too, newest first. An abandoned winding leaves a spool of which nothing is
 * known, so the loads before it do not count either; nor do those from before the rig was moved to the reel that it is on.
 */
export async function listLoadsOn(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
  notes: LoadNotes = 'all',
): Promise<readonly OfRig<LoadRecord>[]> {
  const loads = await db.query<LoadOnRow>(
    `SELECT rig_id, id, status, started_at, finished_at, basis, version, act_id, laid_by, tension_n, shims,
       EXISTS (SELECT FROM winding_entries WHERE load_id = newest.id AND ${ofStandingAct('winding_entries')}) AS is_begun
     FROM (
       SELECT loads.*, row_number() OVER (PARTITION BY rig_id ORDER BY started_at DESC) AS age
       FROM loads JOIN rigs ON rigs.boat_id = loads.boat_id AND rigs.id = loads.rig_id
       WHERE loads.boat_id = $1 AND rig_id = ANY($2) AND status <> 'cancelled' AND ${ofStandingAct('loads')}
         AND started_at >= coalesce(reel_since, '-infinity')
     ) newest WHERE age <= 2 ORDER BY rig_id, started_at DESC`,
    [boatId, rigIds],
  );
  const rows = loads.rows.filter((load, index) => {
    const newer = loads.rows[index - 1];
    if (load.status === 'abandoned') return false;
    return newer?.rig_id !== load.rig_id || (newer.status === 'winding' && !newer.is_begun && load.status === 'wound');
  });
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
      status: load.status === 'wound' ? 'wound' : 'winding',
      startedAt: load.started_at,
      finishedAt: load.finished_at,
      levelBelowRimM:
        load.status === 'wound'
          ? (ofLevels.findLast((level) => level.segmentId === last)?.levelBelowRimM ?? null)
          : null,
      basis: load.basis,
      version: load.version,
      begunBy: load.act_id,
      laidBy: load.laid_by,
      tensionN: load.tension_n,
      shims: load.shims,
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
  const result = await db.query<{ agreed_m: number | null }>(
    `SELECT ${LOAD_SEGMENTS.list}, (
       SELECT length_m FROM agreed_lengths WHERE agreed_lengths.load_id = load_segments.load_id
         AND agreed_lengths.segment_id = load_segments.segment_id AND ${ofStandingAct('agreed_lengths')}
       ORDER BY noted_at DESC LIMIT 1) AS agreed_m
     FROM load_segments WHERE boat_id = $1 AND load_id = ANY($2) ORDER BY position`,
    [boatId, loadIds],
  );
  return result.rows.map((row) => {
    const planned = LOAD_SEGMENTS.read(row);
    const { plannedLengthM, plannedTurns } = planned;
    if (row.agreed_m === null) return { ...planned, agreedFromM: null };
    // Turns only unwrap what a counter showed: as many more as there is more line.
    const turns = (plannedTurns * row.agreed_m) / plannedLengthM;
    return { ...planned, plannedLengthM: row.agreed_m, plannedTurns: turns, agreedFromM: plannedLengthM };
  });
}

export async function insertLoad(db: Queryable, boatId: string, rigId: string, basis: Basis): Promise<string> {
  const result = await db.query<{ id: string }>(
    "INSERT INTO loads (boat_id, rig_id, reel_id, status, basis, started_at) SELECT boat_id, id, reel_id, 'winding', $3, clock_timestamp() FROM rigs WHERE boat_id = $1 AND id = $2 RETURNING id",
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

/** Marks a load as wound, and how it was laid on, over the version that was read; false when somebody else has written since. */
export async function finishLoad(
  db: Queryable,
  boatId: string,
  loadId: string,
  version: number,
  how: Pick<LoadRecord, 'laidBy' | 'tensionN' | 'shims'>,
): Promise<boolean> {
  const result = await db.query(
    `UPDATE loads SET status = 'wound', finished_at = clock_timestamp(), laid_by = $4, tension_n = $5, shims = $6,
       version = version + 1
     WHERE boat_id = $1 AND id = $2 AND version = $3 AND status = 'winding'`,
    [boatId, loadId, version, how.laidBy, how.tensionN, how.shims],
  );
  return result.rowCount === 1;
}

/**
 * Ends a winding: 'abandoned' leaves an empty spool, 'cancelled' what was on before. False when it is not being wound any more,
 * or on another rig.
 */
export async function endWinding(
  db: Queryable,
  boatId: string,
  rigId: string,
  loadId: string,
  as: 'abandoned' | 'cancelled',
): Promise<boolean> {
  const result = await db.query(
    `UPDATE loads SET status = $4, version = version + 1
     WHERE boat_id = $1 AND rig_id = $2 AND id = $3 AND status = 'winding'`,
    [boatId, rigId, loadId, as],
  );
  return result.rowCount === 1;
}

/** Keeps a length that a person agreed to change while winding. */
export function insertAgreedLength(
  db: Queryable,
  boatId: string,
  agreed: NewRowOf<typeof AGREED_LENGTHS.columns>,
): Promise<string> {
  return insertRow(db, boatId, AGREED_LENGTHS, agreed);
}

/** Notes which join a load has at one place. */
export async function insertLoadJoin(
  db: Queryable,
  boatId: string,
  loadId: string,
  join: { readonly id: string; readonly outerSegmentId: string },
): Promise<void> {
  await db.query('INSERT INTO load_joins (boat_id, load_id, outer_segment_id, join_id) VALUES ($1, $2, $3, $4)', [
    boatId,
    loadId,
    join.outerSegmentId,
    join.id,
  ]);
}

/** The joins of several loads: of each place what meets there, and what its ends were made. */
export async function listLoadJoins(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<{ readonly joinId: string }>[]> {
  const result = await db.query<{ load_id: string; join_id: string }>(
    `SELECT DISTINCT ON (load_id, load_joins.outer_segment_id, part) load_id, join_id
     FROM load_joins JOIN joins ON joins.id = join_id AND joins.boat_id = load_joins.boat_id
     WHERE load_joins.boat_id = $1 AND load_id = ANY($2) AND ${ofStandingAct('load_joins')}
     ORDER BY load_id, load_joins.outer_segment_id, part, load_joins.noted_at DESC`,
    [boatId, loadIds],
  );
  return result.rows.map((row) => ({ loadId: row.load_id, joinId: row.join_id }));
}
