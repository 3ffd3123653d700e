'use client';

import { startTransition, useEffect, useState } from 'react';
import type { RigRecord } from '@/core/record/record';
import type { Weighed } from '@/core/rig/worth/weighFigures';
import type { FigureKind } from '@/core/worth/enough';
import { useThrow, workedOut } from '@/components/ui/workedOut';
import type { WorthWorker } from './worth.worker';

/**
 * What to measure next for figures of a rig, weighed away from the page: every set of measurements is looked at.
 *
 * @returns the newest answer, null until there is one; while another is worked out, the one before it stands and is not current
 */
export function useWeighed(
  record: RigRecord,
  kinds: readonly FigureKind[],
): { readonly weighed: Weighed | null; readonly isCurrent: boolean } {
  const asked = kinds.join(' ');
  const [found, setFound] = useState<{ of: RigRecord; weighed: Weighed | null } | null>(null);
  const fail = useThrow();
  useEffect(() => {
    if (typeof Worker === 'undefined') return;
    const worth = workedOut<WorthWorker, Weighed | null>(
      () => new Worker(new URL('./worth.worker.ts', import.meta.url)),
      (worker) => worker.weigh(record, asked.split(' ') as FigureKind[]),
    );
    void worth.found.then((weighed) => startTransition(() => setFound({ of: record, weighed })), fail);
    return worth.stop;
  }, [record, asked, fail]);
  return { weighed: found?.weighed ?? null, isCurrent: found?.of === record };
}
