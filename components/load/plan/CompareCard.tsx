'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';

/** Loaded when it is first opened. */
const Inside = dynamic(() => import('./CompareCardInside').then(({ CompareCardInside: loaded }) => loaded), {
  ssr: false,
});

/** Plans that the boat keeps, to be taken up or looked at side by side. */
export function CompareCard(props: ComponentProps<typeof Inside>) {
  const kept = props.record.keptPlans.length;
  const line =
    kept > 0
      ? `${kept} kept on this boat: take one up, or look at several side by side`
      : 'keep this plan under a name, for other rigs, other devices, or to compare it';
  return (
    <CollapsibleCard id="kept-plans" title="Kept plans" line={line}>
      <Inside {...props} />
    </CollapsibleCard>
  );
}
