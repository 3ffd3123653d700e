'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(() => fetched(() => import('./LineLostInside')).then(({ LineLostInside: loaded }) => loaded), {
  ssr: false,
});

/** "I lost 40 yd": what a length off the hook takes with it. */
export function LineLost(props: ComponentProps<typeof Inside>) {
  return (
    <CollapsibleCard
      id="line-gone"
      title="Line gone from the hook"
      line="torn off, cut back or pulled off: what goes with it"
    >
      <Inside {...props} />
    </CollapsibleCard>
  );
}
