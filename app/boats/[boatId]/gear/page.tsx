import type { Metadata } from 'next';
import { GearPage } from '@/components/gear/GearPage';
import { WordsProvider } from '@/components/units/WordsProvider';
import { FollowBoat } from '@/components/shell/FollowBoat';
import { Header } from '@/components/shell/Header';
import { boatPath, gearPath } from '@/components/shell/paths';
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
    <WordsProvider>
      <FollowBoat boatId={boat.id} />
      <Header
        crumbs={[
          { label: boat.name, path: boatPath(boat.id) },
          { label: 'Reels and lines', path: gearPath(boat.id) },
        ]}
        places={[
          { label: `Locker of ${boat.name}`, path: boatPath(boat.id) },
          { label: 'All boats', path: '/' },
        ]}
        crew={crew}
      />
      <main id="main" className="mx-auto max-w-[84rem] px-4 py-4 pb-16">
        <h1 className="lettered mb-4 text-2xl">Reels and lines of {boat.name}</h1>
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
      </main>
    </WordsProvider>
  );
}
