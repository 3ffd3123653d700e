import type { LineChangeRecord, ReplacementRecord } from '../../core/record/record';
import { LINE_CHANGES, REPLACEMENTS } from '../tables/measurements';
import { insertRow, type NewRowOf } from '../tables/table';
import type { Queryable } from '../withBoat';
import { listStanding, type OfLoad } from './standing';

export function listLineChanges(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<LineChangeRecord>[]> {
  return listStanding(db, boatId, LINE_CHANGES, 'load_id', loadIds);
}

export function insertLineChange(
  db: Queryable,
  boatId: string,
  change: NewRowOf<typeof LINE_CHANGES.columns>,
): Promise<string> {
  return insertRow(db, boatId, LINE_CHANGES, change);
}

export function listReplacements(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<ReplacementRecord>[]> {
  return listStanding(db, boatId, REPLACEMENTS, 'load_id', loadIds);
}

export function insertReplacement(
  db: Queryable,
  boatId: string,
  replacement: NewRowOf<typeof REPLACEMENTS.columns>,
): Promise<string> {
  return insertRow(db, boatId, REPLACEMENTS, replacement);
}
