import type { LineMarkRecord } from '../../core/record/record';
import { LINE_MARKS } from '../tables/measurements';
import { insertRow, type NewRowOf } from '../tables/table';
import type { Queryable } from '../withBoat';
import { listStanding, type OfLoad } from './standing';

/** Marks on the line of several loads, oldest first. */
export function listLineMarks(
  db: Queryable,
  boatId: string,
  loadIds: readonly string[],
): Promise<readonly OfLoad<LineMarkRecord>[]> {
  return listStanding(db, boatId, LINE_MARKS, 'load_id', loadIds);
}

export function insertLineMark(
  db: Queryable,
  boatId: string,
  mark: NewRowOf<typeof LINE_MARKS.columns>,
): Promise<string> {
  return insertRow(db, boatId, LINE_MARKS, mark);
}
