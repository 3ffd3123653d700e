import { notFound } from 'next/navigation';
import { History } from '@/components/history/History';
import { readPage } from '@/app/read/snapshot';
import { readActs } from '@/usecases/history/undoActs';
import { asId } from '@/usecases/inputs';

export default async function HistoryPage({ params }: { params: Promise<{ boatId: string; rigId: string }> }) {
  const { boatId, rigId } = await params;
  const id = asId(rigId) ?? notFound();
  return <History acts={await readPage(boatId, (db) => readActs(db, id))} />;
}
