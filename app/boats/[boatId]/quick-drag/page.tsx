import type { Metadata } from 'next';
import { QuickDrag } from '@/components/drag/QuickDrag';
import { BoatPage } from '@/components/shell/BoatPage';
import { quickDragPath } from '@/components/shell/paths';
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
    <BoatPage boat={boat} here={{ label: 'Quick drag', path: quickDragPath(boat.id) }} heading="Quick drag" crew={crew}>
      <QuickDrag boatId={boat.id} />
    </BoatPage>
  );
}
