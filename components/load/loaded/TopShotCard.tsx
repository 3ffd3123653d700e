'use client';

import dynamic from 'next/dynamic';
import { topShotCare, type TopShotCare } from '@/core/rig/load/topShotCare';
import type { LoadRecord } from '@/core/record/record';
import { useRig } from '@/components/rig/RigProvider';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(
  () => fetched(() => import('./TopShotCardInside')).then(({ TopShotCardInside: loaded }) => loaded),
  {
    ssr: false,
  },
);

const VERDICTS: Readonly<Record<TopShotCare['verdict'], string>> = {
  fresh: 'Nothing to do',
  worn: 'Getting short',
  replace: 'Replace it',
};

/** The outermost line: how much of it is left, and whether that is enough. */
export function TopShotCard({ load }: { load: LoadRecord }) {
  const { record } = useRig();
  const { format } = useUnits();
  const care = topShotCare(record);
  if (!care) return null;
  const verdict = VERDICTS[care.verdict];
  return (
    <CollapsibleCard
      id="top-shot-care"
      title={`Care of the ${care.segment.name.toLowerCase()}`}
      line={`${verdict}: ${format.length(care.leftM)} of ${format.length(care.freshM)} left`}
    >
      <Inside care={care} verdict={verdict} load={load} />
    </CollapsibleCard>
  );
}
