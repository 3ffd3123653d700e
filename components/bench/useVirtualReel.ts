'use client';

import { useCallback } from 'react';
import type { BenchInput } from '@/usecases/bench/benchInput';
import type { BenchReading } from '@/usecases/bench/virtualBench';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';

/** Works the virtual reel of the rig on this page, and gives what its instruments show. */
export function useVirtualReel(): { busy: boolean; work(input: BenchInput): Promise<BenchReading | null> } {
  const { record } = useRig();
  const { state, sendNow } = useSend();
  const work = useCallback(
    async (input: BenchInput): Promise<BenchReading | null> => {
      const result = await sendNow('workVirtualReel', { boatId: record.boat.id, rigId: record.id }, input);
      return result.ok ? result.value : null;
    },
    [record.boat.id, record.id, sendNow],
  );
  return { busy: state.kind === 'sending', work };
}
