import type { Metadata } from 'next';
import { FindAndPage } from '@/components/locker/FindAndPage';
import { PrintSheets } from '@/components/sheets/PrintSheets';
import { BoatPage } from '@/components/shell/BoatPage';
import { sheetsPath } from '@/components/shell/paths';
import { readSearch, type Search } from '@/app/read/search';
import { pageCrew, readPage } from '@/app/read/snapshot';
import { readFleet } from '@/usecases/rigs/locker';

export const metadata: Metadata = { title: 'Run sheets' };

interface Props {
  readonly params: Promise<{ boatId: string }>;
  readonly searchParams: Search;
}

/** The run sheets of a season: every rig that has a plan. */
export default async function Sheets({ params, searchParams }: Props) {
  const { find, page } = await readSearch(searchParams);
  const { boat, crew, fleet } = await readPage((await params).boatId, async (db) => {
    return db.boat && { boat: db.boat, crew: await pageCrew(db), fleet: await readFleet(db, find, page) };
  });
  return (
    <BoatPage
      boat={boat}
      here={{ label: 'Run sheets', path: sheetsPath(boat.id) }}
      heading={`Run sheets of ${boat.name}`}
      crew={crew}
      room="max-w-[60rem] print:max-w-none print:p-0"
    >
      <FindAndPage path={sheetsPath(boat.id)} find={find} {...fleet} what="rigs" />
      <PrintSheets records={fleet.rigs.filter((rig) => rig.segments.length > 0)} />
    </BoatPage>
  );
}
