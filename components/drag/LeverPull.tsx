'use client';

import { useState } from 'react';
import { readDragPull } from '@/core/drag/readPull';
import type { LoadRecord } from '@/core/record/record';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { VirtualBench } from '@/components/bench/VirtualMark';
import { FormChoice, FormQuantity } from '@/components/fields/FormParts';
import { choice, neededQuantity } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useInstrument } from '@/components/fields/useInstrument';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useSay } from '@/components/units/useSay';

const PLACES = [
  { value: '0', text: 'back (free)' },
  { value: '0.25', text: 'a quarter' },
  { value: '0.5', text: 'the middle (strike)' },
  { value: '0.75', text: 'three quarters' },
  { value: '1', text: 'forward (full)' },
] as const;

const ROD_ANGLE_RAD = Math.PI / 3;

/** One pull with the lever at a place of its sweep. */
export function LeverPull({ load }: { load: LoadRecord }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const bench = useVirtualReel();
  const say = useSay();
  const [unread, setUnread] = useState<string | null>(null);
  // From the back forward: the place after the one that was pulled last.
  const last = record.leverPoints.at(-1);
  const after = PLACES.find((each) => last !== undefined && Number(each.value) > last.position);
  const form = useDraftForm(
    `lever:${load.id}`,
    {
      position: choice(
        PLACES.map((each) => each.value),
        last ? (after?.value ?? '1') : '0',
      ),
      forceN: neededQuantity('force', { min: 0, max: 5000 }),
    },
    last?.id,
  );
  const { instrument, readBy, forget } = useInstrument(`lever:${load.id}`, form.raw('forceN'));
  const busy = state.kind === 'sending' || bench.busy;
  const store = (): Promise<void> =>
    form.submit(async ({ position, forceN }) => {
      const body = { loadId: load.id, position: Number(position), forceN, instrument };
      const result = await sendNow('recordLeverPoint', { boatId: record.boat.id, rigId: record.id }, body, 'Recorded.');
      if (result.ok) forget();
      return result;
    });
  const pullVirtually = async (): Promise<void> => {
    const shown = await bench.work({
      act: 'pull-drag',
      rodAngleRad: ROD_ANGLE_RAD,
      leverPosition: Number(form.raw('position')),
    });
    if (!shown) return;
    const read = readDragPull(shown.samples);
    // A scale that shows no pull has read nothing; one that pulled both ways has not been read.
    const movingN = read.ok ? read.value.movingN : read.reason === 'no-pull-on-scale' ? 0 : null;
    setUnread(read.ok || movingN !== null ? null : say(read));
    if (movingN === null) return;
    const typed = { text: movingN.toFixed(2), unit: 'N' };
    form.set('forceN', typed);
    readBy(shown.instrument, typed);
  };
  return (
    <>
      <p className="text-sm">
        Through the bent rod, as with a fish: pull with the lever at each place, from the back forward. Two pulls of one
        place are worth more than one.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <FormChoice form={form} name="position" label="The lever stands" options={PLACES} />
        <FormQuantity form={form} name="forceN" label="Moving pull at the tip" />
      </div>
      <Button weight="main" disabled={busy} onClick={() => void store()}>
        Record this pull
      </Button>
      {record.hasVirtualReel && (
        <VirtualBench instrument="scale on the virtual lever">
          <Button disabled={busy} onClick={() => void pullVirtually()}>
            Pull with the lever there
          </Button>
          {unread && (
            <p role="alert" className="font-semibold text-stop">
              {unread}
            </p>
          )}
        </VirtualBench>
      )}
    </>
  );
}
