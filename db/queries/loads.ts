import type { Basis } from '../../core/provenance/basis';
import type {
  LevelRecord,
  LineChangeRecord,
  LoadRecord,
  LoadSegmentRecord,
  SegmentRole,
  WindingEntryRecord,
} from '../../core/rig/record';
import { onlyRow, type Queryable } from '../withTransaction';

/** Rows that stand: not withdrawn, and no later row corrects them. */
export function standing(table: string): string {
  return `NOT withdrawn AND NOT EXISTS (SELECT 1 FROM ${table} later WHERE later.corrects_id = ${table}.id)`;
}

export interface LoadRow {
  id: string;
  status: LoadRecord['status'] | 'abandoned';
  started_at: string;
  finished_at: string | null;
  level_below_rim_m: number | null;
  basis: Basis;
  version: number;
}

interface LoadSegmentRow {
  load_id: string;
  segment_id: string;
  name: string;
  role: SegmentRole;
  line_product_id: string;
  line_diameter_m: number;
  packing: number;
  planned_length_m: number;
  planned_plus_minus_m: number;
  planned_turns: number;
  length_known: boolean;
  wound: boolean;
  stop_reading: number | null;
  naive_stop_reading: number | null;
  colours: string[];
}

/**
 * The newest load of a rig with all that belongs to it, or null. An abandoned winding leaves a spool of
 * which nothing is known, so the loads before it do not count either.
 */
export async function findNewestLoad(db: Queryable, boatId: string, rigId: string): Promise<LoadRecord | null> {
  const loads = await db.query<LoadRow>(
    `SELECT id, status, started_at, finished_at, level_below_rim_m, basis, version FROM loads
     WHERE boat_id = $1 AND rig_id = $2 ORDER BY started_at DESC LIMIT 1`,
    [boatId, rigId],
  );
  const load = loads.rows[0];
  return !load || load.status === 'abandoned' ? null : readLoad(db, boatId, load);
}

/** A row with the load that it belongs to. */
type OfLoad<T> = T & { readonly loadId: string };

/** All that belongs to a load. */
async function readLoad(db: Queryable, boatId: string, load: LoadRow): Promise<LoadRecord> {
  const [record] = await readLoads(db, boatId, [load]);
  if (!record) throw new Error('readLoad: the load is gone');
  return record;
}

