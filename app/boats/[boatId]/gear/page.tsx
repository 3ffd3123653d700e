import type { Metadata } from 'next';
import { GearPage } from '@/components/gear/GearPage';
import { BoatPage } from '@/components/shell/BoatPage';
import { gearPath } from '@/components/shell/paths';
import { readSearch, type Search } from '@/app/read/search';
import { pageCrew, readPage } from '@/app/read/snapshot';
import { readGear } from '@/usecases/gear/gear';

export const metadata: Metadata = { title: 'Reels and lines' };

interface Props {
  readonly params: Promise<{ boatId: string }>;
  readonly searchParams: Search;
}

export default async function Gear({ params, searchParams }: Props) {
  const { likeRigId, material, labelN } = await readSearch(searchParams);
  const { gear, crew } = await readPage((await params).boatId, async (db) => {
    const gear = await readGear(db);
    return gear && { gear, crew: await pageCrew(db) };
  });
  const { boat } = gear;
  return (
    <BoatPage
      boat={boat}
      here={{ label: 'Reels and lines', path: gearPath(boat.id) }}
      heading={`Reels and lines of ${boat.name}`}
      crew={crew}
    >
      <GearPage
        boatId={boat.id}
        reels={gear.reels}
        lines={gear.lines}
        freeReelIds={gear.freeReelIds}
        supplySpools={gear.supplySpools}
        people={gear.people}
        rigs={gear.rigs}
        plans={gear.plans}
        likeRigId={likeRigId}
        begunLine={material && { material, labelStrengthN: labelN }}
        wanted={gear.wanted}
      />
    </BoatPage>
  );
}
