import type { Metadata } from 'next';
import { TieLists } from '@/components/joins/TieLists';
import { BoatPage } from '@/components/shell/BoatPage';
import { tieListPath } from '@/components/shell/paths';
import { pageCrew, readPage } from '@/app/read/snapshot';
import { readTieLists } from '@/usecases/joins/tieLists';

export const metadata: Metadata = { title: 'What to tie' };

interface Props {
  readonly params: Promise<{ boatId: string }>;
}

export default async function TieListOfBoat({ params }: Props) {
  const { boat, crew, lists } = await readPage(
    (await params).boatId,
    async (db) => db.boat && { boat: db.boat, crew: await pageCrew(db), lists: await readTieLists(db) },
  );
  return (
    <BoatPage
      boat={boat}
      here={{ label: 'What to tie', path: tieListPath(boat.id) }}
      heading="What to tie before the trip"
      crew={crew}
    >
      <TieLists boatId={boat.id} lists={lists} />
    </BoatPage>
  );
}
