'use client';

import type { LoadRecord } from '@/core/record/record';
import { VirtualBench } from '@/components/bench/VirtualMark';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { blocked } from '@/components/fields/blocked';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { LIMITS } from '@/usecases/limits';
import { LaidOn, useLaid } from './LaidOn';
import { FromTheShelf, useShelf } from './FromTheShelf';

/** The last step of winding: the level, and the load is closed. */
export function FinishLoad({ load }: { load: LoadRecord }) {
  const { record } = useRig();
  const { sendNow, state, fieldError } = useSend();
  const bench = useVirtualReel();
  const level = useQuantity(`level:${load.id}`, 'smallLength', null, LIMITS.levelBelowRimM);
  const shelf = useShelf(load);
  const laid = useLaid(load);
  const measure = async (): Promise<void> => {
    const shown = await bench.work({ act: 'measure-level' });
    if (shown?.levelBelowRimM != null) level.set({ text: (shown.levelBelowRimM * 1000).toFixed(1), unit: 'mm' });
  };
  const finish = async (levelBelowRimM: number | null): Promise<void> => {
    if (blocked(level, laid.tension)) return;
    const result = await sendNow(
      'finishWinding',
      { boatId: record.boat.id, rigId: record.id, loadId: load.id },
      { version: load.version, levelBelowRimM, supplies: shelf.supplies, laid: laid.value },
      record.reel.counter ? 'Loaded. Leave the supply line uncut until the counter is accepted.' : 'Loaded.',
    );
    if (!result.ok) return;
    level.forget();
    laid.forget();
  };
  return (
    <Card title="All on: measure the level">
      <p className="mb-3">
        Lay a straight edge over the rim and measure down to the line at three points; take the middle one. The measured
        level tells how this line really packs on this reel.
      </p>
      <FromTheShelf shelf={shelf} error={fieldError('supplies')} />
      <LaidOn laid={laid} />
      <div className="flex flex-wrap items-end gap-2">
        <div className="w-52">
          <QuantityField
            label="Level under the rim"
            {...level.field}
            hint="minus when it stands above"
            error={fieldError('levelBelowRimM')}
          />
        </div>
        <Button
          weight="main"
          disabled={state.kind === 'sending' || level.value === null}
          onClick={() => void finish(level.value)}
        >
          Finish this load
        </Button>
        <Button disabled={state.kind === 'sending'} onClick={() => void finish(null)}>
          Finish without measuring
        </Button>
      </div>
      {record.hasVirtualReel && (
        <div className="mt-4">
          <VirtualBench instrument="caliper on the virtual reel">
            <Button disabled={bench.busy} onClick={() => void measure()}>
              Measure on the virtual reel
            </Button>
          </VirtualBench>
        </div>
      )}
    </Card>
  );
}
