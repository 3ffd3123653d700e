import { JoinsStation } from '@/components/joins/JoinsStation';
import { readPage } from '@/app/read/snapshot';
import { readJoinsBench } from '@/usecases/joins/joins';
import { readWindOns } from '@/usecases/joins/windOns';

export default async function Joins({ params }: { params: Promise<{ boatId: string; rigId: string }> }) {
  const { bench, windOns } = await readPage((await params).boatId, async (db) => ({
    bench: await readJoinsBench(db),
    windOns: await readWindOns(db),
  }));
  return (
    <JoinsStation
      people={bench.people}
      drills={bench.drills}
      windOns={windOns}
      crew={bench.crew}
      ownFigures={bench.ownFigures}
      now={bench.nowMs}
    />
  );
}
