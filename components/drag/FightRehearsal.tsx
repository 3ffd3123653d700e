'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { elasticPieces } from '@/core/rig/drag/elasticLine';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(
  () => fetched(() => import('./FightRehearsalInside')).then(({ FightRehearsalInside: loaded }) => loaded),
  {
    ssr: false,
  },
);

/** A simulated fish against this very rig; nothing where its strength or stretch is not known. */
export function FightRehearsal(props: ComponentProps<typeof Inside>) {
  if (!props.view.strength || !elasticPieces(props.view)) return null;
  return (
    <CollapsibleCard
      id="rehearse"
      title="Rehearse a fight"
      line="a simulated fish against this very rig, with your hands on the drag"
    >
      <Inside {...props} />
    </CollapsibleCard>
  );
}
