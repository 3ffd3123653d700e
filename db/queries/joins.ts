import { PULLS_FOR_EFFICIENCY } from '../../core/joins/joinEfficiency';
import type { OwnFigure } from '../../core/joins/ownFigures';
import type { JoinKind } from '../../core/joins/joinKinds';
import type { BoatJoinBreakRecord, JoinRecord } from '../../core/record/record';
import type { JoinPlacePart } from '../../core/joins/placeParts';
import type { Queryable } from '../withBoat';
import { CADENCE_DRILLS, JOIN_TIES, OWN_FIGURES } from '../tables/measurements';
import { insertRow, type NewRowOf } from '../tables/table';
import { ofStandingAct, standing, type OfRig } from './standing';

interface JoinRow {
  rig_id: string;
  id: string;
  inner_segment_id: string | null;
  outer_segment_id: string;
  kind: JoinKind;
  part: JoinPlacePart;
  is_planned: boolean;
  pull_tested: boolean;
  tie_id: string | null;
  school: string | null;
  seated_n: number | null;
  tie_tested: boolean | null;
  person: string | null;
  note: string | null;
  tied_at: string | null;
  has_photo: boolean;
  drags: number;
  fish: number;
  slip_id: string | null;
  moved_m: number | null;
  pulled_n: number | null;
  slip_at: string | null;
}

/** A join of a stack, of a load, or of both. */
export type PlacedJoin = OfRig<JoinRecord> & { readonly isPlanned: boolean };

/**
 * The joins of the present stacks of several rigs, and others by their ids, each with how it was last tied.
 *
 * @param breaks every join of the boat that was pulled to the break
 * @param alsoIds joins that are on a line, in its stack or not
 */
export async function listJoins(
  db: Queryable,
  boatId: string,
  rigIds: readonly string[],
  breaks: readonly (BoatJoinBreakRecord & { readonly joinId: string })[],
  alsoIds: readonly string[],
): Promise<readonly PlacedJoin[]> {
  const result = await db.query<JoinRow>(
    `SELECT joins.rig_id, joins.id, joins.removed_at IS NULL AS is_planned, inner_segment_id, outer_segment_id, kind, part, joins.pull_tested,
       tie.id AS tie_id, tie.school, tie.seated_n, tie.pull_tested AS tie_tested, tie.note, tie.noted_at AS tied_at,
       people.name AS person, EXISTS (SELECT FROM tie_photos WHERE tie_id = tie.id) AS has_photo,
       (SELECT count(*)::integer FROM drag_settings WHERE boat_id = $1 AND rig_id = joins.rig_id
          AND accepted_at > tie.noted_at AND ${ofStandingAct('drag_settings')}) AS drags,
       (SELECT count(*)::integer FROM log_entries WHERE boat_id = $1 AND rig_id = joins.rig_id AND reason = 'fish-fought'
          AND noted_at > tie.noted_at AND ${ofStandingAct('log_entries')}) AS fish,
       slip.id AS slip_id, slip.moved_m, slip.pulled_n, slip.noted_at AS slip_at
     FROM joins
     LEFT JOIN LATERAL (
       SELECT * FROM join_ties WHERE join_id = joins.id AND ${standing('join_ties')} ORDER BY noted_at DESC LIMIT 1
     ) tie ON true
     LEFT JOIN LATERAL (
       SELECT * FROM slip_checks WHERE join_id = joins.id AND noted_at >= coalesce(tie.noted_at, noted_at)
         AND ${standing('slip_checks')} ORDER BY noted_at DESC LIMIT 1
     ) slip ON true
     LEFT JOIN people ON people.id = tie.person_id AND people.boat_id = joins.boat_id
     LEFT JOIN segments outermost ON outermost.boat_id = joins.boat_id AND outermost.id = outer_segment_id
     WHERE joins.boat_id = $1 AND joins.rig_id = ANY($2) AND (joins.removed_at IS NULL OR joins.id = ANY($3))
     ORDER BY outermost.position, array_position(ARRAY['inner', 'outer', 'join'], part), joins.id`,
    [boatId, rigIds, alsoIds],
  );
  return result.rows.map((row) => ({
    rigId: row.rig_id,
    isPlanned: row.is_planned,
    id: row.id,
    innerSegmentId: row.inner_segment_id,
    outerSegmentId: row.outer_segment_id,
    kind: row.kind,
    part: row.part,
    breaks: breaks.filter((each) => each.joinId === row.id),
    // A join tied anew has not been pulled, whatever the one before it held.
    pullTested: row.tie_tested ?? row.pull_tested,
    lastTie:
      row.tie_id !== null && row.school !== null && row.tied_at !== null
        ? {
            id: row.tie_id,
            school: row.school,
            seatedN: row.seated_n,
            pullTested: row.tie_tested ?? false,
            person: row.person,
            note: row.note ?? '',
            hasPhoto: row.has_photo,
            drags: row.drags,
            fish: row.fish,
            at: row.tied_at,
          }
        : null,
    lastSlip:
      row.slip_id !== null && row.moved_m !== null && row.slip_at !== null
        ? { id: row.slip_id, movedM: row.moved_m, pulledN: row.pulled_n, at: row.slip_at }
        : null,
  }));
}

/**
 * Puts a join into the present stack. A join that still joins the same two segments in the same way
 * keeps its row, and with it what was tested; otherwise it is a new one.
 */
