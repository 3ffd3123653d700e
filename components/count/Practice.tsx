'use client';

import dynamic from 'next/dynamic';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(() => fetched(() => import('./PracticeInside')).then(({ PracticeInside: loaded }) => loaded), {
  ssr: false,
});

/** A reel that nobody knows, to be made true; nothing of it is kept. */
export function Practice() {
  return (
    <CollapsibleCard
      id="practise"
      title="Practise on a reel that nobody knows"
      line="walk, strip, walk again; scored against the advice"
    >
      <Inside />
    </CollapsibleCard>
  );
}
