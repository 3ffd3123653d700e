'use client';

import { wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { RigAtRisk } from '@/core/rig/drag/riskOfRig';
import type { Risks, RiskWorker } from './risk.worker';

/** Chances of breaking, worked out away from the page; null while they are not there, or where too little is known. */
export function useRisk(rig: RigAtRisk | null): Risks | null {
  const [found, setFound] = useState<{ of: RigAtRisk; risks: Risks } | null>(null);
  useEffect(() => {
    if (!rig || rig.unknown.length > 0 || typeof Worker === 'undefined') return;
    const thread = new Worker(new URL('./risk.worker.ts', import.meta.url));
    let isWanted = true;
    void wrap<RiskWorker>(thread)
      .risk(rig.places, rig.pull, rig.jerked)
      .then((risks) => {
        if (isWanted) setFound({ of: rig, risks });
      })
      .finally(() => thread.terminate());
    return () => {
      isWanted = false;
      thread.terminate();
    };
  }, [rig]);
  return found?.of === rig ? found.risks : null;
}
