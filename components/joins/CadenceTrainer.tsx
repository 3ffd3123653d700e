'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { Fold } from '@/components/ui/Fold';

/** Loaded when it is first opened. */
const Inside = dynamic(() => import('./CadenceTrainerInside').then(({ CadenceTrainerInside: loaded }) => loaded), {
  ssr: false,
});

/** Practice for the plaited knot. */
export function CadenceTrainer(props: ComponentProps<typeof Inside>) {
  return (
    <Fold
      title="Cadence of the plaited knot"
      line="a drill without line, and a voice that counts while both hands are busy"
    >
      <Inside {...props} />
    </Fold>
  );
}
