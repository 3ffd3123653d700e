import { notFound } from 'next/navigation';
import { History } from '@/components/history/History';
import { ThisRig } from '@/components/history/ThisRig';
import { readFreeReels } from '@/usecases/gear/gear';
import { readPage } from '@/app/read/snapshot';
import { readActs } from '@/usecases/history/undoActs';
import { asId } from '@/usecases/inputs';

export default async function HistoryPage({ params }: { params: Promise<{ boatId: string; rigId: string }> }) {
  const { boatId, rigId } = await params;
  const id = asId(rigId) ?? notFound();
  const { acts, freeReels } = await readPage(boatId, async (db) => ({
    acts: await readActs(db, id),
    freeReels: await readFreeReels(db),
  }));
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[3fr_2fr]">
      <History acts={acts} />
      <ThisRig freeReels={freeReels} />
    </div>
  );
}
