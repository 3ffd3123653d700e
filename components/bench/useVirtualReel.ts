'use client';

import { useCallback } from 'react';
import type { BenchInput } from '@/usecases/bench/benchInput';
import { benchReply, type BenchReply } from '@/components/http/send';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';

/** Works the virtual reel of the rig on this page, and gives what its instruments show. */
export function useVirtualReel(): { busy: boolean; work(input: BenchInput): Promise<BenchReply | null> } {
  const { record } = useRig();
  const { state, sendNow } = useSend();
  const work = useCallback(
    async (input: BenchInput): Promise<BenchReply | null> => {
      const result = await sendNow('POST', `/api/boats/${record.boat.id}/rigs/${record.id}/virtual-reel`, input);
      return result.ok ? benchReply.parse(result.value) : null;
    },
    [record.boat.id, record.id, sendNow],
  );
  return { busy: state.kind === 'sending', work };
}
