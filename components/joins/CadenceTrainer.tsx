'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(
  () => fetched(() => import('./CadenceTrainerInside')).then(({ CadenceTrainerInside: loaded }) => loaded),
  {
    ssr: false,
  },
);

/** Practice for the plaited knot. */
export function CadenceTrainer(props: ComponentProps<typeof Inside>) {
  return (
    <CollapsibleCard
      id="cadence"
      title="Cadence of the plaited knot"
      line="a drill without line, and a voice that counts while both hands are busy"
    >
      <Inside {...props} />
    </CollapsibleCard>
  );
}
