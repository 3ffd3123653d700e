/**
 * How a join stands: gone with the line that it joined, never noted as tied, seated with less than closes it,
 * tied but never pulled, due for retying, or good.
 */
export type JoinStanding = 'gone' | 'not tied' | 'under-seated' | 'not pulled' | 'due' | 'good';

/** What wears a join out: its age, drags that were set through it, and fish that were fought on it. */
export type JoinWear = 'age' | 'drags' | 'fish';

/**
 * From when on a join is tied anew, by where it is (from memory): at a leader it wears fastest. Days, drags set with a scale, fish fought.
 */
export const RETIE_FROM = {
  leader: { age: 30, drags: 8, fish: 5 },
  other: { age: 180, drags: 30, fish: 40 },
} as const;

const DAY_MS = 86_400_000;

/** A tied join with what it has borne since. */
export interface JoinUse {
  readonly pullTested: boolean;
  readonly at: string;
  readonly drags: number;
  readonly fish: number;
}

export interface AgedJoin {
  readonly standing: JoinStanding;
  readonly ageDays: number | null;
  /** What it is due for; empty where it is not. */
  readonly wornBy: readonly JoinWear[];
}

/**
 * How a join stands today.
 *
 * @param tie how it was last tied, or null
 * @param atLeader true where it bears the leader
 * @param nowMs today (ms since 1970)
 */
export function joinStanding(tie: JoinUse | null, atLeader: boolean, nowMs: number): AgedJoin {
  if (!tie) return { standing: 'not tied', ageDays: null, wornBy: [] };
  const ageDays = Math.max(0, Math.floor((nowMs - Date.parse(tie.at)) / DAY_MS));
  const from = RETIE_FROM[atLeader ? 'leader' : 'other'];
  const borne = { age: ageDays, drags: tie.drags, fish: tie.fish };
  const wornBy = (['age', 'drags', 'fish'] as const).filter((wear) => borne[wear] >= from[wear]);
  if (wornBy.length > 0) return { standing: 'due', ageDays, wornBy };
  return { standing: tie.pullTested ? 'good' : 'not pulled', ageDays, wornBy };
}
