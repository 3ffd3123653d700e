import type { Metadata } from 'next';
import { FindAndPage } from '@/components/locker/FindAndPage';
import { PrintSheets } from '@/components/sheets/PrintSheets';
import { WordsProvider } from '@/components/units/WordsProvider';
import { FollowBoat } from '@/components/shell/FollowBoat';
import { Header } from '@/components/shell/Header';
import { boatPath, sheetsPath } from '@/components/shell/paths';
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
    <WordsProvider>
      <FollowBoat boatId={boat.id} />
      <Header
        crumbs={[
          { label: boat.name, path: boatPath(boat.id) },
          { label: 'Run sheets', path: sheetsPath(boat.id) },
        ]}
        places={[
          { label: `Locker of ${boat.name}`, path: boatPath(boat.id) },
          { label: 'All boats', path: '/' },
        ]}
        crew={crew}
      />
      <main id="main" className="mx-auto max-w-[60rem] px-4 py-4 pb-16 print:max-w-none print:p-0">
        <h1 className="lettered no-print mb-4 text-2xl">Run sheets of {boat.name}</h1>
        <FindAndPage path={sheetsPath(boat.id)} find={find} {...fleet} what="rigs" />
        <PrintSheets records={fleet.rigs.filter((rig) => rig.segments.length > 0)} />
      </main>
    </WordsProvider>
  );
}
