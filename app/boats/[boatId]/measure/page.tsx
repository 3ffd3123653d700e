import type { Metadata } from 'next';
import { FindAndPage } from '@/components/locker/FindAndPage';
import { FollowBoat } from '@/components/shell/FollowBoat';
import { Header } from '@/components/shell/Header';
import { boatPath, measuringPath } from '@/components/shell/paths';
import { WordsProvider } from '@/components/units/WordsProvider';
import { BoatNext } from '@/components/worth/BoatNext';
import { readSearch, type Search } from '@/app/read/search';
import { pageCrew, readPage } from '@/app/read/snapshot';
import { readMeasuring } from '@/usecases/rigs/measuring';

export const metadata: Metadata = { title: 'What to measure next' };

interface Props {
  readonly params: Promise<{ boatId: string }>;
  readonly searchParams: Search;
}

export default async function Measuring({ params, searchParams }: Props) {
  const { find, page, minutes } = await readSearch(searchParams);
  const { boat, crew, measuring } = await readPage((await params).boatId, async (db) => {
    return (
      db.boat && { boat: db.boat, crew: await pageCrew(db), measuring: await readMeasuring(db, find, page, minutes) }
    );
  });
  return (
    <WordsProvider>
      <FollowBoat boatId={boat.id} />
      <Header
        crumbs={[
          { label: boat.name, path: boatPath(boat.id) },
          { label: 'What to measure next', path: measuringPath(boat.id) },
        ]}
        places={[
          { label: `Locker of ${boat.name}`, path: boatPath(boat.id) },
          { label: 'All boats', path: '/' },
        ]}
        crew={crew}
      />
      <main id="main" className="mx-auto max-w-[84rem] px-4 py-4 pb-16">
        <h1 className="lettered mb-4 text-2xl">What to measure next on {boat.name}</h1>
        <FindAndPage path={measuringPath(boat.id)} find={find} {...measuring} what="rods" />
        <BoatNext boatId={boat.id} measuring={measuring} timeMinutes={minutes} />
      </main>
    </WordsProvider>
  );
}
