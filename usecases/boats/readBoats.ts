import 'server-only';
import { listBoats, listPeople, type BoatRow } from '../../db/queries/boats';
import { NO_BOAT, withBoat, type BoatDb, type Principal } from '../../db/withBoat';

/** Every boat of this machine. */
export async function readBoats(principal: Principal, signal?: AbortSignal): Promise<readonly BoatRow[]> {
  return withBoat(principal, NO_BOAT, 'read', listBoats, signal);
}

/** The crew of a boat, and the one of them who asks, or null. */
export interface BoatCrew {
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly person: string | null;
}

export async function readCrew(db: BoatDb, principal: Principal): Promise<BoatCrew> {
  const people = (await listPeople(db, db.boatId)).filter(({ archivedAt }) => archivedAt === null);
  const person = people.find(({ id }) => id === principal.personId)?.id ?? null;
  return { people: people.map(({ id, name }) => ({ id, name })), person };
}
