'use client';

import { adviceForRig } from '@/core/rig/count/adviceForRig';
import type { LoadRecord } from '@/core/record/record';
import { useRig } from '@/components/rig/RigProvider';
import { AdviceWays } from './AdviceWays';

/** What can be done about what the counter does. */
export function CountWays({ load }: { load: LoadRecord }) {
  const { view } = useRig();
  const advice = view && adviceForRig(view);
  return advice && <AdviceWays load={load} advice={advice} />;
}
