import type { Metadata } from 'next';
import { FirstReel } from '@/components/gear/FirstReel';
import { BoatPage } from '@/components/shell/BoatPage';
import { firstReelPath } from '@/components/shell/paths';
import { pageCrew, readPage } from '@/app/read/snapshot';

export const metadata: Metadata = { title: 'A first reel' };

interface Props {
  readonly params: Promise<{ boatId: string }>;
}

export default async function First({ params }: Props) {
  const { boat, crew } = await readPage(
    (await params).boatId,
    async (db) => db.boat && { boat: db.boat, crew: await pageCrew(db) },
  );
  return (
    <BoatPage
      boat={boat}
      here={{ label: 'A first reel', path: firstReelPath(boat.id) }}
      heading="A first reel"
      crew={crew}
    >
      <FirstReel boatId={boat.id} />
    </BoatPage>
  );
}
