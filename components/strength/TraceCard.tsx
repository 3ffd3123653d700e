'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(() => fetched(() => import('./TraceCardInside')).then(({ TraceCardInside: loaded }) => loaded), {
  ssr: false,
});

/** A trace that a force gauge recorded. */
export function TraceCard(props: ComponentProps<typeof Inside>) {
  return (
    <CollapsibleCard
      id="trace"
      title="A recorded trace"
      line="a file from a force gauge: time, force and stretch, with commas, semicolons or tabs"
    >
      <Inside {...props} />
    </CollapsibleCard>
  );
}
