import type { Metadata } from 'next';
import { FindAndPage } from '@/components/locker/FindAndPage';
import { BoatPage } from '@/components/shell/BoatPage';
import { measuringPath } from '@/components/shell/paths';
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
    <BoatPage
      boat={boat}
      here={{ label: 'What to measure next', path: measuringPath(boat.id) }}
      heading={`What to measure next on ${boat.name}`}
      crew={crew}
    >
      <FindAndPage path={measuringPath(boat.id)} find={find} {...measuring} what="rods" />
      <BoatNext boatId={boat.id} measuring={measuring} timeMinutes={minutes} />
    </BoatPage>
  );
}
