import 'server-only';
import { cookies } from 'next/headers';
import { notFound } from 'next/navigation';
import { cache, cacheSignal } from 'react';
import { PERSON_COOKIE } from '@/components/crew/personCookie';
import type { Crew } from '@/components/crew/NotingAs';
import { listPeople } from '@/db/queries/boats';
import { NO_BOAT, withBoat, type BoatDb, type Principal } from '@/db/withBoat';
import { asId } from '@/usecases/limits';
import { readLearned } from '@/usecases/rigs/learning';
import { principalOf } from '@/app/http/principal';

/** Who asks for this page. */
export const pagePrincipal = cache(async (): Promise<Principal> =>
  principalOf((await cookies()).get(PERSON_COOKIE)?.value),
);

/**
 * Reads a page of a boat in one read-only snapshot, with what its loads teach. A page that nobody waits for any more is
 * not read to its end.
 *
 * @param boatId as it stands in the address; not found when it is none, or the boat is not there
 * @param read what the page shows; null: there is no such page
 */
export async function readPage<T>(boatId: string, read: (db: BoatDb) => Promise<T | null>): Promise<T> {
  const id = asId(boatId) ?? notFound();
  const value = await readLearned(
    await pagePrincipal(),
    id,
    async (db) => (db.boat === null ? null : read(db)),
    cacheSignal() ?? undefined,
  );
  return value ?? notFound();
}

/** The crew of a boat, and who of them is at the bench on this device. */
export async function readCrew(db: BoatDb): Promise<Crew> {
  const [people, principal] = [await listPeople(db, db.boatId), await pagePrincipal()];
  const person = people.find(({ id }) => id === principal.personId)?.id ?? null;
  return { people: people.map(({ id, name }) => ({ id, name })), person };
}

/** Reads what belongs to no boat. */
export async function readBoats<T>(read: (db: BoatDb) => Promise<T>): Promise<T> {
  return withBoat(await pagePrincipal(), NO_BOAT, 'read', read, cacheSignal() ?? undefined);
}
