'use client';

import dynamic from 'next/dynamic';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when a locker is made: who comes to a boat that is there needs no form. */
const NewBoat = dynamic(() => fetched(() => import('./NewBoat')).then(({ NewBoat: loaded }) => loaded), { ssr: false });

/** A locker for another boat; open at once where there is none yet. */
export function NewLocker({ isFirst }: { isFirst: boolean }) {
  return (
    <CollapsibleCard
      id="new-locker"
      title={isFirst ? 'A locker for your boat' : 'A locker for another boat'}
      line="a boat, a club or a bench, with its own rods, reels and lines"
      isOpen={isFirst}
    >
      <NewBoat />
    </CollapsibleCard>
  );
}
