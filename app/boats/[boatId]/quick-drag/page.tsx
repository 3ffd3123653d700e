import type { Metadata } from 'next';
import { QuickDrag } from '@/components/drag/QuickDrag';
import { FollowBoat } from '@/components/shell/FollowBoat';
import { Header } from '@/components/shell/Header';
import { boatPath, quickDragPath } from '@/components/shell/paths';
import { WordsProvider } from '@/components/units/WordsProvider';
import { pageCrew, readPage } from '@/app/read/snapshot';

export const metadata: Metadata = { title: 'Quick drag' };

interface Props {
  readonly params: Promise<{ boatId: string }>;
}

export default async function Quick({ params }: Props) {
  const { boat, crew } = await readPage(
    (await params).boatId,
    async (db) => db.boat && { boat: db.boat, crew: await pageCrew(db) },
  );
  return (
    <WordsProvider>
      <FollowBoat boatId={boat.id} />
      <Header
        crumbs={[
          { label: boat.name, path: boatPath(boat.id) },
          { label: 'Quick drag', path: quickDragPath(boat.id) },
        ]}
        places={[
          { label: `Locker of ${boat.name}`, path: boatPath(boat.id) },
          { label: 'All boats', path: '/' },
        ]}
        crew={crew}
      />
      <main id="main" className="mx-auto max-w-[84rem] px-4 py-4 pb-16">
        <h1 className="lettered mb-4 text-2xl">Quick drag</h1>
        <QuickDrag boatId={boat.id} />
      </main>
    </WordsProvider>
  );
}
