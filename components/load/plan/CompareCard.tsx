'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { useDraft } from '@/components/fields/useDraft';
import { areVariants } from './variants';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';

/** Loaded when it is first opened. */
const Inside = dynamic(() => import('./CompareCardInside').then(({ CompareCardInside: loaded }) => loaded), {
  ssr: false,
});

/** Plans put aside, side by side. */
export function CompareCard(props: ComponentProps<typeof Inside>) {
  const [kept] = useDraft(`variants:${props.record.id}`, areVariants);
  const line = kept?.length
    ? `${kept.length + 1} plans on one scale`
    : 'put this plan aside, change it, and look at both side by side';
  return (
    <CollapsibleCard title="Compare plans" line={line}>
      <Inside {...props} />
    </CollapsibleCard>
  );
}
