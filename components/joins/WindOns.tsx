'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(() => fetched(() => import('./WindOnsInside')).then(({ WindOnsInside: loaded }) => loaded), {
  ssr: false,
});

/** The library of ready leaders. */
export function WindOns(props: ComponentProps<typeof Inside>) {
  const { length } = props.windOns;
  return (
    <CollapsibleCard
      id="ready-leaders"
      title="Ready leaders, loop to loop"
      line={length === 0 ? 'none made yet' : `${length} in the library`}
    >
      <Inside {...props} />
    </CollapsibleCard>
  );
}
