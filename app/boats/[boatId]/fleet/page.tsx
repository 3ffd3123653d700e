import type { Metadata } from 'next';
import { FleetPage } from '@/components/fleet/FleetPage';
import { FindAndPage } from '@/components/locker/FindAndPage';
import { WordsProvider } from '@/components/units/WordsProvider';
import { FollowBoat } from '@/components/shell/FollowBoat';
import { Header } from '@/components/shell/Header';
import { boatPath, fleetPath, rigPath } from '@/components/shell/paths';
import { readSearch, type Search } from '@/app/read/search';
import { pageCrew, readPage } from '@/app/read/snapshot';
import { readFleet } from '@/usecases/rigs/locker';

export const metadata: Metadata = { title: 'Fleet' };

interface Props {
  readonly params: Promise<{ boatId: string }>;
  readonly searchParams: Search;
}

export default async function Fleet({ params, searchParams }: Props) {
  const { find, page } = await readSearch(searchParams);
  const { boat, crew, fleet } = await readPage((await params).boatId, async (db) => {
    return db.boat && { boat: db.boat, crew: await pageCrew(db), fleet: await readFleet(db, find, page) };
  });
  return (
    <WordsProvider>
      <FollowBoat boatId={boat.id} />
      <Header
        crumbs={[
          { label: boat.name, path: boatPath(boat.id) },
          { label: 'Fleet', path: fleetPath(boat.id) },
        ]}
        places={[
          ...fleet.rigs.map((rig) => ({ label: rig.name, path: rigPath(boat.id, rig.id) })),
          { label: `Locker of ${boat.name}`, path: boatPath(boat.id) },
          { label: 'All boats', path: '/' },
        ]}
        crew={crew}
      />
      <main id="main" className="mx-auto max-w-[84rem] px-4 py-4 pb-16">
        <h1 className="lettered no-print mb-4 text-2xl">Make the rods of {boat.name} agree</h1>
        <FindAndPage path={fleetPath(boat.id)} find={find} {...fleet} what="rods" />
        <FleetPage boatId={boat.id} boatName={boat.name} rigs={fleet.rigs} />
      </main>
    </WordsProvider>
  );
}
