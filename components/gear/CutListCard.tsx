'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(
  () => fetched(() => import('./CutListCardInside')).then(({ CutListCardInside: loaded }) => loaded),
  {
    ssr: false,
  },
);

/** Which piece to cut from which spool. */
export function CutListCard(props: ComponentProps<typeof Inside>) {
  return (
    <CollapsibleCard
      id="cut-list"
      title="Cut list"
      line="which piece from which spool, over several rigs: fewest joins, least waste"
    >
      <Inside {...props} />
    </CollapsibleCard>
  );
}
