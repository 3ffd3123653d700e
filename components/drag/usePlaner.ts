'use client';

import { wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { planerFound, type PlanerFound, type PlanerQuestion } from '@/core/rig/drag/planerOfRig';
import type { PlanerWorker } from './planer.worker';

/**
 * What looks at a planer say, worked out beside the page; null while it is on its way. What was found last of the same planer stays until
 * then.
 */
export function usePlaner(question: PlanerQuestion | null): PlanerFound | null {
  const hasWorker = typeof Worker !== 'undefined';
  const here = useMemo(() => (hasWorker || !question ? null : planerFound(question)), [hasWorker, question]);
  const [found, setFound] = useState<{ planer: string; found: PlanerFound } | null>(null);
  useEffect(() => {
    if (!hasWorker || !question) return;
    const thread = new Worker(new URL('./planer.worker.ts', import.meta.url));
    let isWanted = true;
    void wrap<PlanerWorker>(thread)
      .found(question)
      .then((next) => {
        if (isWanted) setFound({ planer: question.planer, found: next });
      })
      .finally(() => thread.terminate());
    return () => {
      isWanted = false;
      thread.terminate();
    };
  }, [hasWorker, question]);
  return here ?? (question && found?.planer === question.planer ? found.found : null);
}
