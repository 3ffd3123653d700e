/**
 * How a join stands: gone with the line that it joined, never noted as tied, seated with less than closes it,
 * tied but never pulled, due for retying, or good.
 */
export type JoinStanding = 'gone' | 'not tied' | 'under-seated' | 'not pulled' | 'due' | 'good';

/** Days after which a join is tied anew, by where it is: at a leader it wears fastest (from memory). */
export const RETIE_DAYS = { leader: 30, other: 180 } as const;

const DAY_MS = 86_400_000;

/**
 * How a join stands today.
 *
 * @param tie how it was last tied, or null
 * @param atLeader true where it bears the leader
 * @param nowMs today (ms since 1970)
 */
export function joinStanding(
  tie: { readonly pullTested: boolean; readonly at: string } | null,
  atLeader: boolean,
  nowMs: number,
): { readonly standing: JoinStanding; readonly ageDays: number | null } {
  if (!tie) return { standing: 'not tied', ageDays: null };
  const ageDays = Math.max(0, Math.floor((nowMs - Date.parse(tie.at)) / DAY_MS));
  if (ageDays >= (atLeader ? RETIE_DAYS.leader : RETIE_DAYS.other)) return { standing: 'due', ageDays };
  return { standing: tie.pullTested ? 'good' : 'not pulled', ageDays };
}
