import { JOIN_WORK, type KitThing } from '../../joins/joinWork';
import type { JoinStanding, JoinWear } from '../../joins/joinState';
import type { JoinRecord, RigRecord } from '../../record/record';
import { standingOnRig } from './joinsOfRig';

/** A structure that is to be tied, or pulled, before a trip. */
export interface ToTie {
  readonly join: JoinRecord;
  readonly standing: Exclude<JoinStanding, 'gone' | 'good'>;
  readonly wornBy: readonly JoinWear[];
  readonly boreLoss: boolean;
  readonly minutes: number;
  readonly needs: readonly KitThing[];
}

export interface TieList {
  readonly rows: readonly ToTie[];
  /** Minutes at work, and waiting for glue: that goes on while the next one is tied. */
  readonly minutes: number;
  readonly dryMinutes: number;
  readonly needs: readonly KitThing[];
}

/** Minutes of a pull that only seats or tests what is tied (from memory). */
const PULL_MINUTES = 2;
const GLOVES: KitThing = 'gloves or a bar for the seating pull';

/**
 * What is to be tied of a rig before a trip, with times and things: joins never noted, due, planned anew, or seated with too little; and
 * those that were never pulled, which takes a pull alone. In the order of tying.
 *
 * @param nowMs the day of the trip (ms since 1970)
 */
export function tieList(record: RigRecord, nowMs: number): TieList {
  // What is planned for another line than the one that is on is tied when that line is loaded.
  const planned = record.planJoins.filter(
    (each) => !record.joins.some(({ id }) => id === each.id) && isOnReel(record, each),
  );
  const isReplaced = (join: JoinRecord): boolean =>
    planned.some((each) => each.outerSegmentId === join.outerSegmentId && each.innerSegmentId === join.innerSegmentId);
  const rows = [...record.joins.filter((join) => !isReplaced(join)), ...planned].flatMap((join): ToTie[] => {
    const { standing, wornBy, boreLoss } = standingOnRig(record, join, nowMs);
    if (standing === 'gone' || standing === 'good') return [];
    const isPull = standing === 'not pulled' || standing === 'under-seated';
    const work = JOIN_WORK[join.kind];
    return [
      {
        ...{ join, standing, wornBy, boreLoss },
        minutes: isPull ? PULL_MINUTES : work.minutes,
        needs: isPull ? [GLOVES] : work.needs,
      },
    ];
  });
  const tied = rows.filter(({ standing }) => standing !== 'not pulled' && standing !== 'under-seated');
  return {
    rows,
    minutes: rows.reduce((sum, row) => sum + row.minutes, 0),
    dryMinutes: Math.max(0, ...tied.map(({ join }) => JOIN_WORK[join.kind].dryMinutes)),
    needs: [...new Set(rows.flatMap((row) => row.needs))],
  };
}

/** True where both lines of a place are on the reel, or nothing is yet. */
function isOnReel({ load }: RigRecord, { innerSegmentId, outerSegmentId }: JoinRecord): boolean {
  if (load?.status !== 'wound') return true;
  const has = (id: string): boolean => load.segments.some(({ segmentId }) => segmentId === id);
  return has(outerSegmentId) && (innerSegmentId === null || has(innerSegmentId));
}