export async function placeJoin(
  db: Queryable,
  boatId: string,
  rigId: string,
  join: Pick<JoinRecord, 'innerSegmentId' | 'outerSegmentId' | 'kind' | 'part'>,
): Promise<void> {
  const kept = await db.query(
    `UPDATE joins SET removed_at = NULL WHERE id = (
       SELECT id FROM joins WHERE boat_id = $1 AND rig_id = $2 AND outer_segment_id = $3
         AND inner_segment_id IS NOT DISTINCT FROM $4 AND kind = $5 AND part = $6
       ORDER BY removed_at DESC NULLS FIRST LIMIT 1)`,
    [boatId, rigId, join.outerSegmentId, join.innerSegmentId, join.kind, join.part],
  );
  if (kept.rowCount === 1) return;
  await db.query(
    'INSERT INTO joins (boat_id, rig_id, outer_segment_id, inner_segment_id, kind, part) VALUES ($1, $2, $3, $4, $5, $6)',
    [boatId, rigId, join.outerSegmentId, join.innerSegmentId, join.kind, join.part],
  );
}

/** Notes the smallest opening that a join has to pass on the rod of a rig (m); false when there is no such rig. */
export async function setSmallestOpening(
  db: Queryable,
  boatId: string,
  rigId: string,
  openingM: number,
): Promise<boolean> {
  const result = await db.query('UPDATE rigs SET smallest_opening_m = $3 WHERE boat_id = $1 AND id = $2', [
    boatId,
    rigId,
    openingM,
  ]);
  return result.rowCount === 1;
}

/** Takes one join out of the present stack, as it gives way to another kind at the same place. */
export async function removeJoin(db: Queryable, boatId: string, joinId: string): Promise<void> {
  await db.query('UPDATE joins SET removed_at = now() WHERE boat_id = $1 AND id = $2 AND removed_at IS NULL', [
    boatId,
    joinId,
  ]);
}

export function insertTie(db: Queryable, boatId: string, tie: NewRowOf<typeof JOIN_TIES.columns>): Promise<string> {
  return insertRow(db, boatId, JOIN_TIES, tie);
}

/** Shares that joins of a kind kept when they were pulled on this boat: their mean, their SD and how many. */
export interface TestedKind {
  readonly kind: JoinKind;
  readonly mean: number;
  readonly sd: number;
  readonly pulls: number;
}

export async function listTestedKinds(db: Queryable, boatId: string): Promise<readonly TestedKind[]> {
  const result = await db.query<TestedKind>(
    `SELECT kind, avg(peak_n / weaker_n) AS mean, stddev_samp(peak_n / weaker_n) AS sd, count(*)::integer AS pulls FROM join_pulls
     JOIN joins ON joins.id = join_pulls.join_id AND joins.boat_id = join_pulls.boat_id
     WHERE join_pulls.boat_id = $1 AND broke_at <> 'grip' AND ${standing('join_pulls')}
     GROUP BY kind HAVING count(*) >= ${PULLS_FOR_EFFICIENCY}`,
    [boatId],
  );
  return result.rows;
}

export function insertOwnFigure(
  db: Queryable,
  boatId: string,
  figure: NewRowOf<typeof OWN_FIGURES.columns>,
): Promise<string> {
  return insertRow(db, boatId, OWN_FIGURES, figure);
}

/** The crew's own figures of guides: the newest of each step, where it has any. */
export async function listOwnFigures(db: Queryable, boatId: string): Promise<readonly OwnFigure[]> {
  const result = await db.query<OwnFigure>(
    `SELECT school, step, least, most FROM (
       SELECT DISTINCT ON (school, step) school, step, least, most FROM own_figures
       WHERE boat_id = $1 ORDER BY school, step, noted_at DESC) newest
     WHERE least IS NOT NULL`,
    [boatId],
  );
  return result.rows;
}

/** How often each kind of join was tied on this boat. */
export async function listTiedTimes(
  db: Queryable,
  boatId: string,
): Promise<readonly { readonly kind: JoinKind; readonly times: number }[]> {
  const result = await db.query<{ kind: JoinKind; times: number }>(
    `SELECT kind, count(*)::integer AS times FROM join_ties
     JOIN joins ON joins.id = join_ties.join_id AND joins.boat_id = join_ties.boat_id
     WHERE join_ties.boat_id = $1 AND ${standing('join_ties')}
     GROUP BY kind`,
    [boatId],
  );
  return result.rows;
}

export interface DrillRow {
  readonly person: string | null;
  readonly school: string;
  readonly strokes: number;
  readonly mistakes: number;
  readonly seconds: number;
  readonly at: string;
}

/** The newest drills of a boat, oldest first. */
export async function listDrills(db: Queryable, boatId: string): Promise<readonly DrillRow[]> {
  const result = await db.query<{
    person: string | null;
    school: string;
    strokes: number;
    mistakes: number;
    seconds: number;
    noted_at: string;
  }>(
    `SELECT people.name AS person, school, strokes, mistakes, seconds, noted_at
     FROM cadence_drills LEFT JOIN people ON people.id = person_id AND people.boat_id = cadence_drills.boat_id
     WHERE cadence_drills.boat_id = $1 ORDER BY noted_at DESC LIMIT 60`,
    [boatId],
  );
  return result.rows.toReversed().map(({ noted_at: at, ...row }) => ({ ...row, at }));
}

export function insertDrill(
  db: Queryable,
  boatId: string,
  drill: NewRowOf<typeof CADENCE_DRILLS.columns>,
): Promise<string> {
  return insertRow(db, boatId, CADENCE_DRILLS, drill);
}