/** All that belongs to several loads, in their order, with one statement a table. */
export async function readLoads(
  db: Queryable,
  boatId: string,
  loads: readonly LoadRow[],
): Promise<readonly LoadRecord[]> {
  const ids = loads.map((load) => load.id);
  const [segments, winding, levels, changes, colourReadings, replacements] = await Promise.all([
    listLoadSegments(db, boatId, ids),
    listWindingEntries(db, boatId, ids),
    listLevels(db, boatId, ids),
    listLineChanges(db, boatId, ids),
    listColourReadings(db, boatId, ids),
    listReplacements(db, boatId, ids),
  ]);
  return loads.map((load): LoadRecord => {
    const of = <T>(rows: readonly OfLoad<T>[]): readonly T[] => rows.filter((row) => row.loadId === load.id);
    return {
      id: load.id,
      status: load.status === 'abandoned' ? 'winding' : load.status,
      startedAt: load.started_at,
      finishedAt: load.finished_at,
      levelBelowRimM: load.level_below_rim_m,
      basis: load.basis,
      version: load.version,
      segments: of(segments),
      winding: of(winding),
      levels: of(levels),
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
  const result = await db.query<LoadSegmentRow>(
    'SELECT * FROM load_segments WHERE boat_id = $1 AND load_id = ANY($2) ORDER BY position',
    [boatId, loadIds],
  );
  return result.rows.map((row) => ({
    loadId: row.load_id,
    segmentId: row.segment_id,
    name: row.name,
    role: row.role,
    productId: row.line_product_id,
    lineDiameterM: row.line_diameter_m,
    packing: row.packing,
    plannedLengthM: row.planned_length_m,
    plannedPlusMinusM: row.planned_plus_minus_m,
    plannedTurns: row.planned_turns,
    lengthKnown: row.length_known,
    wound: row.wound,
    stopReading: row.stop_reading,
    naiveStopReading: row.naive_stop_reading,
    colours: row.colours,
  }));
}

async function listWindingEntries(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<WindingEntryRecord>[]> {
  const result = await db.query<{
    load_id: string;
    id: string;
    segment_id: string;
    reading: number | null;
    length_by_counter: boolean;
    metered_length_m: number | null;
    turns_counted: number | null;
    instrument: string;
    note: string;
    noted_at: string;
  }>(
    `SELECT load_id, id, segment_id, reading, length_by_counter, metered_length_m, turns_counted, instrument, note, noted_at FROM winding_entries
     WHERE boat_id = $1 AND load_id = ANY($2) AND ${standing('winding_entries')} ORDER BY noted_at`,
    [boatId, loadIds],
  );
  return result.rows.map((row) => ({
    loadId: row.load_id,
    id: row.id,
    segmentId: row.segment_id,
    reading: row.reading,
    lengthByCounter: row.length_by_counter,
    meteredLengthM: row.metered_length_m,
    turnsCounted: row.turns_counted,
    instrument: row.instrument,
    note: row.note,
    at: row.noted_at,
  }));
}

async function listLevels(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<LevelRecord>[]> {
  const result = await db.query<{ load_id: string; segment_id: string; level_below_rim_m: number; noted_at: string }>(
    'SELECT load_id, segment_id, level_below_rim_m, noted_at FROM level_readings WHERE boat_id = $1 AND load_id = ANY($2) ORDER BY noted_at',
    [boatId, loadIds],
  );
  return result.rows.map((row) => ({
    loadId: row.load_id,
    segmentId: row.segment_id,
    levelBelowRimM: row.level_below_rim_m,
    at: row.noted_at,
  }));
}

export async function insertLevel(
  db: Queryable,
  boatId: string,
  loadId: string,
  level: { readonly segmentId: string; readonly levelBelowRimM: number; readonly instrument: string },
): Promise<void> {
  await db.query(
    'INSERT INTO level_readings (boat_id, load_id, segment_id, level_below_rim_m, instrument) VALUES ($1, $2, $3, $4, $5)',
    [boatId, loadId, level.segmentId, level.levelBelowRimM, level.instrument],
  );
}

async function listLineChanges(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<LineChangeRecord>[]> {
  const result = await db.query<{
    load_id: string;
    id: string;
    segment_id: string;
    change_m: number;
    reason: LineChangeRecord['reason'];
    note: string;
    noted_at: string;
  }>(
    `SELECT load_id, id, segment_id, change_m, reason, note, noted_at FROM line_changes
     WHERE boat_id = $1 AND load_id = ANY($2) AND ${standing('line_changes')} ORDER BY noted_at`,
    [boatId, loadIds],
  );
  return result.rows.map((row) => ({
    loadId: row.load_id,
    id: row.id,
    segmentId: row.segment_id,
    changeM: row.change_m,
    reason: row.reason,
    note: row.note,
    at: row.noted_at,
  }));
}

export async function insertLoad(db: Queryable, boatId: string, rigId: string, basis: Basis): Promise<string> {
  const result = await db.query<{ id: string }>(
    "INSERT INTO loads (boat_id, rig_id, status, basis, started_at) VALUES ($1, $2, 'winding', $3, clock_timestamp()) RETURNING id",
    [boatId, rigId, JSON.stringify(basis)],
  );
  return onlyRow(result).id;
}

export async function insertLoadSegment(
  db: Queryable,
  boatId: string,
  loadId: string,
  position: number,
  segment: LoadSegmentRecord,
): Promise<void> {
  await db.query(
    `INSERT INTO load_segments (boat_id, load_id, segment_id, line_product_id, position, name, role, line_diameter_m,
       packing, planned_length_m, planned_plus_minus_m, planned_turns, length_known, wound, stop_reading,
       naive_stop_reading, colours)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17)`,
    [
      boatId,
      loadId,
      segment.segmentId,
      segment.productId,
      position,
      segment.name,
      segment.role,
      segment.lineDiameterM,
      segment.packing,
      segment.plannedLengthM,
      segment.plannedPlusMinusM,
      segment.plannedTurns,
      segment.lengthKnown,
      segment.wound,
      segment.stopReading,
      segment.naiveStopReading,
      segment.colours,
    ],
  );
}

export interface WindingEntryInput {
  readonly segmentId: string;
  readonly reading: number | null;
  readonly lengthByCounter: boolean;
  readonly meteredLengthM: number | null;
  readonly turnsCounted: number | null;
  readonly instrument: string;
  readonly note: string;
  readonly correctsId: string | null;
  readonly withdrawn: boolean;
}

export async function insertWindingEntry(
  db: Queryable,
  boatId: string,
  loadId: string,
  entry: WindingEntryInput,
): Promise<void> {
  await db.query(
    `INSERT INTO winding_entries (boat_id, load_id, segment_id, reading, length_by_counter, metered_length_m, turns_counted,
       instrument, note, corrects_id, withdrawn)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)`,
    [
      boatId,
      loadId,
      entry.segmentId,
      entry.reading,
      entry.lengthByCounter,
      entry.meteredLengthM,
      entry.turnsCounted,
      entry.instrument,
      entry.note,
      entry.correctsId,
      entry.withdrawn,
    ],
  );
}

/** Marks a load as wound, over the version that was read; false when somebody else has written since. */
export async function finishLoad(
  db: Queryable,
  boatId: string,
  loadId: string,
  version: number,
  levelBelowRimM: number | null,
): Promise<boolean> {
  const result = await db.query(
    `UPDATE loads SET status = 'wound', finished_at = clock_timestamp(), level_below_rim_m = $4, version = version + 1
     WHERE boat_id = $1 AND id = $2 AND version = $3 AND status = 'winding'`,
    [boatId, loadId, version, levelBelowRimM],
  );
  return result.rowCount === 1;
}

export async function insertLineChange(
  db: Queryable,
  boatId: string,
  loadId: string,
  change: Pick<LineChangeRecord, 'segmentId' | 'changeM' | 'reason' | 'note'>,
): Promise<void> {
  await db.query(
    'INSERT INTO line_changes (boat_id, load_id, segment_id, change_m, reason, note) VALUES ($1, $2, $3, $4, $5, $6)',
    [boatId, loadId, change.segmentId, change.changeM, change.reason, change.note],
  );
}

/** Gives up a winding; false when it is not being wound any more. */
export async function abandonLoad(db: Queryable, boatId: string, loadId: string): Promise<boolean> {
  const result = await db.query(
    "UPDATE loads SET status = 'abandoned', version = version + 1 WHERE boat_id = $1 AND id = $2 AND status = 'winding'",
    [boatId, loadId],
  );
  return result.rowCount === 1;
}

async function listColourReadings(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<LoadRecord['colourReadings'][number]>[]> {
  const result = await db.query<{
    load_id: string;
    id: string;
    segment_id: string;
    colours_on: number;
    reading: number;
    noted_at: string;
  }>(
    `SELECT load_id, id, segment_id, colours_on, reading, noted_at FROM colour_readings
     WHERE boat_id = $1 AND load_id = ANY($2) AND ${standing('colour_readings')} ORDER BY noted_at`,
    [boatId, loadIds],
  );
  return result.rows.map((row) => ({
    loadId: row.load_id,
    id: row.id,
    segmentId: row.segment_id,
    coloursOn: row.colours_on,
    reading: row.reading,
    at: row.noted_at,
  }));
}

export async function insertColourReading(
  db: Queryable,
  boatId: string,
  loadId: string,
  colour: {
    readonly segmentId: string;
    readonly coloursOn: number;
    readonly reading: number;
    readonly instrument: string;
    readonly correctsId: string | null;
  },
): Promise<void> {
  await db.query(
    `INSERT INTO colour_readings (boat_id, load_id, segment_id, colours_on, reading, instrument, corrects_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7)`,
    [boatId, loadId, colour.segmentId, colour.coloursOn, colour.reading, colour.instrument, colour.correctsId],
  );
}

async function listReplacements(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<LoadRecord['replacements'][number]>[]> {
  const result = await db.query<{
    load_id: string;
    id: string;
    segment_id: string;
    line_product_id: string;
    length_m: number;
    note: string;
    noted_at: string;
  }>(
    `SELECT load_id, id, segment_id, line_product_id, length_m, note, noted_at FROM segment_replacements
     WHERE boat_id = $1 AND load_id = ANY($2) AND ${standing('segment_replacements')} ORDER BY noted_at`,
    [boatId, loadIds],
  );
  return result.rows.map((row) => ({
    loadId: row.load_id,
    id: row.id,
    segmentId: row.segment_id,
    productId: row.line_product_id,
    lengthM: row.length_m,
    note: row.note,
    at: row.noted_at,
  }));
}

export async function insertReplacement(
  db: Queryable,
  boatId: string,
  loadId: string,
  replacement: Omit<LoadRecord['replacements'][number], 'id' | 'at'>,
): Promise<void> {
  await db.query(
    `INSERT INTO segment_replacements (boat_id, load_id, segment_id, line_product_id, length_m, note)
     VALUES ($1, $2, $3, $4, $5, $6)`,
    [boatId, loadId, replacement.segmentId, replacement.productId, replacement.lengthM, replacement.note],
  );
}
