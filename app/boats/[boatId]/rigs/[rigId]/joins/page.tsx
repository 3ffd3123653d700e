import { notFound } from 'next/navigation';
import { JoinsStation } from '@/components/joins/JoinsStation';
import { readJoinsBench } from '@/usecases/joins/joins';
import { isUuid } from '@/usecases/limits';

export default async function Joins({ params }: { params: Promise<{ boatId: string; rigId: string }> }) {
  const { boatId } = await params;
  if (!isUuid(boatId)) notFound();
  const { people, tested, drills, nowMs } = await readJoinsBench(boatId);
  return (
    <JoinsStation
      people={people}
      drills={drills}
      tested={Object.fromEntries(tested.map(({ kind, efficiency }) => [kind, efficiency]))}
      now={nowMs}
    />
  );
}
