'use client';

import { useEffect, useMemo, useState } from 'react';
import { planerFound, type PlanerFound, type PlanerQuestion } from '@/core/rig/drag/planerOfRig';
import { useThrow, workedOut } from '@/components/ui/workedOut';
import type { PlanerWorker } from './planer.worker';

/**
 * What looks at a planer say, worked out beside the page; null while it is on its way. What was found last of the same planer stays until
 * then.
 */
export function usePlaner(question: PlanerQuestion | null): PlanerFound | null {
  const hasWorker = typeof Worker !== 'undefined';
  const here = useMemo(() => (hasWorker || !question ? null : planerFound(question)), [hasWorker, question]);
  const [found, setFound] = useState<{ planer: string; found: PlanerFound } | null>(null);
  const fail = useThrow();
  useEffect(() => {
    if (!hasWorker || !question) return;
    const { planer } = question;
    const looks = workedOut<PlanerWorker, PlanerFound>(
      () => new Worker(new URL('./planer.worker.ts', import.meta.url)),
      (worker) => worker.found(question),
    );
    void looks.found.then((next) => setFound({ planer, found: next }), fail);
    return looks.stop;
  }, [hasWorker, question, fail]);
  return here ?? (question && found?.planer === question.planer ? found.found : null);
}
