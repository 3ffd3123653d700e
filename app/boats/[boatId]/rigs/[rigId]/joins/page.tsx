import { notFound } from 'next/navigation';
import { JoinsStation } from '@/components/joins/JoinsStation';
import { readJoinsBench } from '@/usecases/joins/joins';
import { readWindOns } from '@/usecases/joins/windOns';
import { isUuid } from '@/usecases/limits';

export default async function Joins({ params }: { params: Promise<{ boatId: string; rigId: string }> }) {
  const { boatId } = await params;
  if (!isUuid(boatId)) notFound();
  const [{ people, tested, drills, nowMs }, windOns] = await Promise.all([readJoinsBench(boatId), readWindOns(boatId)]);
  return (
    <JoinsStation
      people={people}
      drills={drills}
      windOns={windOns}
      tested={Object.fromEntries(tested.map(({ kind, efficiency }) => [kind, efficiency]))}
      now={nowMs}
    />
  );
}
