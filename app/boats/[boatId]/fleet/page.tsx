import type { Metadata } from 'next';
import { FleetPage } from '@/components/fleet/FleetPage';
import { FindAndPage } from '@/components/locker/FindAndPage';
import { BoatPage } from '@/components/shell/BoatPage';
import { fleetPath, rigPath } from '@/components/shell/paths';
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
    <BoatPage
      boat={boat}
      here={{ label: 'Fleet', path: fleetPath(boat.id) }}
      heading={`Same length on every rod of ${boat.name}`}
      crew={crew}
      places={fleet.rigs.map((rig) => ({ label: rig.name, path: rigPath(boat.id, rig.id) }))}
    >
      <FindAndPage path={fleetPath(boat.id)} find={find} {...fleet} what="rods" />
      <FleetPage boatId={boat.id} boatName={boat.name} rigs={fleet.rigs} />
    </BoatPage>
  );
}
