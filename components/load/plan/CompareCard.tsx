'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(
  () => fetched(() => import('./CompareCardInside')).then(({ CompareCardInside: loaded }) => loaded),
  {
    ssr: false,
  },
);

/** Plans that the boat keeps, to be taken up or looked at side by side. */
export function CompareCard(props: ComponentProps<typeof Inside>) {
  const kept = props.record.keptPlans.length;
  const line = kept > 0 ? `${kept} on this boat: take up or compare` : 'keep this one, or compare several';
  return (
    <CollapsibleCard id="kept-plans" title="Kept plans" line={line}>
      <Inside {...props} />
    </CollapsibleCard>
  );
}
