import type { Guides } from '../../core/drag/guideFactor';
import type { SaidReach } from '../../core/record/reach';
import type { DragAim } from '../../core/record/record';
import type { RodPosition } from '../../core/record/rodPosition';
import type { Queryable } from '../withBoat';
import type { RigRow } from './rigs';

/** Keeps what a new rig aims at, as another rig does. */
export async function keepAims(
  db: Queryable,
  boatId: string,
  rigId: string,
  aims: Pick<
    RigRow,
    'hangM' | 'workingRange' | 'reach' | 'guides' | 'smallestOpeningM' | 'meantPlaceId' | 'dragAim' | 'towed'
  >,
): Promise<void> {
  await db.query(
    `UPDATE rigs SET hang_m = $3, meant_place_id = $4, drag_aim = $5, working_from_m = $6, working_to_m = $7,
       reach_kind = $8, reach_run_m = $9, guide_kind = $10, guide_count = $11, smallest_opening_m = $12, towed = $13
     WHERE boat_id = $1 AND id = $2`,
    [
      boatId,
      rigId,
      aims.hangM,
      aims.meantPlaceId,
      aims.dragAim && JSON.stringify(aims.dragAim),
      aims.workingRange?.fromM ?? null,
      aims.workingRange?.toM ?? null,
      aims.reach?.kind ?? null,
      aims.reach?.runM ?? null,
      aims.guides?.kind ?? null,
      aims.guides?.count ?? null,
      aims.smallestOpeningM,
      aims.towed && JSON.stringify(aims.towed),
    ],
  );
}

/** Keeps which share of which strength the drag of a rig is to be. */
export async function keepDragAim(db: Queryable, boatId: string, rigId: string, aim: DragAim): Promise<void> {
  await db.query('UPDATE rigs SET drag_aim = $3 WHERE boat_id = $1 AND id = $2', [boatId, rigId, JSON.stringify(aim)]);
}

/** Notes what hangs from the tip when the counter of a rig is zeroed; false when there is no such rig. */
export async function setHang(db: Queryable, boatId: string, rigId: string, hangM: number): Promise<boolean> {
  const result = await db.query('UPDATE rigs SET hang_m = $3 WHERE boat_id = $1 AND id = $2', [boatId, rigId, hangM]);
  return result.rowCount === 1;
}

/** Notes the lengths of line out that a rig is fished with (m); null: the usual ones. False when there is no such rig. */
export async function setWorkingRange(
  db: Queryable,
  boatId: string,
  rigId: string,
  range: RigRow['workingRange'],
): Promise<boolean> {
  const result = await db.query(
    'UPDATE rigs SET working_from_m = $3, working_to_m = $4 WHERE boat_id = $1 AND id = $2',
    [boatId, rigId, range?.fromM ?? null, range?.toM ?? null],
  );
  return result.rowCount === 1;
}

/** Notes how much of its line a rig is reckoned with; false when there is no such rig. */
export async function setReach(db: Queryable, boatId: string, rigId: string, reach: SaidReach): Promise<boolean> {
  const result = await db.query('UPDATE rigs SET reach_kind = $3, reach_run_m = $4 WHERE boat_id = $1 AND id = $2', [
    boatId,
    rigId,
    reach.kind,
    reach.runM,
  ]);
  return result.rowCount === 1;
}

/** Notes what line runs over on the rod of a rig; false when there is no such rig. */
export async function setGuides(db: Queryable, boatId: string, rigId: string, guides: Guides): Promise<boolean> {
  const result = await db.query('UPDATE rigs SET guide_kind = $3, guide_count = $4 WHERE boat_id = $1 AND id = $2', [
    boatId,
    rigId,
    guides.kind,
    guides.count,
  ]);
  return result.rowCount === 1;
}

/** Keeps which place of a rig is meant to break on a snag; null: the outermost segment. */
export async function setMeantPlace(
  db: Queryable,
  boatId: string,
  rigId: string,
  placeId: string | null,
): Promise<boolean> {
  const result = await db.query('UPDATE rigs SET meant_place_id = $3 WHERE boat_id = $1 AND id = $2', [
    boatId,
    rigId,
    placeId,
  ]);
  return result.rowCount === 1;
}

/** Keeps where the rod of a rig stands on the boat; null: nobody says. False when there is no such rig. */
export async function setRodPosition(
  db: Queryable,
  boatId: string,
  rigId: string,
  position: RodPosition | null,
): Promise<boolean> {
  const result = await db.query('UPDATE rigs SET rod_position = $3 WHERE boat_id = $1 AND id = $2', [
    boatId,
    rigId,
    position,
  ]);
  return result.rowCount === 1;
}
