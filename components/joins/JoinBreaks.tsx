'use client';

import dynamic from 'next/dynamic';
import type { JoinRecord } from '@/core/record/record';
import { useRig } from '@/components/rig/RigProvider';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { fetched } from '@/components/ui/fetched';
import { efficiencyWords, placeWords } from './joinLines';

/** Loaded when it is first opened. */
const Inside = dynamic(
  () => fetched(() => import('./JoinBreaksInside')).then(({ JoinBreaksInside: loaded }) => loaded),
  {
    ssr: false,
  },
);

/** Samples of a join pulled to the break. */
export function JoinBreaks({ join }: { join: JoinRecord }) {
  const { record } = useRig();
  const { format } = useUnits();
  return (
    <CollapsibleCard
      id="join-pulls"
      title={`Pulled to the break: ${placeWords(record, join)}`}
      line={efficiencyWords(join, format)}
    >
      <Inside join={join} />
    </CollapsibleCard>
  );
}
