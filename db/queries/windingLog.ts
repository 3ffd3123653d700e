import type { LevelRecord, LoadRecord, WindingEntryRecord } from '../../core/rig/record';
import type { Queryable } from '../withBoat';
import { standing, type OfLoad } from './standing';

export async function listWindingEntries(
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

export interface WindingEntryInput {
  readonly segmentId: string;
  readonly reading: number | null;
  readonly lengthByCounter: boolean;
  readonly meteredLengthM: number | null;
  readonly turnsCounted: number | null;
  readonly instrument: string;
  readonly note: string;
}

/** The newest note of one thing, withdrawn or not: the next one corrects it, so that one stands. */
const TAIL = (table: string, same: string): string =>
  `(SELECT id FROM ${table} WHERE boat_id = $1 AND load_id = $2 AND segment_id = $3${same}
    AND NOT EXISTS (SELECT FROM ${table} later WHERE later.corrects_id = ${table}.id))`;

/** Notes the end of a segment; noted again, it corrects the earlier note. */
export async function insertWindingEntry(
  db: Queryable,
  boatId: string,
  loadId: string,
  entry: WindingEntryInput,
): Promise<void> {
  await db.query(
    `INSERT INTO winding_entries (boat_id, load_id, segment_id, reading, length_by_counter, metered_length_m, turns_counted,
       instrument, note, corrects_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, ${TAIL('winding_entries', '')})`,
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
    ],
  );
}

export async function listLevels(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<LevelRecord>[]> {
  const result = await db.query<{
    id: string;
    load_id: string;
    segment_id: string;
    level_below_rim_m: number;
    noted_at: string;
  }>(
    `SELECT id, load_id, segment_id, level_below_rim_m, noted_at FROM level_readings
     WHERE boat_id = $1 AND load_id = ANY($2) AND ${standing('level_readings')} ORDER BY noted_at`,
    [boatId, loadIds],
  );
  return result.rows.map((row) => ({
    loadId: row.load_id,
    id: row.id,
    segmentId: row.segment_id,
    levelBelowRimM: row.level_below_rim_m,
    at: row.noted_at,
  }));
}

/** Notes a level; noted again after the same segment, it corrects the earlier one. */
export async function insertLevel(
  db: Queryable,
  boatId: string,
  loadId: string,
  level: { readonly segmentId: string; readonly levelBelowRimM: number; readonly instrument: string },
): Promise<void> {
  await db.query(
    `INSERT INTO level_readings (boat_id, load_id, segment_id, level_below_rim_m, instrument, corrects_id)
     VALUES ($1, $2, $3, $4, $5, ${TAIL('level_readings', '')})`,
    [boatId, loadId, level.segmentId, level.levelBelowRimM, level.instrument],
  );
}

export async function listColourReadings(
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
  },
): Promise<void> {
  await db.query(
    `INSERT INTO colour_readings (boat_id, load_id, segment_id, colours_on, reading, instrument, corrects_id)
     VALUES ($1, $2, $3, $4, $5, $6, ${TAIL('colour_readings', ' AND colours_on = $4')})`,
    [boatId, loadId, colour.segmentId, colour.coloursOn, colour.reading, colour.instrument],
  );
}
