import 'server-only';
import { cookies } from 'next/headers';
import { notFound } from 'next/navigation';
import { cache, cacheSignal } from 'react';
import { PERSON_COOKIE } from '@/components/crew/personCookie';
import type { BoatDb, Principal } from '@/db/withBoat';
import { readBoats, readCrew, type BoatCrew } from '@/usecases/boats/readBoats';
import { asId } from '@/usecases/inputs';
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
export const pageCrew = async (db: BoatDb): Promise<BoatCrew> => readCrew(db, await pagePrincipal());

/** Every boat, for the first page. */
export const pageBoats = async () => readBoats(await pagePrincipal(), cacheSignal() ?? undefined);
