'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(() => fetched(() => import('./LeverCardInside')).then(({ LeverCardInside: loaded }) => loaded), {
  ssr: false,
});

const leverLine = (pulls: number): string =>
  pulls === 0 ? 'not pulled yet' : `pulled at ${pulls} place${pulls === 1 ? '' : 's'}`;

/** A lever drag over its sweep. */
export function LeverCard(props: ComponentProps<typeof Inside>) {
  return (
    <CollapsibleCard id="lever" title="The lever over its sweep" line={leverLine(props.view.record.leverPoints.length)}>
      <Inside {...props} />
    </CollapsibleCard>
  );
}
