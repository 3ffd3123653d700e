'use client';

import { wrap } from 'comlink';
import { startTransition, useEffect, useState } from 'react';
import type { RigRecord } from '@/core/record/record';
import type { Weighed } from '@/core/rig/worth/weighFigures';
import type { FigureKind } from '@/core/worth/enough';
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
  useEffect(() => {
    if (typeof Worker === 'undefined') return;
    const thread = new Worker(new URL('./worth.worker.ts', import.meta.url));
    let isWanted = true;
    // What fails is said where it would stand, and not waited for.
    const fail = (error: unknown): void => {
      if (isWanted)
        setFound(() => {
          throw error instanceof Error ? error : new Error('What to measure next could not be weighed.');
        });
    };
    thread.onerror = fail;
    void wrap<WorthWorker>(thread)
      .weigh(record, asked.split(' ') as FigureKind[])
      .then((weighed) => {
        if (isWanted) startTransition(() => setFound({ of: record, weighed }));
      })
      .catch(fail)
      .finally(() => thread.terminate());
    return () => {
      isWanted = false;
      thread.terminate();
    };
  }, [record, asked]);
  return { weighed: found?.weighed ?? null, isCurrent: found?.of === record };
}
