import { joinStanding, type JoinStanding, type JoinWear } from '../../joins/joinState';
import { because } from '../../reasons';
import type { JoinRecord, RigRecord } from '../../record/record';
import type { StationState } from '../../record/stationState';
import { productStrength } from '../strength/strengthOfRig';
import { prepFigure } from '../../joins/prepFigures';
import { currentLine } from '../line/currentLine';
import { linesOfJoin } from './linesOfJoin';
import { segmentsOfJoin } from '../line/structures';
import { lossesBorne } from './lossesBorne';
import { productIdNow } from '../line/woundSegments';

/** True where a join bears the leader. */
export function isAtLeader(record: RigRecord, join: JoinRecord): boolean {
  return record.segments.find((segment) => segment.id === join.outerSegmentId)?.role === 'leader';
}

/** How a join stands today on its very rig. */
export interface StandingOnRig {
  readonly standing: JoinStanding;
  readonly ageDays: number | null;
  /** What it is worn by, where it is due for that. */
  readonly wornBy: readonly JoinWear[];
  /** True where it is due because line tore off beyond it since it was tied. */
  readonly boreLoss: boolean;
}

/**
 * How a join of a rig stands: as its tie's age has it; gone where the line that it joined is gone; not tied where one of its lines
 * was replaced or turned round since; due where line tore off beyond it
 * since it was tied, and it was the outermost one left: it bore what tore the line off.
 *
 * @param nowMs today (ms since 1970)
 */
export function standingOnRig(record: RigRecord, join: JoinRecord, nowMs: number): StandingOnRig {
  const left = segmentsLeft(record);
  if (left && !left.includes(join.outerSegmentId))
    return { standing: 'gone', ageDays: null, wornBy: [], boreLoss: false };
  if (wasUntied(record, join)) return { standing: 'not tied', ageDays: null, wornBy: [], boreLoss: false };
  const aged = joinStanding(join.lastTie, isAtLeader(record, join), nowMs);
  const tiedAt = join.lastTie?.at;
  const boreLoss = tiedAt !== undefined && (lossesBorne(record).get(join.outerSegmentId) ?? '') > tiedAt;
  if (boreLoss) return { ...aged, standing: 'due', boreLoss };
  return isUnderSeated(record, join) ? { ...aged, standing: 'under-seated', boreLoss } : { ...aged, boreLoss };
}

/** True where one of its lines was replaced or turned round since it was tied: it was cut, and nobody has noted another one. */
function wasUntied(record: RigRecord, join: JoinRecord): boolean {
  const tiedAt = join.lastTie?.at;
  if (tiedAt === undefined || record.load?.status !== 'wound') return false;
  const sides = segmentsOfJoin(join);
  return record.load.replacements.some((each) => sides.includes(each.segmentId) && each.at > tiedAt);
}

/** True where the seating pull was measured and closes no such join: it is to be pulled again, whatever it held since. */
function isUnderSeated(record: RigRecord, join: JoinRecord): boolean {
  const seatedN = join.lastTie?.seatedN;
  if (seatedN == null) return false;
  const band = prepFigure('seating', linesOfJoin(record, join));
  return band !== null && seatedN < band.least;
}

/** The segments of which something is left on a loaded line, from the arbor; null where nothing is loaded. */
function segmentsLeft(record: RigRecord): readonly string[] | null {
  if (record.load?.status !== 'wound') return null;
  const line = currentLine(record);
  return line.ok ? line.value.line.segments.map((segment) => segment.id) : null;
}

/** How the joins of a rig stand on the day on which it was read. */
export function joinsState(record: RigRecord): StationState {
  const standings = record.joins.map((join) => standingOnRig(record, join, Date.parse(record.readAt)).standing);
  const joins = standings.filter((standing) => standing !== 'gone').length;
  if (joins === 0) return { state: 'due', why: because('no-line-planned') };
  const count = (of: JoinStanding): number => standings.filter((standing) => standing === of).length;
  const [due, notTied, notPulled] = [count('due'), count('not tied'), count('not pulled')];
  const underSeated = count('under-seated');
  if (due > 0) return { state: 'stale', why: because('joins-due-again', { due, joins }) };
  if (underSeated > 0) return { state: 'stale', why: because('joins-under-seated', { underSeated, joins }) };
  if (notTied > 0) return { state: 'due', why: because('joins-not-tied', { missing: notTied, joins }) };
  if (notPulled > 0) return { state: 'due', why: because('joins-not-pulled', { missing: notPulled, joins }) };
  return { state: 'done', why: because('joins-done') };
}

/** What the weaker of the lines of a structure holds (N), as far as it is known; null while neither is. */
export function weakerLineN(record: RigRecord, join: JoinRecord): number | null {
  const strengths = segmentsOfJoin(join).flatMap((id) => {
    const known = productStrength(record, productIdNow(record, id)).strengthN;
    return known ? [known.value] : [];
  });
  return strengths.length === 0 ? null : Math.min(...strengths);
}
