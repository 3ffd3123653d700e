import type { ColourReadingRecord, LevelRecord, WindingEntryRecord } from '../../core/record/record';
import { COLOUR_READINGS, LEVEL_READINGS, WINDING_ENTRIES } from '../tables/measurements';
import { insertRow, type NewRowOf } from '../tables/table';
import type { Queryable } from '../withBoat';
import { listStanding, uncorrected, type OfLoad } from './standing';

type Ids = readonly string[];

export function listWindingEntries(
  db: Queryable,
  boatId: string,
  loadIds: Ids,
): Promise<readonly OfLoad<WindingEntryRecord>[]> {
  return listStanding(db, boatId, WINDING_ENTRIES, 'load_id', loadIds);
}

export function listLevels(db: Queryable, boatId: string, loadIds: Ids): Promise<readonly OfLoad<LevelRecord>[]> {
  return listStanding(db, boatId, LEVEL_READINGS, 'load_id', loadIds);
}

export function listColourReadings(
  db: Queryable,
  boatId: string,
  loadIds: Ids,
): Promise<readonly OfLoad<ColourReadingRecord>[]> {
  return listStanding(db, boatId, COLOUR_READINGS, 'load_id', loadIds);
}

/** The newest note of one thing, withdrawn or not: the next one corrects it, so that one stands. Its own values from $2 on. */
const tail = (table: string, same = ''): { readonly sql: string } => ({
  sql: `(SELECT id FROM ${table} WHERE boat_id = $1 AND load_id = $2 AND segment_id = $3${same}
    AND ${uncorrected(table)} ORDER BY noted_at DESC LIMIT 1)`,
});

/** Notes the end of a segment; noted again, it corrects the earlier note. */
export function insertWindingEntry(
  db: Queryable,
  boatId: string,
  entry: NewRowOf<typeof WINDING_ENTRIES.columns>,
): Promise<string> {
  return insertRow(db, boatId, WINDING_ENTRIES, entry, tail('winding_entries'));
}

/** Notes a level; noted again after the same segment, it corrects the earlier one. */
export function insertLevel(
  db: Queryable,
  boatId: string,
  level: NewRowOf<typeof LEVEL_READINGS.columns>,
): Promise<string> {
  return insertRow(db, boatId, LEVEL_READINGS, level, tail('level_readings'));
}

/** Notes a colour change; noted again of the same segment and colour, it corrects the earlier one. */
export function insertColourReading(
  db: Queryable,
  boatId: string,
  colour: NewRowOf<typeof COLOUR_READINGS.columns>,
): Promise<string> {
  return insertRow(db, boatId, COLOUR_READINGS, colour, tail('colour_readings', ' AND colours_on = $4'));
}
