'use client';

import { VirtualBench } from '@/components/bench/VirtualMark';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { LIMITS } from '@/usecases/limits';

/** A level measured before the next segment, most usefully before the thick one. */
export function Checkpoint({
  segmentId,
  loadId,
  onDone,
}: {
  segmentId: string;
  loadId: string;
  /** What follows, where it is no stop on the way. */
  onDone?: () => void;
}) {
  const { record } = useRig();
  const { sendNow, state, fieldError } = useSend();
  const bench = useVirtualReel();
  const level = useQuantity(`checkpoint:${segmentId}`, 'smallLength', null, LIMITS.levelBelowRimM);
  const measure = async (): Promise<void> => {
    const shown = await bench.work({ act: 'measure-level' });
    if (shown?.levelBelowRimM != null) level.set({ text: (shown.levelBelowRimM * 1000).toFixed(1), unit: 'mm' });
  };
  const note = async (): Promise<void> => {
    const body = { segmentId, levelBelowRimM: level.value, instrument: 'caliper' };
    const result = await sendNow(
      'noteLevel',
      { boatId: record.boat.id, rigId: record.id, loadId },
      body,
      onDone ? 'Noted. Every figure follows.' : 'Noted. The rest is solved again.',
    );
    if (!result.ok) return;
    level.forget();
    onDone?.();
  };
  return (
    <div className="mt-3 flex flex-col gap-2">
      <div className="flex flex-wrap items-end gap-2">
        <div className="w-44">
          <QuantityField label="Level now, under the rim" {...level.field} error={fieldError('levelBelowRimM')} />
        </div>
        <Button disabled={state.kind === 'sending' || level.value === null} onClick={() => void note()}>
          Note this level
        </Button>
      </div>
      {!onDone && (
        <p className="text-xs text-ink-soft">
          May be left out. Measured before a thick segment it tells how this line packs, and the rest is solved again.
        </p>
      )}
      {record.hasVirtualReel && (
        <VirtualBench instrument="caliper on the virtual reel">
          <Button disabled={bench.busy} onClick={() => void measure()}>
            Measure the level now
          </Button>
        </VirtualBench>
      )}
    </div>
  );
}
