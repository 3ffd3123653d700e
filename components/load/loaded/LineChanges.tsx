'use client';

import dynamic from 'next/dynamic';
import type { LoadRecord } from '@/core/record/record';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(
  () => fetched(() => import('./LineChangesInside')).then(({ LineChangesInside: loaded }) => loaded),
  {
    ssr: false,
  },
);

/** Line that was lost, stripped or added since the load was finished. */
export function LineChanges({ load }: { load: LoadRecord }) {
  return (
    <CollapsibleCard
      id="changes"
      title="Changes of one segment"
      line={load.changes.length === 0 ? 'none noted' : `${load.changes.length} noted`}
    >
      <Inside load={load} />
    </CollapsibleCard>
  );
}
