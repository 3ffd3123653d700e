'use client';

import { useState } from 'react';
import type { ForceSample } from '@/core/force/forceSample';
import type { PrepFigure } from '@/core/joins/prepFigures';
import { readSeatingPull, type SeatingPull } from '@/core/joins/readSeating';
import { TracePlot } from '@/components/bench/TracePlot';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { VirtualBench } from '@/components/bench/VirtualMark';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';

/** What to aim at, from the least pull that may seat the join to one beyond the band. */
const AIMS = [0.7, 1, 1.3, 1.6] as const;

/** A seating pull with the virtual scale: what it held, and whether the join still creeps. */
export function SeatingScale({
  joinId,
  band,
  onRead,
}: {
  joinId: string;
  band: PrepFigure;
  onRead: (heldN: number) => void;
}) {
  const { record } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const bench = useVirtualReel();
  const [samples, setSamples] = useState<readonly ForceSample[]>([]);
  const [words, setWords] = useState<string | null>(null);
  if (!record.hasVirtualReel) return null;
  const pull = async (aimN: number): Promise<void> => {
    const shown = await bench.work({ act: 'seat-join', joinId, aimN });
    if (!shown) return;
    setSamples(shown.samples);
    const read = readSeatingPull(shown.samples);
    setWords(read.ok ? seatingWords(read.value, band, format.force(band.least)) : say(read));
    if (read.ok) onRead(read.value.heldN);
  };
  return (
    <VirtualBench instrument="scale between hand and join">
      {AIMS.map((share) => (
        <Button key={share} disabled={bench.busy} onClick={() => void pull(share * band.least)}>
          Pull to {format.force(share * band.least)}
        </Button>
      ))}
      <TracePlot samples={samples} label="The seating pull" />
      {words && (
        <p role="status" className="w-full text-sm font-semibold">
          {words}
        </p>
      )}
    </VirtualBench>
  );
}

function seatingWords(pull: SeatingPull, band: PrepFigure, least: string): string {
  if (pull.isCreeping) return 'It still creeps under the pull: it is not seated. Draw harder, slowly, until it stands.';
  if (pull.heldN < band.least) return `It stands, but less was pulled than the ${least} that this join should bear.`;
  if (pull.heldN > band.most) return 'It stands. That was more than a seating pull needs: look the join over.';
  return 'It stands: no creep under the pull.';
}
