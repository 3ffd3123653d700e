'use client';

import { useEffect, useState } from 'react';
import type { RigAtRisk } from '@/core/rig/drag/riskOfRig';
import { useThrow, workedOut } from '@/components/ui/workedOut';
import type { Risks, RiskWorker } from './risk.worker';

/** Chances of breaking, worked out away from the page; null while they are not there, or where too little is known. */
export function useRisk(rig: RigAtRisk | null): Risks | null {
  const [found, setFound] = useState<{ of: RigAtRisk; risks: Risks } | null>(null);
  const fail = useThrow();
  useEffect(() => {
    if (!rig || rig.unknown.length > 0 || typeof Worker === 'undefined') return;
    const risk = workedOut<RiskWorker, Risks>(
      () => new Worker(new URL('./risk.worker.ts', import.meta.url)),
      (worker) => worker.risk(rig.places, rig.pull, rig.jerked),
    );
    void risk.found.then((risks) => setFound({ of: rig, risks }), fail);
    return risk.stop;
  }, [rig, fail]);
  return found?.of === rig ? found.risks : null;
}
