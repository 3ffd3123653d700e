'use client';

import dynamic from 'next/dynamic';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(
  () => fetched(() => import('./SpliceCardInside')).then(({ SpliceCardInside: loaded }) => loaded),
  {
    ssr: false,
  },
);

/** Figures of a splice in hollow braid. */
export function SpliceCard() {
  return (
    <CollapsibleCard
      id="splice"
      title="Splices in hollow braid"
      line="bury, taper, needle and loop for a line of yours, or by line test"
    >
      <Inside />
    </CollapsibleCard>
  );
}
